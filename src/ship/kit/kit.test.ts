import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { FRAME_NAMES } from '../../core/board/frames.ts'
import { layout, tableSurface } from '../../core/board/geometry.ts'
import { writeWav } from '../../core/files/wav.ts'
import { STANDS, type Settings } from '../../core/settings/settings.ts'
import { de } from '../../core/texts/words/de.ts'
import { en } from '../../core/texts/words/en.ts'
import { DEFAULT_BACK } from '../../core/settings/back.ts'
import type { Back } from '../../core/settings/back.ts'
import type { Level } from '../../core/settings/levels.ts'
import { readAnyGame } from '../../core/files/any-game.ts'
import { readDeals } from '../../core/files/deal-file.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { pngOf } from '../../core/testing/images.ts'
import { fromUint8Array } from 'js-base64'
import { credits } from '../testing.ts'
import { zipOf } from '../zip.ts'
import { atlasOf, kitBacks, kitCards, kitCardSize, KIT_BOUNDS, type AtlasFrame } from './cards.ts'
import { kitFiles } from './files.ts'

const docs = { readme: '# How', shuffle: '# From a seed' }
const parts = { docs, credits, words: { en, de }, svgs: { gear: '<svg/>' } }
const related = (i: number): boolean => i % 3 === 1

describe('the cards of a kit', () => {
  test('have names of files that differ in more than capital letters, and none is that of the back', () => {
    const pairs = pairsNamed(4, related)
    ;['Cog', 'cog', 'back', 'Back-a'].forEach((id, i) => (pairs[i]!.id = id))
    const files = kitCards(gameWith({}, pairs)).map(({ file }) => file)
    expect(files).toEqual(['Cog-a', 'cog-a-2', 'cog-b', 'back-a', 'Back-a-a'])
    const [small, large] = pairsNamed(2)
    Object.assign(small!, { id: 'cog' })
    Object.assign(large!, { id: 'Cog' })
    const two = kitCards(gameWith({}, [small!, large!])).map(({ file }) => file)
    expect(two).toEqual(['cog-a', 'Cog-a-2'])
    expect(new Set(['back', ...files].map((file) => file.toLowerCase())).size).toBe(files.length + 1)
  })
  test('have each back of the game once, with the levels that bear it', () => {
    const game = gameWith({}, pairsNamed(2))
    const own = { ...DEFAULT_BACK, ink: '#1f7f80' }
    const level = (id: string, back?: Back): Level => ({ id, name: id, ...(back ? { look: { back } } : {}) })
    game.deck.pairs[0]!.id = 'back'
    game.levels = [level('one'), level('b', own), level('B', { ...own, ink: '#222222' }), level('four', own)]
    expect(kitBacks(game).map(({ file, levels }) => [file, levels])).toEqual([
      ['back', ['one']],
      ['back-b', ['b', 'four']],
      ['back-B-2', ['B']],
    ])
    // the deck's own back is in every kit
    game.house = { ...game.house, look: { ...game.house.look, back: own } }
    game.levels = [level('one')]
    expect(kitBacks(game).map(({ levels }) => levels)).toEqual([[], ['one']])
    expect(kitCards(game)[0]!.file).toBe('back-a')
  })
  test('have the shape of the house rules', () => {
    const game = gameWith()
    expect(kitCardSize(game, 100)).toEqual({ width: 100, height: 119, corner: 10 })
    const size = { width: 60, height: 90 }
    const house = { ...game.house, layout: { ...game.house.layout, size } }
    expect(kitCardSize({ house }, 40)).toEqual({ width: 40, height: 60, corner: 4.8 })
  })
  test('lie on one image, none over another and none outside, at the largest scale of the two that devices can show', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 2001 }),
        fc.integer({ min: KIT_BOUNDS.width[0], max: KIT_BOUNDS.width[1] }),
        fc.integer({ min: 20, max: 500 }),
        (count, width, height) => {
          const atlas = atlasOf(count, { width, height })
          if (!atlas.ok) {
            expect(count * width * height).toBeGreaterThan(3000 * 3000)
            return
          }
          const { scale, frames, ...image } = atlas.value
          expect(frames).toHaveLength(count)
          const right = ({ x, width: w }: AtlasFrame): number => x + w
          const below = ({ y, height: h }: AtlasFrame): number => y + h
          const astray = frames.filter((frame, i) => {
            const isWhole = frame.width === width * scale && frame.height === height * scale
            const isInside = right(frame) <= image.width && below(frame) <= image.height
            // in a row each begins after the one before, and each row below the one before
            const before = frames[i - 1]
            const isClear =
              !before || (frame.y === before.y ? frame.x > right(before) : frame.y > below(before))
            return !(isWhole && isInside && isClear)
          })
          expect(astray).toEqual([])
          expect(Math.max(image.width, image.height)).toBeLessThanOrEqual(scale > 1 ? 4096 : 8192)
        },
      ),
    )
  })
  test('that are too large for one image are refused, with what helps', () => {
    const atlas = atlasOf(2001, { width: 400, height: 480 })
    expect(atlas.ok ? '' : atlas.problem.message).toMatch(
      /^one image of all 2001 cards would be .* choose smaller cards$/,
    )
  })
})

