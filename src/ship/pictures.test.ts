import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { DEFAULT_BACK, PATTERNS } from '../core/settings/back.ts'
import { checkSvg } from '../core/files/image.ts'
import { backBackground } from '../core/deck/back-look.ts'
import { gameWith, pairsNamed } from '../core/testing/games.ts'
import { gatherArt, picturesOf, pictureSvg } from './pictures.ts'

const complaint = (markup: string): string => {
  const checked = checkSvg(markup)
  return checked.ok ? 'fine' : checked.problem.message
}

test('every picture of the library, and all that the app itself draws, stays within the bounds', () => {
  const { icons } = createRequire(import.meta.url)('@iconify-json/fluent-emoji-flat/icons.json') as {
    icons: Record<string, { body: string }>
  }
  const refused = Object.entries(icons).filter(([, { body }]) => complaint(pictureSvg(body)) !== 'fine')
  expect(refused.map(([name]) => name)).toEqual([])
  expect(Object.keys(icons).length).toBeGreaterThan(3000)
  expect(complaint(readFileSync('demo/clock-movement.svg', 'utf8'))).toBe('fine')
  for (const pattern of PATTERNS) {
    const background = backBackground({ pattern, ink: '#112233', paper: '#ffffff' }, () => '')
    for (const part of background.split('url("').slice(1)) {
      const url = part.slice(0, part.indexOf('"'))
      const text = url.includes('base64,')
        ? atob(url.split('base64,')[1]!)
        : decodeURIComponent(url.slice(url.indexOf(',') + 1))
      expect(complaint(text)).toBe('fine')
    }
  }
})

test('the pictures of a game are those on faces, on every back, and behind cards; one that is missing is named by its place', async () => {
  const picture = (name: string) => ({ kind: 'picture' as const, name })
  const back = (name: string) => ({ ...DEFAULT_BACK, emblem: picture(name) })
  const game = gameWith({ look: { back: back('anchor'), behind: picture('bridge') } }, pairsNamed(2))
  game.deck.pairs[0]!.a = picture('cog')
  game.deck.back = back('key')
  expect(picturesOf(game).sort()).toEqual(['anchor', 'bridge', 'cog', 'key'])
  const missing = async (name: string): Promise<string> => {
    const made = await gatherArt(game, (one) => Promise.resolve(one === name ? null : '<svg/>'))
    return made.ok ? '' : made.problem.at
  }
  expect(await missing('anchor')).toBe('levels[0].look.back.emblem')
  expect(await missing('bridge')).toBe('levels[0].look.behind')
  expect(await missing('key')).toBe('deck.back.emblem')
  expect(await missing('cog')).toBe('deck.pairs[0]')
})
