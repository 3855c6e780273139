import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { settingsWith } from '../testing/games.ts'
import { figuresOf } from '../settings/figures.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { FIGURES, STANDS, type Settings } from '../settings/settings.ts'
import { frameFor, FRAME_NAMES, FRAMES, keepsSize, layoutIn, mmIn } from './frames.ts'
import {
  cellAt,
  figuresInRow,
  layout,
  roomAround,
  standingOf,
  tableArea,
  tableSurface,
  TOUCHABLE,
  type Surface,
} from './geometry.ts'

const surfaces = fc.record({
  width: fc.integer({ min: 320, max: 2000 }),
  height: fc.integer({ min: 320, max: 1400 }),
  margin: fc.integer({ min: 0, max: 24 }),
  gap: fc.record({ across: fc.integer({ min: 0, max: 6 }), down: fc.integer({ min: 0, max: 6 }) }),
  card: fc.record({ ratio: fc.constantFrom(1 / 3, 0.7, 0.84, 1, 1.25, 3) }),
  stands: fc.constantFrom(...STANDS),
})
const side = fc.integer({ min: 1, max: 20 })

const fits = (surface: Surface, width: number, rows: number, columns: number): boolean => {
  const { margin, gap, card } = surface
  const height = Math.max(1, Math.round(width / (card as { ratio: number }).ratio))
  return (
    columns * width + (columns - 1) * gap.across <= surface.width - 2 * margin &&
    rows * height + (rows - 1) * gap.down <= surface.height - 2 * margin
  )
}

describe('layout', () => {
  test('cards fit, and a card one px wider would not', () => {
    fc.assert(
      fc.property(surfaces, side, side, (surface, rows, columns) => {
        const { card } = layout(surface, rows, columns)
        expect(card.width === 1 || fits(surface, card.width, rows, columns)).toBe(true)
        expect(fits(surface, card.width + 1, rows, columns)).toBe(false)
        expect(card.height).toBe(Math.max(1, Math.round(card.width / surface.card.ratio)))
      }),
    )
  })

  test('the grid stands where it should, to the px', () => {
    fc.assert(
      fc.property(surfaces, side, side, (surface, rows, columns) => {
        const { card, grid, places } = layout(surface, rows, columns)
        fc.pre(card.width > 1)
        const last = places.at(-1)!
        const { stands, margin } = surface
        const after = { x: surface.width - last.x - last.width, y: surface.height - last.y - last.height }
        if (stands.endsWith('left')) expect(grid.x).toBe(margin)
        else if (stands.endsWith('right')) expect(after.x).toBe(margin)
        else expect(Math.abs(grid.x - after.x)).toBeLessThanOrEqual(1)
        if (stands.startsWith('top')) expect(grid.y).toBe(margin)
        else if (stands.startsWith('bottom')) expect(after.y).toBe(margin)
        else expect(Math.abs(grid.y - after.y)).toBeLessThanOrEqual(1)
      }),
    )
  })

  test('a press counts exactly within the rectangle of its card', () => {
    fc.assert(
      fc.property(surfaces, side, side, fc.nat(399), (surface, rows, columns, n) => {
        const board = layout(surface, rows, columns)
        const cell = n % (rows * columns)
        const { x, y, width, height } = board.places[cell]!
        expect(cellAt(board, x, y)).toBe(cell)
        expect(cellAt(board, x + width - 0.01, y + height - 0.01)).toBe(cell)
        if (surface.gap.across > 0) {
          expect(cellAt(board, x - 0.01, y)).not.toBe(cell)
          expect(cellAt(board, x + width, y)).toBe(-1)
        }
        if (surface.gap.down > 0) expect(cellAt(board, x, y + height)).toBe(-1)
      }),
    )
  })
})

const px = (bound: readonly [number, number]): fc.Arbitrary<number> =>
  fc.integer({ min: bound[0], max: bound[1] })
const ownLayout: fc.Arbitrary<Partial<Settings['layout']>> = fc.record({
  size: fc.option(fc.record({ width: px(BOUNDS.card), height: px(BOUNDS.card) })),
  gapAcross: fc.option(px(BOUNDS.gap)),
  gapDown: fc.option(px(BOUNDS.gap)),
  margin: fc.option(px(BOUNDS.margin)),
  stands: fc.constantFrom(...STANDS),
})
const laid = (rows: number, columns: number, own: Partial<Settings['layout']> = {}): Settings =>
  settingsWith({ board: { rows, columns }, layout: own })

describe('a size of their own', () => {
  test('is kept where it fits: 80 × 100 px with 10 px between', () => {
    const settings = laid(4, 4, { size: { width: 80, height: 100 }, gapAcross: 10, gapDown: 10, margin: 0 })
    const { card, places } = layout(tableSurface(800, 600, settings), 4, 4)
    expect(card).toEqual({ width: 80, height: 100 })
    expect([places[1]!.x - places[0]!.x, places[4]!.y - places[0]!.y]).toEqual([90, 110])
    expect(places[0]).toMatchObject({ x: 225, y: 85 })
  })

  test('is made smaller evenly where it does not, gaps and margin with it', () => {
    const settings = laid(2, 2, { size: { width: 400, height: 200 }, gapAcross: 40, gapDown: 20, margin: 20 })
    // 880 px are wanted across, and there are 440
    const surface = tableSurface(440, 400, settings)
    expect(layout(surface, 2, 2)).toMatchObject({
      card: { width: 200, height: 100 },
      gap: { across: 20, down: 10 },
    })
    expect(surface.margin).toBe(10)
  })

  test('never leaves the table, on any screen and with any gaps', () => {
    fc.assert(
      fc.property(
        side,
        side,
        ownLayout,
        fc.constantFrom(...Object.values(FRAMES)),
        (rows, columns, own, screen) => {
          const settings = laid(rows, columns, own)
          const { card, grid, width, height } = layoutIn({ ...screen, safe: 0 }, settings)
          fc.pre(card.width > 1 && card.height > 1)
          expect(grid.x).toBeGreaterThanOrEqual(0)
          expect(grid.y).toBeGreaterThanOrEqual(0)
          expect(grid.x + grid.width).toBeLessThanOrEqual(width)
          expect(grid.y + grid.height).toBeLessThanOrEqual(height)
          if (own.size) {
            // one factor for both sides, whole px aside
            const { size } = own
            const share = Math.min(card.width / size.width, card.height / size.height)
            expect(Math.abs(card.width - size.width * share)).toBeLessThanOrEqual(
              size.width / size.height + 1,
            )
            expect(Math.abs(card.height - size.height * share)).toBeLessThanOrEqual(
              size.height / size.width + 1,
            )
          }
        },
      ),
    )
  })
})

