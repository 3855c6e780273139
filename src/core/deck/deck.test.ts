import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { checkImageUrl } from '../files/image.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { pairsNamed } from '../testing/games.ts'
import { coloured, duplicated, moved, movedBy, tagged, withoutPairs, withPairs } from './edit.ts'
import { GRID, likeness, looksOf, TOO_ALIKE } from './likeness.ts'
import { SERIES, SERIES_MOST, SERIES_TWINS, seriesPairs } from './series.ts'
import { selectPairs } from './select.ts'
import { cutSheet, isEmptyTile } from './sheet.ts'
import { seenColour, visionMatrix, VISIONS } from './vision.ts'

const ids = (pairs: { id: string }[]): string => pairs.map(({ id }) => id).join(' ')
const set = (...chosen: string[]): Set<string> => new Set(chosen)
const six = pairsNamed(6)

describe('edits of many pairs at once', () => {
  test.each([
    ['taken out', withoutPairs(six, set('p1', 'p4')), 'p0 p2 p3 p5'],
    ['moved to the front', moved(six, set('p2', 'p4'), 0), 'p2 p4 p0 p1 p3 p5'],
    ['moved to the end', moved(six, set('p1', 'p3'), 99), 'p0 p2 p4 p5 p1 p3'],
    ['one place earlier', movedBy(six, set('p2', 'p4'), -1), 'p0 p2 p4 p1 p3 p5'],
    ['one place later', movedBy(six, set('p1', 'p2'), 1), 'p0 p3 p1 p2 p4 p5'],
    ['no earlier than the first', movedBy(six, set('p0'), -1), 'p0 p1 p2 p3 p4 p5'],
    ['no later than the last', movedBy(six, set('p5'), 1), 'p0 p1 p2 p3 p4 p5'],
    ['doubled', duplicated(six, set('p1', 'p3')).pairs, 'p0 p1 p2 p3 p1-2 p3-2 p4 p5'],
    ['pasted in between', withPairs(six, pairsNamed(1), 2).pairs, 'p0 p1 p0-2 p2 p3 p4 p5'],
  ])('%s', (_, pairs, order) => expect(ids(pairs)).toBe(order))

  test('no more pairs than a deck holds', () => {
    const full = pairsNamed(BOUNDS.pairs[1] - 1)
    const { pairs, ids: added } = withPairs(full, six)
    expect(pairs).toHaveLength(BOUNDS.pairs[1])
    expect(added).toHaveLength(1)
  })
  test('whatever is done, no id stands twice and none but the chosen change', () => {
    const choice = fc.uniqueArray(fc.constantFrom(...six.map(({ id }) => id)))
    fc.assert(
      fc.property(choice, fc.integer({ min: -2, max: 9 }), fc.string(), (chosen, to, tag) => {
        const some = new Set(chosen)
        const doubled = duplicated(six, some).pairs
        expect(new Set(doubled.map(({ id }) => id)).size).toBe(six.length + some.size)
        expect(
          moved(six, some, to)
            .map(({ id }) => id)
            .sort(),
        ).toEqual(six.map(({ id }) => id))
        const others = (pairs: typeof six) => withoutPairs(pairs, some)
        expect(others(moved(six, some, to))).toEqual(others(six))
        expect(others(tagged(six, some, tag, true))).toEqual(others(six))
        expect(others(coloured(six, some, 'paper', '#ffffff'))).toEqual(others(six))
      }),
    )
  })
  test('tags and colours come and go without a trace', () => {
    const once = tagged(six, set('p1'), ' round ', true)
    expect(once[1]!.tags).toEqual(['round'])
    expect(tagged(once, set('p1'), 'round', true)).toEqual(once)
    expect(tagged(once, set('p1'), 'round', false)).toEqual(six)
    const dyed = coloured(
      pairsNamed(1, () => true),
      set('p0'),
      'ink',
      '#123456',
    )
    expect([dyed[0]!.a.ink, dyed[0]!.b!.ink]).toEqual(['#123456', '#123456'])
    expect(coloured(dyed, set('p0'), 'ink', null)).toEqual(pairsNamed(1, () => true))
  })
})

