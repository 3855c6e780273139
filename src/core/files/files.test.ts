import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fromUint8Array } from 'js-base64'
import { readFileSync } from 'node:fs'
import type { Game } from '../game/game.ts'
import { cellsOf, anyInputs, gameWith, pairsNamed, settingsWith } from '../testing/games.ts'
import { problemLine, type Result } from '../result.ts'
import { mindFileSchema } from './mind-file.ts'
import { dealSchema, readDeal, readDeals, writeDeal } from './deal-file.ts'
import { gameFileSchema, readGame, writeGame } from './game-file.ts'
import { jsonSchemaOf } from './json-schema.ts'
import { gifOf, jpegOf, pngOf, webpOf } from '../testing/images.ts'
import { checkImage, checkSvg, imageType, takenBytes } from './image.ts'
import { withoutDoctype } from './svg.ts'
import { readRecord, recordFileSchema, writeRecord } from './record-file.ts'
import { pairsFileSchema } from './pairs-file.ts'
import type { PlayRecord } from '../play/record.ts'

const bytes = (text: string): Uint8Array => Uint8Array.from(text, (c) => c.charCodeAt(0))
const PNG = pngOf(3, 2)
const imageUrl = (data: Uint8Array, type = 'png'): string =>
  `data:image/${type};base64,${fromUint8Array(data)}`

/** What is wrong, in the one line that users see; "fine" if nothing is. */
const complaint = (result: Result<unknown>): string => (result.ok ? 'fine' : problemLine(result.problem))

/** The complaint about a good game file after one change. */
function afterChange(change: (file: any) => void, game: Game = gameWith()): string {
  const file = JSON.parse(writeGame(game))
  change(file)
  return complaint(readGame(JSON.stringify(file)))
}

