import { writeFileSync } from 'node:fs'
import { PNG } from 'pngjs'
import { DEFAULT_BACK } from '../../src/core/settings/back.ts'
import { cutSheet } from '../../src/core/deck/sheet.ts'
import { prepareDeal } from '../../src/core/deal/deal.ts'
import { outlineGaps } from '../../src/core/board/outlines.ts'
import { cardName } from '../../src/core/deck/card-name.ts'
import { writeGame } from '../../src/core/files/game-file.ts'
import type { Game } from '../../src/core/game/game.ts'
import { type Level, resolveLevel } from '../../src/core/settings/levels.ts'
import type { Pair } from '../../src/core/deck/pair.ts'
import { newId } from '../../src/core/settings/new-id.ts'
import { CARD_RATIOS, DEFAULTS } from '../../src/core/settings/settings.ts'
import { NO_CARD } from '../../src/core/deck/card.ts'

/**
 * Draws the sheet of the demo game "The Tile Yard", cuts it as the studio does, and writes sheet and game into demo/.
 */

const TILE = 96
const CUT = { by: 'size', width: TILE, height: TILE, margin: 12, spacing: 8 } as const
const [COLUMNS, ROWS] = [6, 4]
/** Each px is sampled at this many points a side, for smooth edges. */
const FINE = 4

type Colour = readonly [number, number, number]
const hex = (text: string): Colour =>
  [1, 3, 5].map((at) => parseInt(text.slice(at, at + 2), 16)) as unknown as Colour
const CLAY = hex('#b5522b')
const SAND = hex('#ead9b5')
const SLATE = hex('#35506b')
const MILK = hex('#f7f3e8')
const MOSS = hex('#5d7a3a')
const OCHRE = hex('#dfa531')
const PLUM = hex('#6d3552')
const SEA = hex('#2f8f93')

const { abs, floor, hypot, sin, max, min, atan2, PI } = Math
const mod = (x: number, n: number): number => x - n * floor(x / n)
/** A tile's glaze: which of its colours lies at x, y, both −1 to 1 from its middle. */
type Glaze = (x: number, y: number) => number
type Design = [name: string, colours: Colour[], tags: string[], glaze: Glaze]

const ring = (x: number, y: number, from: number, to: number): boolean =>
  hypot(x, y) >= from && hypot(x, y) < to
const DESIGNS: Design[] = [
  ['Plain border', [CLAY, SAND], ['clay', 'lines'], (x, y) => (max(abs(x), abs(y)) > 0.62 ? 0 : 1)],
  ['Upright bars', [SLATE, MILK], ['slate', 'lines'], (x) => floor(mod(x * 2.5, 2))],
  ['Level bars', [MOSS, SAND], ['moss', 'lines'], (_, y) => floor(mod(y * 2 + 0.5, 2))],
  ['Slant', [OCHRE, PLUM], ['ochre', 'lines'], (x, y) => floor(mod((x + y) * 1.5, 2))],
  ['Chequer', [PLUM, MILK], ['plum', 'squares'], (x, y) => mod(floor(x * 2) + floor(y * 2), 2)],
  ['Great disc', [SEA, MILK], ['sea', 'rounds'], (x, y) => (hypot(x, y) < 0.72 ? 1 : 0)],
  [
    'Target',
    [CLAY, MILK],
    ['clay', 'rounds'],
    (x, y) => (ring(x, y, 0, 0.25) || ring(x, y, 0.5, 0.78) ? 0 : 1),
  ],
  [
    'Four quarters',
    [SLATE, OCHRE],
    ['slate', 'rounds'],
    (x, y) => (hypot(abs(x) - 1, abs(y) - 1) < 0.85 ? 0 : 1),
  ],
  ['Lozenge', [MOSS, OCHRE], ['moss', 'points'], (x, y) => (abs(x) + abs(y) < 0.85 ? 1 : 0)],
  ['Hourglass', [OCHRE, SLATE], ['ochre', 'points'], (x, y) => (abs(y) > abs(x) ? 1 : 0)],
  ['Pinwheel', [PLUM, SAND], ['plum', 'points'], (x, y) => mod(floor((atan2(y, x) / PI) * 4), 2)],
  ['Cross', [SEA, SAND], ['sea', 'squares'], (x, y) => (min(abs(x), abs(y)) < 0.24 ? 0 : 1)],
  ['Waves', [SLATE, SAND], ['slate', 'rounds'], (x, y) => floor(mod(y * 2.2 + 0.35 * sin(x * PI * 2), 2))],
  ['Saw teeth', [CLAY, OCHRE], ['clay', 'points'], (x, y) => (mod(y, 1) > abs(mod(x * 2, 2) - 1) ? 1 : 0)],
  [
    'Five dots',
    [MOSS, MILK],
    ['moss', 'rounds'],
    (x, y) => (min(hypot(x, y), hypot(abs(x) - 0.58, abs(y) - 0.58)) < 0.25 ? 1 : 0),
  ],
  ['Stair', [OCHRE, MILK], ['ochre', 'squares'], (x, y) => (floor((x + 1) * 2) > floor((y + 1) * 2) ? 0 : 1)],
  [
    'Rosette',
    [PLUM, OCHRE],
    ['plum', 'points'],
    (x, y) => (hypot(x, y) < 0.45 + 0.38 * abs(abs(mod(atan2(y, x) / (PI / 4), 2)) - 1) ? 1 : 0),
  ],
  [
    'Frame and eye',
    [SEA, CLAY],
    ['sea', 'squares'],
    (x, y) => (max(abs(x), abs(y)) > 0.72 || hypot(x, y) < 0.34 ? 1 : 0),
  ],
  ['Half and half', [CLAY, SLATE], ['clay', 'points'], (x, y) => (x > y ? 0 : 1)],
  [
    'Arches',
    [SLATE, MILK],
    ['slate', 'rounds'],
    (x, y) => (hypot(mod(x + 1, 1) - 0.5, mod(y + 1, 1) - 0.9) < 0.42 ? 1 : 0),
  ],
  [
    'Bricks',
    [MOSS, SAND],
    ['moss', 'squares'],
    (x, y) => (mod(y + 1, 0.5) < 0.09 || mod(x + (mod(floor((y + 1) / 0.5), 2) ? 0.5 : 0), 1) < 0.09 ? 1 : 0),
  ],
  [
    'Window',
    [OCHRE, SEA],
    ['ochre', 'squares'],
    (x, y) => (max(abs(abs(x) - 0.45), abs(abs(y) - 0.45)) < 0.33 ? 1 : 0),
  ],
  [
    'Moon',
    [PLUM, MILK],
    ['plum', 'rounds'],
    (x, y) => (hypot(x, y) < 0.75 && hypot(x - 0.32, y - 0.1) > 0.55 ? 1 : 0),
  ],
  [
    'Spiral',
    [SEA, OCHRE],
    ['sea', 'rounds'],
    (x, y) => (mod(hypot(x, y) * 2.6 - atan2(y, x) / PI / 2, 1) < 0.5 ? 1 : 0),
  ],
]