/** How cards lie on a table, as README.md says it under *Screens*, step by step. */
function byTheReadme(
  width: number,
  height: number,
  rows: number,
  columns: number,
  set: Settings['layout'],
  [gapUsual, marginUsual] = [
    between(4, 12, Math.min(width, height) / 52),
    between(8, 28, Math.min(width, height) / 26),
  ],
): { card: { width: number; height: number }; gap: { across: number; down: number }; x: number; y: number } {
  let [across, down, margin] = [set.gapAcross ?? gapUsual, set.gapDown ?? gapUsual, set.margin ?? marginUsual]
  let card = set.size
  if ([set.gapAcross, set.gapDown, set.margin, set.size].some((one) => one !== null)) {
    const factorIn = (room: number, count: number, gap: number, side?: number): number => {
      const around = 2 * margin + (count - 1) * gap
      return side === undefined ? room / 2 / around : room / (around + count * side)
    }
    const factor = Math.min(
      1,
      factorIn(width, columns, across, card?.width),
      factorIn(height, rows, down, card?.height),
    )
    const smaller = (length: number): number => Math.floor(length * factor)
    card &&= { width: Math.max(1, smaller(card.width)), height: Math.max(1, smaller(card.height)) }
    ;[across, down, margin] = [smaller(across), smaller(down), smaller(margin)]
  }
  if (!card) {
    const fits = (one: number): boolean =>
      columns * one + (columns - 1) * across <= width - 2 * margin &&
      rows * Math.round(one / set.ratio) + (rows - 1) * down <= height - 2 * margin
    let wide = 1
    while (fits(wide + 1)) wide++
    card = { width: wide, height: Math.max(1, Math.round(wide / set.ratio)) }
  }
  if (Math.min(card.width, card.height) < 44 && (gapUsual !== 4 || marginUsual !== 8))
    return byTheReadme(width, height, rows, columns, set, [4, 8])
  const roomAcross = width - columns * card.width - (columns - 1) * across
  const roomDown = height - rows * card.height - (rows - 1) * down
  const at = (room: number, low: boolean, high: boolean): number =>
    low ? margin : high ? room - margin : Math.floor(room / 2)
  return {
    card,
    gap: { across, down },
    x: at(roomAcross, set.stands.endsWith('left'), set.stands.endsWith('right')),
    y: at(roomDown, set.stands.startsWith('top'), set.stands.startsWith('bottom')),
  }
}
const between = (least: number, most: number, length: number): number =>
  Math.max(least, Math.min(most, Math.round(length)))