describe('game files', () => {
  test('are read as they were written', () => {
    const game = gameWith(
      {
        board: { rows: 6, gaps: ['B2', 'C3'] },
        clock: { mode: 'down' },
        score: { stars: { by: 'turns', at: [9, 8, 7] } },
      },
      [
        ...pairsNamed(3, (i) => i === 1),
        {
          id: 'own',
          name: 'Own',
          tags: ['x'],
          a: { kind: 'image', src: imageUrl(PNG), alt: 'A dot', paper: '#ffffff' },
        },
      ],
    )
    expect(readGame(writeGame(game))).toEqual({ ok: true, value: game })
  })

  test.each<[string, (file: any) => void, string]>([
    [
      'a newer version',
      (f) => (f.version = 2),
      'version: 2 is newer than this Lucky Twin reads (1); update it to open this file',
    ],
    ['no version', (f) => delete f.version, 'version: a whole number from 1 is expected'],
    ['another format', (f) => (f.format = 'other'), 'format: "lucky-twin/game" is expected, not "other"'],
    ['an unknown key', (f) => (f.deck.pairs[3].colour = 1), 'deck.pairs[3].colour: unknown key'],
    [
      'an unknown key in a level',
      (f) => (f.levels[0].board = { row: 3 }),
      'levels[0].board.row: unknown key',
    ],
    ['an unknown key in the house rules', (f) => (f.house.turn.look = 3), 'house.turn.look: unknown key'],
    ['a billion rows', (f) => (f.house.board.rows = 1e9), 'house.board.rows: at most 20'],
    ['half a row', (f) => (f.house.board.rows = 2.5), 'house.board.rows: a whole number is expected'],
    ['rows as a word', (f) => (f.house.board.rows = 'four'), 'house.board.rows: a number is expected'],
    ['a missing key', (f) => delete f.house.board.rows, 'house.board.rows: is missing'],
    ['a missing section', (f) => delete f.house.clock, 'house.clock: is missing'],
    [
      'a word that is none of the allowed',
      (f) => (f.house.turn.onMiss = 'later'),
      'house.turn.onMiss: one of "timed", "press", "button"',
    ],
    [
      'a pair id twice',
      (f) => (f.deck.pairs[5].id = 'p2'),
      'deck.pairs[5].id: "p2" is already the id of number 3',
    ],
    [
      'a level id twice',
      (f) => f.levels.push({ ...f.levels[0] }),
      'levels[1].id: "first" is already the id of number 1',
    ],
    [
      'an id with a slash',
      (f) => (f.deck.pairs[0].id = 'a/b'),
      'deck.pairs[0].id: letters, digits, dot, dash and underscore only',
    ],
    ['a face of no kind', (f) => (f.deck.pairs[0].a = { kind: 'film' }), 'deck.pairs[0].a.kind: '],
    ['an empty text', (f) => (f.deck.pairs[0].a.text = ''), 'deck.pairs[0].a.text: at least 1 character'],
    ['a colour that is none', (f) => (f.deck.back.ink = 'red;}'), 'deck.back.ink: a colour as #rrggbb'],
    ['a gap that is no cell', (f) => (f.house.board.gaps = ['33']), 'house.board.gaps[0]: a cell such as C3'],
    [
      'a gap outside',
      (f) => (f.levels[0].board = { gaps: ['A1', 'H8'] }),
      'levels[0].board.gaps[1]: H8 is not on this board of 4 × 4',
    ],
    [
      'a gap twice',
      (f) => (f.levels[0].board = { gaps: ['A1', 'A1'] }),
      'levels[0].board.gaps[1]: A1 is named twice',
    ],
    ['no level', (f) => (f.levels = []), 'levels: at least 1 entry'],
    [
      '101 levels',
      (f) => (f.levels = Array.from({ length: 101 }, (_, i) => ({ id: `l${i}`, name: 'L' }))),
      'levels: at most 100 entries',
    ],
    [
      'stars that fall',
      (f) => (f.house.score.stars = { by: 'score', at: [3, 2, 1] }),
      'house.score.stars: thresholds rise for a score, and fall for turns and time',
    ],
    ['a use of no form', (f) => (f.house.fill.use = { tag: 'x' }), 'house.fill.use.tag: unknown key'],
    [
      'an image from the web',
      (f) => (f.deck.pairs[0].a = { kind: 'image', src: 'https://x/y.png' }),
      'deck.pairs[0].a.src: an image as data:image/TYPE;base64,… is expected',
    ],
    [
      'an image that is no image',
      (f) => (f.deck.pairs[0].a = { kind: 'image', src: imageUrl(bytes('hello')) }),
      'deck.pairs[0].a.src: not a PNG, JPEG, WebP, GIF or SVG image',
    ],
    [
      'an image of another type',
      (f) => (f.deck.pairs[0].b = { kind: 'image', src: imageUrl(PNG, 'gif') }),
      'deck.pairs[0].b.src: says it is gif, but is png',
    ],
    [
      'an SVG with a script',
      (f) =>
        (f.deck.pairs[2].a = {
          kind: 'image',
          src: imageUrl(bytes('<svg xmlns="x">\n<script>1</script></svg>'), 'svg+xml'),
        }),
      'deck.pairs[2].a.src: line 2: an SVG that holds a <script>',
    ],
  ])('%s is named by its place', (_what, change, message) => {
    expect(afterChange(change)).toContain(message)
  })

  test.each([
    ['', 'the file is empty'],
    ['hello', 'this is not JSON, or it is cut off here'],
    ['{\n  "a": 1', 'line 2, column 9: this is not JSON, or it is cut off here'],
    ['[]', 'not a lucky-twin/game file: an object is expected'],
    ['null', 'not a lucky-twin/game file: an object is expected'],
  ])('%j is refused', (text, message) => {
    expect(complaint(readGame(text))).toBe(message)
  })

  test('a file that is cut off anywhere is refused', () => {
    const text = writeGame(gameWith()).trimEnd()
    fc.assert(
      fc.property(fc.integer({ min: 0, max: text.length - 1 }), (length) => {
        expect(readGame(text.slice(0, length)).ok).toBe(false)
      }),
    )
  })

  test('no JSON at all makes the reader throw', () => {
    fc.assert(fc.property(fc.json(), (text) => expect(readGame(text).ok).toBe(false)))
  })
})