describe('a phone held sideways', () => {
  const { width, height } = FRAMES['phone-across']
  const settings = laid(6, 6)
  test('has its figures beside the board, and six rows of six can be touched', () => {
    expect(standingOf(width, height)).toBe('across')
    const { card } = layoutIn({ width, height, safe: 0 }, settings)
    expect(Math.min(card.width, card.height)).toBeGreaterThanOrEqual(TOUCHABLE)
    // with what stands above and below a board on a wide screen they could not be
    const { head, bar, foot } = roomAround(1280, 800, settings)
    const above = layout(tableSurface(width, height - head - bar - foot, settings), 6, 6)
    expect(Math.min(above.card.width, above.card.height)).toBeLessThan(TOUCHABLE)
  })
  test.each([
    [360, 640, 'narrow'],
    [320, 568, 'narrow'],
    [1024, 768, 'wide'],
    [768, 1024, 'wide'],
    [1280, 800, 'wide'],
    [568, 320, 'across'],
  ])('%i × %i is %s', (w, h, standing) => {
    expect(standingOf(w, h)).toBe(standing)
    const { head, bar, foot, side } = roomAround(w, h, settings)
    expect(tableArea(w, h, settings)).toEqual({ width: w - side, height: h - head - bar - foot })
  })
})

test.each([
  [1280, 800, 4, 4],
  [768, 1024, 4, 2],
  [768, 1024, 3, 3],
  [360, 640, 4, 4],
  [360, 640, 5, 3],
  [568, 320, 5, 2],
  [360, 640, 0, 1],
])('at %i × %i, %i figures stand in lines of %i', (width, height, count, inRow) => {
  const { clock, head, ...others } = laid(4, 4)
  const settings: Settings = {
    ...others,
    clock: { ...clock, mode: 'down' },
    head: { ...head, figures: FIGURES.slice(0, count) },
  }
  expect(figuresOf(settings)).toHaveLength(count)
  expect(figuresInRow(width, standingOf(width, height), settings)).toBe(inRow)
})

test('gaps give way before cards are too small to touch, and only then', () => {
  const usual = tableSurface(360, 490, laid(4, 4))
  const small = tableSurface(360, 490, laid(8, 8))
  expect(usual.gap.across).toBeGreaterThan(small.gap.across)
  expect(small).toMatchObject({ gap: { across: 4, down: 4 }, margin: 8 })
  // what the level says itself stays
  expect(tableSurface(360, 490, laid(8, 8, { gapAcross: 6 })).gap).toEqual({ across: 6, down: 4 })
})

test('a screen of any size counts mm as the known one that is most like it', () => {
  for (const name of FRAME_NAMES) expect(mmIn(FRAMES[name])).toBe(FRAMES[name].mm)
  const sizes: [number, number, number][] = [
    [412, 915, FRAMES.phone.mm],
    [915, 412, FRAMES['phone-across'].mm],
    [820, 1180, FRAMES['tablet-upright'].mm],
    [1920, 1080, FRAMES.desktop.mm],
  ]
  for (const [width, height, mm] of sizes) expect(mmIn({ width, height })).toBe(mm)
})

test('a frame grows until cards of one size keep it, and not for others', () => {
  const usual = { width: 400, height: 700, safe: 0 }
  const fits = settingsWith({ board: { rows: 10, columns: 10 } })
  const large = [1, 6].map((rows) =>
    settingsWith({ board: { rows, columns: 6 }, layout: { size: { width: 150, height: 180 } } }),
  )
  expect(large.map((level) => keepsSize(usual, level))).toEqual([false, false])
  const frame = frameFor(usual, [fits, ...large])
  expect(large.map((level) => keepsSize(frame, level))).toEqual([true, true])
  const less = { ...frame, width: frame.width - 60, height: frame.height - 60 }
  expect(keepsSize(less, large[1]!)).toBe(false)
  expect(frameFor(usual, [fits])).toEqual(usual)
})

test('large figures take more of the screen, and fewer of them stand in a line', () => {
  const figures = FIGURES.filter((name) => name !== 'lives')
  const room = (width: number, height: number, size: 'usual' | 'large') =>
    roomAround(width, height, settingsWith({ head: { figures, size }, clock: { mode: 'down' } }))
  // 8 figures: two lines of four, three of three; on a wide screen all in one line
  expect([room(360, 640, 'usual').head, room(360, 640, 'large').head]).toEqual([56 + 2 * 48, 56 + 3 * 62])
  expect([room(1920, 1080, 'usual').head, room(1920, 1080, 'large').head]).toEqual([58, 70])
  expect(room(780, 360, 'large')).toEqual(room(780, 360, 'usual'))
})
