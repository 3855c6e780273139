import { describe, expect, test } from '@jest/globals'
import { auditLog } from '../audit/log.ts'
import { cut, problemLine, quoted, quotedValue, type Result } from '../result.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { readAnyGame } from './any-game.ts'
import { readDeal } from './deal-file.ts'
import { readGame, writeGame } from './game-file.ts'
import { readRecord } from './record-file.ts'
import { checkSvg } from './image.ts'

const LONG = 'x'.repeat(200_000)
/** A message has a few words of its own beside what it quotes, and a place whose names are cut too. */
const MOST = 400

const complaint = (result: Result<unknown>): string => (result.ok ? 'fine' : problemLine(result.problem))
const changed = (change: (file: any) => void): string => {
  const file = JSON.parse(writeGame(gameWith()))
  change(file)
  return complaint(readGame(JSON.stringify(file)))
}

describe('a message never repeats what was put in', () => {
  test.each<[string, (file: any) => void]>([
    ['a format', (file) => (file.format = LONG)],
    ['a format that is a list', (file) => (file.format = Array(5000).fill(LONG.slice(0, 1000)))],
    ['a version', (file) => (file.version = 1e300)],
    ['an id', (file) => (file.id = LONG)],
    ['a key', (file) => (file[LONG] = 1)],
    [
      'many keys',
      (file) => Array.from({ length: 20_000 }, (_, i) => (file.house[`key ${i} ${LONG.slice(0, 99)}`] = i)),
    ],
    ['a choice', (file) => (file.house.deal.way = LONG)],
    ['a gap', (file) => (file.house.board.gaps = [LONG])],
    ['two ids that are the same', (file) => file.deck.pairs.forEach((pair: any) => (pair.id = LONG))],
    ['an arranged card', (file) => (file.house.deal.arranged = [LONG])],
    ['a seed', (file) => (file.house.deal.seed = { fixed: LONG })],
    ['a colour', (file) => (file.house.look.table = LONG)],
    ['an image', (file) => (file.deck.pairs[0].a = { kind: 'image', src: LONG })],
    ['a tag', (file) => (file.deck.pairs[0].tags = [LONG])],
    ['a list that is too long', (file) => (file.house.fill.use = { pairs: Array(300_000).fill(7) })],
  ])('of a game: %s', (_, change) => {
    const message = changed(change)
    expect(message).not.toBe('fine')
    expect(message.length).toBeLessThan(MOST)
  })

  test('of a list that is too long no entry is looked at', () => {
    expect(changed((file) => (file.deck.pairs = Array(2_000_000).fill(1)))).toBe(
      'deck.pairs: at most 1000 entries',
    )
  })

  const pairs = pairsNamed(2)
  const deal = { level: 'first', seed: 's', rows: 2, columns: 2, cells: ['p0/a', 'p0/a', 'p1/a', 'p1/a'] }
  test.each<[string, () => Result<unknown>]>([
    ['a deal', () => readDeal(JSON.stringify({ ...deal, cells: [LONG, 'p0/a', 'p1/a', 'p1/a'] }), pairs)],
    ['a record', () => readRecord(JSON.stringify({ format: 'lucky-twin/play', version: 1, game: LONG }))],
    ['the deal of a log', () => auditLog(gameWith({}, pairs), JSON.stringify({ ...deal, level: LONG }))],
    ['an SVG', () => checkSvg(`<svg><${LONG}/></svgx>`)],
    ['an attribute of an SVG', () => checkSvg(`<svg on${LONG}="1"/>`)],
  ])('of %s', (_, read) => {
    const message = complaint(read())
    expect(message).not.toBe('fine')
    expect(message.length).toBeLessThan(MOST)
  })
  test('of a log: a cell, and many lines that cannot be read', () => {
    const game = gameWith({ board: { rows: 2, columns: 2 } }, pairs)
    const lines = [deal, { at: 1, do: 'press', cell: LONG, shows: 'p0/a' }].map((line) =>
      JSON.stringify(line),
    )
    const read = auditLog(game, lines.join('\n'))
    expect(read.ok && read.value.breach!.message.length).toBeLessThan(MOST)
    const torn = auditLog(game, [lines[0], ...Array<string>(5000).fill('{')].join('\n'))
    expect(torn.ok && torn.value.torn).toHaveLength(101)
    expect(torn.ok && torn.value.torn.at(-1)).toBe('and 4900 more lines that cannot be read')
  })
  test('of lists within lists, however deep, wherever they are', () => {
    const deep = '['.repeat(9500) + ']'.repeat(9500)
    const {
      format: _format,
      version: _version,
      ...rest
    } = JSON.parse(writeGame(gameWith())) as object & {
      format: string
      version: number
    }
    const texts = [
      `{"format":${deep},"version":1}`,
      `{"format":"lucky-twin/game","version":${deep}}`,
      ...Object.keys(rest).map((key) => `{"format":"lucky-twin/game","version":1,"${key}":${deep}}`),
      deep,
    ]
    for (const text of texts) {
      const message = complaint(readAnyGame(new TextEncoder().encode(text)))
      expect(message).not.toBe('fine')
      expect(message.length).toBeLessThan(MOST)
    }
  })
  test('of more counts than there can be pairs, of which none is looked at', () => {
    const counts = Object.fromEntries(Array.from({ length: 1001 }, (_, i) => [`? ${i}`, -1]))
    expect(changed((file) => (file.house.fill.counts = counts))).toBe('house.fill.counts: at most 1000 pairs')
    expect(changed((file) => (file.house.fill.counts = null))).toBe(
      'house.fill.counts: an object is expected',
    )
    expect(changed((file) => (file.house.fill.counts = { '? 1': -1 }))).toMatch(/^house.fill.counts.\? 1: /)
  })
  test('what is quoted is cut at 80 characters', () => {
    expect(cut('a'.repeat(80))).toHaveLength(80)
    expect(cut('a'.repeat(81))).toBe(`${'a'.repeat(80)}…`)
    expect(quoted(LONG)).toHaveLength(83)
    expect(quotedValue([LONG, LONG]).length).toBeLessThan(100)
    expect(quotedValue({ a: [1, 2] })).toBe('{"a":[1,2]}')
    expect(quotedValue(Array(100).fill(0))).toBe('a list of 100')
    expect(quotedValue(JSON.parse('['.repeat(9000) + ']'.repeat(9000)))).toBe('a list of 1')
    expect(quotedValue(null)).toBe('null')
  })
})