function drawTile(png: PNG, left: number, top: number, [, colours, , glaze]: Design): void {
  for (let py = 0; py < TILE; py++)
    for (let px = 0; px < TILE; px++) {
      const sum = [0, 0, 0]
      for (let i = 0; i < FINE * FINE; i++) {
        const x = ((px + ((i % FINE) + 0.5) / FINE) / TILE) * 2 - 1
        const y = ((py + (floor(i / FINE) + 0.5) / FINE) / TILE) * 2 - 1
        const colour = colours[glaze(x, y)]!
        for (let c = 0; c < 3; c++) sum[c]! += colour[c]! / FINE / FINE
      }
      const at = ((top + py) * png.width + left + px) * 4
      for (let c = 0; c < 3; c++) png.data[at + c] = Math.round(sum[c]!)
      png.data[at + 3] = 255
    }
}

const side = (count: number): number => 2 * CUT.margin + count * TILE + (count - 1) * CUT.spacing
const sheet = new PNG({ width: side(COLUMNS), height: side(ROWS) })
const cut = cutSheet(sheet.width, sheet.height, CUT)
if (!cut.ok) throw new Error(cut.problem.message)
cut.value.tiles.forEach(({ x, y }, i) => drawTile(sheet, x, y, DESIGNS[i]!))
writeFileSync('demo/tile-yard.png', PNG.sync.write(sheet, { deflateLevel: 9 }))

const ids: string[] = []
const pairs: Pair[] = cut.value.tiles.map((tile, i) => {
  const [name, , tags] = DESIGNS[i]!
  const id = newId(name, ids, 'tile')
  ids.push(id)
  const own = new PNG({ width: TILE, height: TILE })
  PNG.bitblt(sheet, own, tile.x, tile.y, TILE, TILE, 0, 0)
  const src = `data:image/png;base64,${PNG.sync.write(own, { deflateLevel: 9 }).toString('base64')}`
  return { id, name, tags, a: { kind: 'image', src, alt: `${name} tile` } }
})

const levels: Level[] = [
  {
    id: 'sorted',
    name: 'Sorted rows',
    board: { rows: 3, columns: 4 },
    fill: { pick: 'first' },
    deal: { way: 'in-order' },
  },
  { id: 'mixed', name: 'Mixed pallet' },
  { id: 'stacked', name: 'Stacked close', board: { rows: 4, columns: 5 }, deal: { way: 'close', steps: 1 } },
  {
    id: 'scattered',
    name: 'Scattered',
    board: { rows: 5, columns: 6 },
    deal: { way: 'apart', steps: 2 },
    clock: { mode: 'up' },
  },
  {
    id: 'courtyard',
    name: 'The courtyard',
    board: { rows: 6, columns: 6, gaps: outlineGaps('diamond', 6, 6) },
    deal: { way: 'arranged' },
  },
]
const game: Game = {
  id: 'tile-yard',
  title: 'The Tile Yard',
  deck: { back: { ...DEFAULT_BACK, pattern: 'rivets', ink: '#7a5a2f', paper: '#f5ead6' }, pairs },
  house: {
    ...DEFAULTS,
    turn: { ...DEFAULTS.turn, onMatch: 'fade' },
    layout: { ...DEFAULTS.layout, ratio: CARD_RATIOS.square },
    look: { ...DEFAULTS.look, table: '#4a5240' },
  },
  levels,
}
// the courtyard is laid once, as if by hand: a deal in which twins face each other across the yard
const yard = levels.at(-1)!
const across = prepareDeal(pairs, {
  ...resolveLevel(game, yard),
  deal: { ...DEFAULTS.deal, way: 'apart', steps: 3 },
})
if (!across.ok) throw new Error(across.problem.message)
yard.deal = {
  way: 'arranged',
  arranged: across.value.deal('courtyard').map((card) => (card === NO_CARD ? null : cardName(card, pairs))),
}
writeFileSync('demo/tile-yard.game.json', writeGame(game))