describe('deal lines', () => {
  const pairs = pairsNamed(4, (i) => i > 1)
  const settings = settingsWith({ board: { rows: 3, columns: 3, gaps: ['B2'] } })
  const deal = { level: 'first', seed: 's', rows: 3, columns: 3, cells: cellsOf(settings, pairs) }

  test('are read as they were written', () => {
    expect(readDeal(writeDeal(deal, pairs), pairs)).toEqual({ ok: true, value: deal })
  })
  test('name cards by pair and side, and gaps null', () => {
    const { cells } = JSON.parse(writeDeal(deal, pairs)) as { cells: (string | null)[] }
    expect(cells[4]).toBeNull()
    expect([...cells].filter((cell) => cell !== null).sort()).toEqual([
      'p0/a',
      'p0/a',
      'p1/a',
      'p1/a',
      'p2/a',
      'p2/b',
      'p3/a',
      'p3/b',
    ])
  })
  test.each([
    ['{"level":"x"}', 'line 2, seed: is missing'],
    [
      '{"level":"x","seed":"s","rows":1,"columns":2,"cells":["p0/a"]}',
      'line 2, cells: this deal has 1 cell; a 1 × 2 board needs 2',
    ],
    [
      '{"level":"x","seed":"s","rows":1,"columns":2,"cells":["p0/a","p0/b"]}',
      'line 2, cells[1]: no card "p0/b" in the deck',
    ],
    ['{"level":"x","seed":"s","rows":21,"columns":2,"cells":[]}', 'line 2, rows: at most 20'],
    ['{"level":', 'line 2, line 1, column 10: this is not JSON, or it is cut off here'],
  ])('%s is refused with its line', (line, message) => {
    expect(complaint(readDeals(`${writeDeal(deal, pairs)}\n${line}`, pairs))).toBe(message)
  })
})

describe('record files', () => {
  const record: PlayRecord = { game: 'g', level: 'l', seed: 's', inputs: [{ at: 5, do: 'press', cell: 0 }] }

  test('are read as they were written', () => {
    fc.assert(
      fc.property(anyInputs, fc.option(fc.nat(1000), { nil: undefined }), (inputs, more) => {
        const whole = {
          ...record,
          inputs,
          ...(more === undefined ? {} : { until: (inputs.at(-1)?.at ?? 0) + more }),
          expect: { outcome: 'lost' as const, lostBy: 'clock' as const, refused: { locked: 2 } },
        }
        expect(readRecord(writeRecord(whole))).toEqual({ ok: true, value: whole })
      }),
    )
  })
  test.each<[string, (file: any) => void, string]>([
    [
      'times that run backwards',
      (f) => f.inputs.push({ at: 4, do: 'pause' }),
      'inputs[1].at: 4 is earlier than the previous input (5)',
    ],
    ['an end before the last input', (f) => (f.until = 4), 'until: 4 is earlier than the last input (5)'],
    ['an act that is none', (f) => (f.inputs[0].do = 'tap'), 'inputs[0].do: '],
    [
      'a pause with a cell',
      (f) => f.inputs.push({ at: 9, do: 'pause', cell: 1 }),
      'inputs[1].cell: unknown key',
    ],
    ['a press with no cell', (f) => delete f.inputs[0].cell, 'inputs[0].cell: is missing'],
    ['an expectation of nothing known', (f) => (f.expect = { luck: 1 }), 'expect.luck: unknown key'],
    ['a seed that is too long', (f) => (f.seed = 'x'.repeat(65)), 'seed: 1 to 64 characters'],
    ['a newer version', (f) => (f.version = 2), 'version: 2 is newer'],
  ])('%s is named by its place', (_what, change, message) => {
    const file = JSON.parse(writeRecord(record))
    change(file)
    expect(complaint(readRecord(JSON.stringify(file)))).toContain(message)
  })
})

describe('docs/schema', () => {
  test.each([
    ['game', gameFileSchema],
    ['deal', dealSchema],
    ['play', recordFileSchema],
    ['mind', mindFileSchema],
    ['pairs', pairsFileSchema],
  ])('%s.schema.json is what the code reads with (npm run schemas)', (name, schema) => {
    const { title: _title, ...kept } = JSON.parse(readFileSync(`docs/schema/${name}.schema.json`, 'utf8'))
    expect(kept).toEqual(JSON.parse(JSON.stringify(jsonSchemaOf(schema))))
  })
})