describe('a sheet is cut', () => {
  const cut = (width: number, height: number, margin: number, spacing: number) =>
    ({ by: 'size', width, height, margin, spacing }) as const
  test('by tile size, with margin and spacing', () => {
    const sheet = cutSheet(640, 432, cut(96, 96, 12, 8))
    expect(sheet).toMatchObject({ ok: true, value: { rows: 4, columns: 6, left: { x: 0, y: 0 } } })
    if (sheet.ok)
      expect(sheet.value.tiles[7]).toEqual({ row: 1, column: 1, x: 116, y: 116, width: 96, height: 96 })
  })
  test('what belongs to no tile is told', () => {
    expect(cutSheet(100, 70, cut(32, 32, 0, 0))).toMatchObject({
      value: { columns: 3, rows: 2, left: { x: 4, y: 6 } },
    })
  })
  test('by columns and rows', () => {
    const sheet = cutSheet(100, 50, { by: 'count', columns: 3, rows: 2, margin: 5, spacing: 2 })
    expect(sheet).toMatchObject({ value: { rows: 2, columns: 3, left: { x: 2, y: 0 } } })
    if (sheet.ok) expect(sheet.value.tiles[0]).toMatchObject({ width: 28, height: 19 })
  })
  test.each([
    [
      cutSheet(90, 90, cut(96, 96, 0, 0)),
      'tile',
      'a tile of 96 × 96 px does not fit on 90 × 90 px with a margin of 0',
    ],
    [cutSheet(400, 400, cut(4, 4, 0, 0)), 'count', '10000 tiles; at most 1000 are cut at once'],
    [
      cutSheet(30, 30, { by: 'count', columns: 20, rows: 2, margin: 0, spacing: 0 }),
      'count',
      '20 × 2 tiles on 30 × 30 px would be smaller than 4 px',
    ],
  ])('what cannot be is told', (sheet, at, message) =>
    expect(sheet).toEqual({ ok: false, problem: { at, message } }),
  )
  test('tiles lie inside the image and do not meet', () => {
    const side = fc.integer({ min: 1, max: 300 })
    const edge = fc.integer({ min: 0, max: 20 })
    fc.assert(
      fc.property(
        side,
        side,
        fc.integer({ min: 4, max: 60 }),
        edge,
        edge,
        (width, height, tile, margin, spacing) => {
          const sheet = cutSheet(width, height, cut(tile, tile, margin, spacing))
          if (!sheet.ok) return
          const { tiles, columns } = sheet.value
          for (const { x, y } of tiles) {
            expect(x + tile).toBeLessThanOrEqual(width - margin)
            expect(y + tile).toBeLessThanOrEqual(height - margin)
          }
          if (columns > 1) expect(tiles[1]!.x - tiles[0]!.x - tile).toBe(spacing)
        },
      ),
    )
  })
  test('empty tiles are clear, or of one colour', () => {
    const tile = (...pixels: number[][]): Uint8Array => Uint8Array.from(pixels.flat())
    expect(isEmptyTile(tile([0, 0, 0, 0], [90, 20, 3, 0]))).toBe(true)
    expect(isEmptyTile(tile([250, 250, 250, 255], [252, 249, 250, 255]))).toBe(true)
    expect(isEmptyTile(tile([250, 250, 250, 255], [200, 249, 250, 255]))).toBe(false)
    expect(isEmptyTile(tile([0, 0, 0, 0], [0, 0, 0, 255]))).toBe(false)
  })
})