describe('the files of a kit', () => {
  const pairs = pairsNamed(8, related)
  pairs[2]!.a = {
    kind: 'image',
    src: `data:image/png;base64,${fromUint8Array(pngOf(2, 2))}`,
    alt: 'A "red" one',
  }
  const game = gameWith({ board: { rows: 3, columns: 4, gaps: ['B2', 'C2'] } }, pairs)
  const own = {
    name: 'Tick',
    src: `data:audio/wav;base64,${fromUint8Array(writeWav(new Float32Array(8), 8000))}`,
  }
  game.house.look.behind = { kind: 'picture', name: 'gear' }
  Object.assign(game.house.sound, { family: 'wood', volume: 50, flip: own, miss: 'none', win: 'glass' })
  game.house.volumes.flip = 30
  game.texts = {
    languages: ['en', 'de'],
    own: { de: { pairs: { p0: { name: 'Paar 0' } }, says: { won: 'Fertig!' } } },
  }
  const cards = kitCards(game)
  const atlas = atlasOf(cards.length + kitBacks(game).length, kitCardSize(game, 50))
  const made = kitFiles(
    game,
    { cards, atlas: atlas.ok ? atlas.value : (null as never) },
    { width: 50, deals: 7, games: 3 },
    parts,
  )
  const files = made.ok ? made.value : {}
  const text = (name: string): string => new TextDecoder().decode(files[name])
  const json = (name: string) => JSON.parse(text(name))

  test('name every card with its files, its words and its place', () => {
    expect(text('cards.csv').split('\r\n').slice(0, 4)).toEqual([
      'card,file,pair,name,says',
      'p0/a,p0-a,p0,Pair 0,A0',
      'p1/a,p1-a,p1,Pair 1,A1',
      'p1/b,p1-b,p1,Pair 1,B1',
    ])
    expect(text('cards.csv')).toContain('p2/a,p2-a,p2,Pair 2,"A ""red"" one"')
    expect(json('cards.json')).toHaveLength(cards.length)
    expect(Object.keys(json('atlas.json').frames)).toEqual([...cards.map(({ card }) => card), 'back'])
  })
  test('have a place for each cell that holds a card, on each screen', () => {
    const places = json('places/first.json') as { screen: string; cell: string; index: number }[]
    const phone = places.filter(({ screen }) => screen === 'phone')
    expect(phone.map(({ cell }) => cell)).toEqual('A1 B1 C1 D1 A2 D2 A3 B3 C3 D3'.split(' '))
    expect(phone.map(({ index }) => index)).toEqual([0, 1, 2, 3, 4, 7, 8, 9, 10, 11])
    expect(text('places/first.csv').trim().split('\r\n')).toHaveLength(places.length + 1)
  })
  test('have deals that read back, the same in both forms', () => {
    const deals = readDeals(text('deals/first.jsonl'), pairs)
    expect(deals.ok && deals.value.map(({ seed }) => seed)).toEqual(
      [1, 2, 3, 4, 5, 6, 7].map((n) => `kit-${n}`),
    )
    const lines = text('deals/first.jsonl').trim().split('\n')
    const rows = text('deals/first.csv').trim().split('\r\n')
    expect(rows).toEqual(
      lines.map((line) => (JSON.parse(line).cells as (string | null)[]).map((one) => one ?? '').join(',')),
    )
  })
  test('have every setting of each level, and its own images as files', () => {
    const [level] = json('levels.json')
    expect(level).toMatchObject({ id: 'first', name: 'First' })
    expect(Object.keys(level.settings)).toEqual(expect.arrayContaining(['board', 'turn', 'clock', 'score']))
    expect(Object.keys(files)).toContain('art/1.png')
    expect(text('game.json')).toContain('"src": "art/1.png"')
  })
  test('have every text in each language, as it is said', () => {
    const rows = json('texts.json') as { id: string; en: string; de: string }[]
    const row = (id: string) => rows.find((one) => one.id === id)!
    expect(row('pairs/p0/name')).toMatchObject({ en: 'Pair 0', de: 'Paar 0' })
    expect(row('pairs/p1/name')).toMatchObject({ en: 'Pair 1', de: 'Pair 1' })
    expect(row('says/won')).toMatchObject({ en: en.won, de: 'Fertig!' })
    expect(row('says/pairs/one')).toMatchObject({ en: '{n} pair', de: '{n} Paar' })
    expect(rows.filter((one) => !one.en && !one.de).map(({ id }) => id)).toEqual([
      'says/opening',
      'says/howTo',
    ])
  })
  test('say which sound is heard when, and have the picture behind the cards', () => {
    expect(text('sounds.csv').trim().split('\r\n')).toEqual([
      'level,moment,sound,file,volume',
      'first,deal,wood,,50',
      'first,flip,Tick,sound/2.wav,15',
      'first,match,wood,,50',
      'first,miss,none,,50',
      'first,streak,none,,50',
      'first,lastSeconds,none,,50',
      'first,win,glass,,50',
      'first,loss,wood,,50',
    ])
    expect(Object.keys(files)).toContain('sound/2.wav')
    expect([json('levels.json')[0].behind, text('behind/gear.svg')]).toEqual(['behind/gear.svg', '<svg/>'])
  })
  test('have the sizes of the screens that README.md names, and it says how cards lie on any table', () => {
    const readme = readFileSync('docs/kit.md', 'utf8').replace(/\s+/g, ' ')
    const rows = json('screens.json') as Record<string, number>[]
    expect(rows).toHaveLength(FRAME_NAMES.length)
    for (const { screen, screenWidth, screenHeight } of rows)
      expect(readme).toContain(`\`${screen}\` ${screenWidth} × ${screenHeight}`)
    const length = (max: number) => fc.option(fc.integer({ min: 0, max }))
    fc.assert(
      fc.property(
        fc.tuple(fc.integer({ min: 1, max: 1400 }), fc.integer({ min: 1, max: 1100 })),
        fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 20 })),
        fc.record({
          size: fc.option(
            fc.record({
              width: fc.integer({ min: 20, max: 400 }),
              height: fc.integer({ min: 20, max: 400 }),
            }),
          ),
          ratio: fc.constantFrom(0.7, 0.84, 1, 1.4),
          gapAcross: length(60),
          gapDown: length(60),
          margin: length(100),
          stands: fc.constantFrom(...STANDS),
        }),
        ([width, height], [rows, columns], set) => {
          const { card, grid, gap } = layout(
            tableSurface(width, height, { board: { rows, columns }, layout: set }),
            rows,
            columns,
          )
          expect({ card, gap, x: grid.x, y: grid.y }).toEqual(byTheReadme(width, height, rows, columns, set))
        },
      ),
    )
  })
  test('have test games that use the rules in every way, and give their game back', () => {
    const games = text('test-games/first.jsonl')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line))
    expect(games.map(({ seed }) => seed)).toEqual(['test-1', 'test-2', 'test-3'])
    const kinds = new Set(games.flatMap(({ events }) => events.map(({ kind }: { kind: string }) => kind)))
    expect([...kinds]).toEqual(
      expect.arrayContaining(['flip', 'match', 'miss', 'settled', 'refused', 'paused', 'resumed', 'won']),
    )
    expect(readAnyGame(zipOf(files))).toEqual({ ok: true, value: game })
  })
  test('of a level that cannot be dealt are refused, and it is named', () => {
    const odd = gameWith({ board: { rows: 3, columns: 3 } }, pairs)
    const wrong = kitFiles(
      odd,
      { cards, atlas: atlas.ok ? atlas.value : (null as never) },
      { width: 50, deals: 1, games: 1 },
      parts,
    )
    expect(wrong.ok ? '' : wrong.problem.at).toBe('First')
  })
})