describe('images', () => {
  test.each([
    [PNG, 'png'],
    [bytes('\xff\xd8\xff\xe0'), 'jpeg'],
    [bytes('GIF89a'), 'gif'],
    [bytes('RIFF\0\0\0\0WEBPVP8 '), 'webp'],
    [bytes('\xef\xbb\xbf  <svg/>'), 'svg+xml'],
    [bytes('GIF of words'), null],
    [bytes(''), null],
  ])('are known by their bytes (%#)', (data, type) => {
    expect(imageType(data)).toBe(type)
  })
  test.each([
    ['<svg xmlns="http://www.w3.org/2000/svg"><path fill="url(#g)" d="M0 0"/><use href="#g"/></svg>', 'fine'],
    [`<svg><image href="${imageUrl(PNG)}"/></svg>`, 'fine'],
    ['<svg><image href="data:image/png;base64,AA=="/></svg>', 'holds an image that cannot be taken'],
    ['<svg><use xmlns:xlink="x" xlink:href="#x"/></svg>', 'fine'],
    ['<svg><a href="#x"/></svg>', 'line 1: holds a <a>'],
    ['<svg><circle onload="x()"/></svg>', 'line 1: holds an event handler (onload)'],
    ['<svg>\n\n<image href="http://x/y.png"/></svg>', 'line 3: refers to something outside it (href)'],
    ['<svg><style>@import "x"</style></svg>', 'line 1: loads something from outside (style)'],
    ['<svg><rect style="fill:url(http://x)"/></svg>', 'line 1: loads something from outside (style)'],
    ['<svg><foreignObject/></svg>', 'line 1: holds a <foreignObject>'],
    ['<!DOCTYPE svg [<!ENTITY a "b">]><svg/>', 'line 1: declares entities'],
    ['<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "x.dtd"><svg/>', 'line 1: has a document type'],
    [withoutDoctype('<?xml version="1.0"?><!DOCTYPE svg PUBLIC "a" "x.dtd">\n<svg><g/></svg>'), 'fine'],
    [withoutDoctype('<!DOCTYPE svg [<!ENTITY a "b">]><svg/>'), 'line 1: declares entities'],
    ['<svg><img src="http://x"/></svg>', 'line 1: holds a <img>'],
    ['<svg><g><form action="http://x"/></g></svg>', 'line 1: holds a <form>'],
    ['<svg xmlns:h="http://www.w3.org/1999/xhtml"><h:img src="http://x"/></svg>', 'line 1: holds HTML'],
    ['<svg><metadata><cc:Work><dc:title/></cc:Work></metadata><sodipodi:namedview/></svg>', 'fine'],
    ['<html/>', 'line 1: is not an SVG: it begins with <html>'],
    ['<svg><path></svg>', 'line 1: is not well-formed XML'],
    ['', 'not well-formed XML'],
  ])('an SVG may only draw: %s', (text, message) => {
    expect(complaint(checkSvg(text))).toContain(message)
  })
  test('a drawing is taken without its document type; all else as it is', () => {
    const drawing = bytes('<!DOCTYPE svg PUBLIC "a" "http://x/x.dtd"><svg/>')
    expect(takenBytes(drawing)).toEqual(bytes('<svg/>'))
    expect(complaint(checkImage(takenBytes(drawing)))).toBe('fine')
    for (const other of [PNG, bytes('<svg/>'), bytes('GIF89a <!DOCTYPE svg>')])
      expect(takenBytes(other)).toBe(other)
  })
  test.each<[string, Uint8Array, string]>([
    ['64 megapixels', pngOf(8000, 8000), 'fine'],
    [
      'a column more',
      pngOf(8001, 8000),
      '8,001 × 8,000 px are too many; at most 64 megapixels. Make it smaller first',
    ],
    [
      '480 megapixels',
      pngOf(24_000, 20_000),
      '24,000 × 20,000 px are too many; at most 16,384 along a side. Make it smaller first',
    ],
    ['the longest side', pngOf(16_384, 3), 'fine'],
    [
      'a longer one',
      pngOf(16_385, 1),
      '16,385 × 1 px are too many; at most 16,384 along a side. Make it smaller first',
    ],
    ['a JPEG', jpegOf(3, 2), 'fine'],
    [
      'a vast JPEG',
      jpegOf(9000, 9000),
      '9,000 × 9,000 px are too many; at most 64 megapixels. Make it smaller first',
    ],
    ['a WebP', webpOf(3, 2), 'fine'],
    [
      'a vast WebP',
      webpOf(20_000, 2),
      '20,000 × 2 px are too many; at most 16,384 along a side. Make it smaller first',
    ],
    ['a GIF', gifOf(3, 2, [[3, 2]]), 'fine'],
    [
      'a GIF with a picture larger than its screen',
      gifOf(1, 1, [
        [2, 2],
        [9000, 9000],
      ]),
      '9,000 × 9,000 px are too many; at most 64 megapixels. Make it smaller first',
    ],
    ['no size at all', pngOf(0, 5), 'damaged: its header tells no size'],
    ['a header cut off', pngOf(3, 2).slice(0, 14), 'damaged: its header tells no size'],
  ])('a raster image is known by its header: %s', (_, data, message) => {
    expect(complaint(checkImage(data))).toBe(message)
  })
  test('more than 8 MiB are too many', () => {
    const large = new Uint8Array(8 * 2 ** 20 + 1)
    large.set(PNG)
    expect(complaint(checkImage(large))).toBe('larger than 8 MiB')
  })
})