describe('a message is in our words, and names the bound that holds', () => {
  test.each<[string, (file: any) => void]>([
    ['house.turn.missLook: at most 60000', (file) => (file.house.turn.missLook = 1e300)],
    ['house.turn.missLook: at least 0', (file) => (file.house.turn.missLook = -1e300)],
    ['house.turn.missLook: a whole number is expected', (file) => (file.house.turn.missLook = 1.5)],
    ['house.turn.missLook: a number is expected', (file) => (file.house.turn.missLook = null)],
    ['house.deal.seed: one of "every-play", "daily", an object', (file) => (file.house.deal.seed = 'x')],
    ['house.deal.seed.fixed: is missing', (file) => (file.house.deal.seed = {})],
    ['deck.pairs[0].a.kind: is not one that is known here', (file) => (file.deck.pairs[0].a = { kind: 'x' })],
    ['texts.own: an object is expected', (file) => (file.texts = { languages: ['en'], own: null })],
    ['levels: a list is expected', (file) => (file.levels = {})],
    ['title: a text is expected', (file) => (file.title = [])],
  ])('%s', (message, change) => expect(changed(change)).toBe(message))
})

test('half of a character becomes an unknown one, a whole one stays', () => {
  const text = writeGame(gameWith()).replace(
    /"title": "[^"]*"/,
    '"title": "a\\ud83d b\\ud83d\\ude00 \\udE00"',
  )
  const read = readGame(text)
  expect(read.ok && read.value.title).toBe('a\ufffd b\ud83d\ude00 \ufffd')
})
