import { describe, expect, test } from '@jest/globals'
import { createHash } from 'node:crypto'
import { readAnyGame } from '../core/files/any-game.ts'
import { readGameZip } from '../core/files/game-zip.ts'
import { gameWith, pairsNamed } from '../core/testing/games.ts'
import { pngOf } from '../core/testing/images.ts'
import { ar } from '../core/texts/words/ar.ts'
import { en } from '../core/texts/words/en.ts'
import { ICONS, shipSite, type IconFile } from './site.ts'
import { player } from './testing.ts'
import { zipOf } from './zip.ts'

const game = { ...gameWith(), title: 'The Long Title of a "Game"', credits: ['Drawn by Ada'] }
const icons = Object.fromEntries(Object.keys(ICONS).map((name) => [name, pngOf(2, 2)])) as Record<
  IconFile,
  Uint8Array
>
const siteOf = (of: typeof game, words: object = { en }, drawn = icons): Record<string, string> =>
  Object.fromEntries(
    Object.entries(shipSite(of, { art: {}, words }, player, drawn)).map(([name, content]) => [
      name,
      new TextDecoder().decode(content),
    ]),
  )

describe('a site', () => {
  const site = siteOf(game)
  test('has its page at the root, and names every file that is kept for later', () => {
    expect(Object.keys(site).sort()).toEqual(
      ['LICENSES.txt', 'index.html', 'manifest.webmanifest', 'sw.js', ...Object.keys(ICONS)].sort(),
    )
    const kept = JSON.parse(/const FILES = (\[.*\])/.exec(site['sw.js']!)![1]!) as string[]
    // the page is kept under the address of the folder, and the worker itself is the browser's to keep
    const names = Object.keys(site).filter((name) => name !== 'sw.js')
    expect(kept.sort()).toEqual(names.map((name) => (name === 'index.html' ? './' : name)).sort())
  })
  test('may ask for its own files and nothing else, and runs no script but its own', () => {
    const policy = /Content-Security-Policy" content="([^"]*)"/.exec(site['index.html']!)![1]!.split('; ')
    const scripts = [...site['index.html']!.matchAll(/<script>([\s\S]*?)<\/script>/g)].map(([, one]) => one!)
    expect(scripts).toHaveLength(2)
    const hashes = scripts.map((one) => `'sha256-${createHash('sha256').update(one).digest('base64')}'`)
    expect(policy).toEqual(
      expect.arrayContaining([
        "default-src 'none'",
        `script-src ${hashes.join(' ')}`,
        "img-src data: 'self'",
        "manifest-src 'self'",
        "worker-src 'self'",
      ]),
    )
    expect(policy.some((line) => line.startsWith('connect-src'))).toBe(false)
  })
  test('has a manifest that names it, and works in a folder of any name', () => {
    const manifest = JSON.parse(site['manifest.webmanifest']!)
    expect(manifest).toMatchObject({
      name: game.title,
      short_name: 'The Long',
      lang: 'en',
      dir: 'ltr',
      start_url: './',
      scope: './',
      display: 'standalone',
    })
    // a title of twelve letters fits under an icon as it is
    const short = siteOf({ ...game, title: 'Clock drawer' })
    expect(JSON.parse(short['manifest.webmanifest']!)).toMatchObject({ short_name: 'Clock drawer' })
    expect(manifest.icons.map(({ src }: { src: string }) => src)).toEqual(Object.keys(ICONS))
    const arabic = siteOf({ ...game, texts: { languages: ['ar'], own: {} } } as typeof game, { ar })
    expect(JSON.parse(arabic['manifest.webmanifest']!)).toMatchObject({ lang: 'ar', dir: 'rtl' })
  })
  test('is another version as soon as anything in it differs, and the same one otherwise', () => {
    const versionOf = (of: Record<string, string>): string =>
      /CACHE = MINE \+ '(\w+)'/.exec(of['sw.js']!)![1]!
    expect(versionOf(siteOf(game))).toBe(versionOf(site))
    expect(versionOf(siteOf({ ...game, credits: ['Drawn by Bo'] }))).not.toBe(versionOf(site))
    const drawnAnew = { ...icons, 'icon-192.png': pngOf(3, 3) }
    expect(versionOf(siteOf(game, { en }, drawnAnew))).not.toBe(versionOf(site))
    expect(zipOf(shipSite(game, { art: {}, words: { en } }, player, icons))).toEqual(
      zipOf(shipSite(game, { art: {}, words: { en } }, player, icons)),
    )
    /** The date and the time in a zip's first entry, as a zip has them. */
    const dateOf = (of: typeof game): number => {
      const zip = zipOf(shipSite(of, { art: {}, words: { en } }, player, icons))
      return new DataView(zip.buffer, zip.byteOffset).getUint32(10, true)
    }
    const games = Array.from({ length: 20 }, (_, i) => ({ ...game, credits: [`Drawn by ${i}`] }))
    expect(new Set(games.map(dateOf)).size).toBe(20)
    expect(new Set(games.map((one) => siteOf(one)['sw.js']!.length)).size).toBeGreaterThan(10)
  })
  test('names whose work is in it', () => {
    expect(site['LICENSES.txt']).toContain('Drawn by Ada')
    expect(site['LICENSES.txt']).toContain('Letters: do as you like')
    expect(site['LICENSES.txt']).toContain('Parts: do as you like')
    expect(site['LICENSES.txt']).not.toContain('Drawings')
  })
})

describe('read back', () => {
  test('a site gives its game', () => {
    const read = readAnyGame(zipOf(shipSite(game, { art: {}, words: { en } }, player, icons)))
    expect(read).toEqual({ ok: true, value: { ...game, checks: [] } })
  })
  test('a zip with a page that is cut off says where', () => {
    const files = shipSite(gameWith({}, pairsNamed(4)), { art: {}, words: { en } }, player, icons)
    const cut = zipOf({ ...files, 'index.html': files['index.html']!.slice(0, 1200) })
    const read = readGameZip(cut)
    expect(read.ok ? '' : read.problem.at).toBe('index.html')
  })
})
