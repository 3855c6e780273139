import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readAnyGame } from '../../core/files/any-game.ts'
import { readDeals } from '../../core/files/deal-file.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { pngOf } from '../../core/testing/images.ts'
import { fromUint8Array } from 'js-base64'
import { credits } from '../testing.ts'
import { zipOf } from '../zip.ts'
import { atlasOf, BACK, kitCards, kitCardSize, KIT_BOUNDS, type AtlasFrame } from './cards.ts'
import { kitFiles } from './files.ts'

const docs = { readme: '# How', shuffle: '# From a seed' }
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
    expect(new Set([BACK, ...files].map((file) => file.toLowerCase())).size).toBe(files.length + 1)
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

describe('the files of a kit', () => {
  const pairs = pairsNamed(8, related)
  pairs[2]!.a = {
    kind: 'image',
    src: `data:image/png;base64,${fromUint8Array(pngOf(2, 2))}`,
    alt: 'A "red" one',
  }
  const game = gameWith({ board: { rows: 3, columns: 4, gaps: ['B2', 'C2'] } }, pairs)
  const cards = kitCards(game)
  const atlas = atlasOf(cards.length + 1, kitCardSize(game, 50))
  const made = kitFiles(
    game,
    { cards, atlas: atlas.ok ? atlas.value : (null as never) },
    { width: 50, deals: 7, games: 3 },
    { docs, credits },
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
    expect(Object.keys(json('atlas.json').frames)).toEqual([...cards.map(({ card }) => card), BACK])
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
      { docs, credits },
    )
    expect(wrong.ok ? '' : wrong.problem.at).toBe('First')
  })
})
