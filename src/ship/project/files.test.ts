import { describe, expect, test } from '@jest/globals'
import { readAnyGame } from '../../core/files/any-game.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { credits } from '../testing.ts'
import { zipOf } from '../zip.ts'
import { projectFiles } from './files.ts'

const pairs = pairsNamed(8)
pairs[0]!.a = { kind: 'picture', name: 'gear' }
const check = { id: 'c', name: 'C', level: 'first', seed: 's', inputs: [], expect: { turns: 0 } }
const game = { ...gameWith({}, pairs), title: 'Cogs & "Wheels"', checks: [check] }
const parts = {
  files: {
    'README.md': '# TITLE\n',
    'src/project-page/main.ts': 'go()',
    'package-lock.json': JSON.stringify({
      name: 'game',
      packages: { '': { name: 'game' }, 'node_modules/a': {} },
    }),
  },
  packages: { dependencies: { a: '^1.0.0' }, devDependencies: { b: '^2.0.0' } },
}
const files = projectFiles(game, { gear: '<svg/>' }, parts, credits)
const text = (name: string): string => new TextDecoder().decode(files[name])

describe('a project', () => {
  test('has the source, the pictures, and packages by their versions', () => {
    expect(text('src/project-page/main.ts')).toBe('go()')
    expect(text('public/pictures/gear.svg')).toBe('<svg/>')
    expect(text('README.md')).toBe('# Cogs & "Wheels"\n')
    const manifest = JSON.parse(text('package.json'))
    expect(manifest).toMatchObject({ name: 'cogs-wheels', private: true, ...parts.packages })
    expect(Object.keys(manifest.scripts)).toEqual(['start', 'build', 'test'])
    expect(JSON.parse(text('package-lock.json'))).toEqual({
      name: 'cogs-wheels',
      packages: { '': { name: 'cogs-wheels' }, 'node_modules/a': {} },
    })
  })
  test('has the back of its cards as a style', () => {
    expect(text('public/back.css')).toMatch(
      /^\.card \{\n {2}background: url\("data:image\/svg\+xml,.*"\) center;\n\}\n$/,
    )
  })
  test('gives its game back with its kept checks', () => {
    expect(readAnyGame(zipOf(files))).toEqual({ ok: true, value: game })
  })
  test('names the pictures and this program, but not what is only in a page', () => {
    const named = text('LICENSES.txt')
    expect(named).toContain('Drawings: do as you like')
    expect(named).toContain('Lucky Twin: do as you like')
    expect(named).not.toMatch(/Letters|Parts/)
  })
})