describe('series', () => {
  const encode = (svg: string): string => `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`
  test('every kind with every twin makes pairs of its own, with words for each face and images that only draw', () => {
    for (const kind of SERIES)
      SERIES_TWINS[kind].forEach((_, twin) => {
        const pairs = seriesPairs(kind, twin, 1, SERIES_MOST[kind], encode, [])
        expect(new Set(pairs.map(({ id }) => id)).size).toBe(pairs.length)
        expect(pairs.every(({ b }) => (b !== undefined) === twin > 0)).toBe(true)
        for (const { a, b } of pairs)
          for (const face of b ? [a, b] : [a])
            if (face.kind === 'image') {
              expect(face.alt).toBeTruthy()
              expect(checkImageUrl(face.src).ok).toBe(true)
            }
      })
  })
  test('a run of it, under ids that are free', () => {
    const pairs = seriesPairs('letters', 1, 3, 5, encode, ['d'])
    expect(pairs.map(({ id, a, b }) => [id, a, b])).toMatchObject([
      ['c', { text: 'C' }, { text: 'c' }],
      ['d-2', { text: 'D' }, { text: 'd' }],
      ['e', { text: 'E' }, { text: 'e' }],
    ])
    expect(seriesPairs('numbers', 2, 8, 200, encode, [])).toHaveLength(2)
  })
})

describe('likeness', () => {
  /** A face with a disc of one colour, its middle moved by some px. */
  const disc = (colour: number[], moved = 0, radius = 7): Uint8Array => {
    const pixels = new Uint8Array(GRID * GRID * 4).fill(255)
    for (let y = 0; y < GRID; y++)
      for (let x = 0; x < GRID; x++)
        if (Math.hypot(x - GRID / 2 + 0.5 - moved, y - GRID / 2 + 0.5) < radius)
          colour.forEach((value, c) => (pixels[(y * GRID + x) * 4 + c] = value))
    return pixels
  }
  const alike = (one: Uint8Array, other: Uint8Array, vision: (typeof VISIONS)[number] = 'everyone'): number =>
    likeness(looksOf(one)[vision], looksOf(other)[vision])
  const red = [214, 40, 40]
  const green = [88, 130, 40]
  test('a face is like itself, and likeness goes both ways', () => {
    for (const vision of VISIONS) expect(alike(disc(red), disc(red), vision)).toBeCloseTo(1, 5)
    expect(alike(disc(red), disc(green, 2))).toBeCloseTo(alike(disc(green, 2), disc(red)), 6)
  })
  test('a face is just as much like itself as can be told, whatever is on it', () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: GRID * GRID * 4, maxLength: GRID * GRID * 4 }), (pixels) => {
        for (const vision of VISIONS) expect(alike(pixels, Uint8Array.from(pixels), vision)).toBe(1)
      }),
      { numRuns: 40 },
    )
  })
  test('bare faces are alike', () => {
    const bare = new Uint8Array(GRID * GRID * 4).fill(255)
    expect(alike(bare, bare)).toBeCloseTo(1, 5)
  })
  test('another colour or another form is another face; the same form a little darker is not', () => {
    expect(alike(disc(red), disc(green))).toBeLessThan(TOO_ALIKE)
    expect(alike(disc(red), disc(red, 0, 3))).toBeLessThan(TOO_ALIKE)
    expect(alike(disc(red), disc([205, 36, 38]))).toBeGreaterThan(TOO_ALIKE)
  })
  test('red and green come nearer to each other where a kind of cone is missing', () => {
    const every = alike(disc(red), disc(green))
    expect(alike(disc(red), disc(green), 'deutan')).toBeGreaterThan(every)
    expect(alike(disc(red), disc(green), 'tritan')).toBeLessThan(TOO_ALIKE)
  })
  test('grey is grey to every eye, and the matrix says what a single colour becomes', () => {
    for (const vision of VISIONS) {
      const [, a, b] = seenColour(vision, 120, 120, 120)
      expect(Math.hypot(a, b)).toBeLessThan(0.01)
      for (const row of visionMatrix(vision)) expect(row.reduce((x, y) => x + y, 0)).toBeCloseTo(1, 2)
    }
    expect(visionMatrix('everyone')).toEqual([
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ])
  })
})

test('a pair with several tags is used for any of them', () => {
  const pairs = pairsNamed(3).map((pair, i) => ({ ...pair, tags: i === 1 ? ['brass', 'round'] : ['wood'] }))
  expect(selectPairs(pairs, { tags: ['round'] })).toEqual([1])
})
