import { expect, test } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { FRAMES, layoutIn } from '../src/core/board/frames.ts'
import { cellName } from '../src/core/board/cells.ts'
import { resolveLevel } from '../src/core/settings/levels.ts'
import { BUTTONS, FIGURES } from '../src/core/settings/settings.ts'
import { readGame, writeGame } from '../src/core/files/game-file.ts'
import type { Own } from '../src/core/settings/levels.ts'
import { cards } from './helpers.ts'
import { luckyTwin } from './lucky-twin.ts'

test.use({ contextOptions: { reducedMotion: 'reduce' } })

/** The shipped page of the clockmaker's game with one level that sets all this itself, and that level's rules. */
async function shipped(own: Own): Promise<{ file: string; settings: ReturnType<typeof resolveLevel> }> {
  const folder = mkdtempSync(join(tmpdir(), 'geometry-'))
  const read = readGame(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  if (!read.ok) throw new Error(read.problem.message)
  const game = read.value
  const [first] = game.levels
  game.levels = [{ id: first!.id, name: first!.name, ...own }]
  const [path, file] = [join(folder, 'one.game.json'), join(folder, 'one.html')]
  writeFileSync(path, writeGame(game))
  await luckyTwin('ship', path, '--to', file)
  return { file, settings: resolveLevel(game, game.levels[0]) }
}

const players = (count: number): Own['players'] => ({
  names: Array.from({ length: count }, (_, i) => `Player ${i + 1}`),
  matchGoesAgain: true,
})
const board = { rows: 4, columns: 4, gaps: [] }
const CASES: [string, Own][] = [
  [
    'with all figures and the title',
    {
      board,
      clock: { mode: 'down', limit: 90_000 },
      limits: { lives: 9 },
      head: { figures: [...FIGURES], title: true },
    },
  ],
  [
    'with all buttons, and large figures',
    {
      board,
      clock: { mode: 'down', limit: 90_000 },
      limits: { lives: 9 },
      head: { figures: [...FIGURES], buttons: [...BUTTONS], size: 'large' },
    },
  ],
  ['without a clock', { board, clock: { mode: 'off' } }],
  ['with a clock that counts down', { board, clock: { mode: 'down', limit: 90_000 } }],
  ['with two players', { board, clock: { mode: 'off' }, players: players(2) }],
  [
    'with four players and a clock',
    {
      board: { rows: 6, columns: 5, gaps: [] },
      fill: { repeat: 'evenly' },
      clock: { mode: 'down', limit: 90_000 },
      players: players(4),
    },
  ],
  [
    'with a button that turns cards back',
    { board, clock: { mode: 'up' }, turn: { onMiss: 'button' }, limits: { lives: 3 } },
  ],
  [
    'with cards of their own size, at the lower left',
    {
      board,
      layout: {
        size: { width: 80, height: 100 },
        gapAcross: 10,
        gapDown: 24,
        margin: 6,
        stands: 'bottom-left',
      },
    },
  ],
  [
    'with cards too large for most screens, four players and a button',
    {
      board,
      layout: { size: { width: 400, height: 220 }, margin: 40 },
      players: players(4),
      clock: { mode: 'down', limit: 90_000 },
      turn: { onMiss: 'button' },
    },
  ],
  [
    'with broad cards and wide gaps at the top',
    {
      board: { rows: 5, columns: 6, gaps: ['C3', 'D3'] },
      fill: { repeat: 'evenly' },
      layout: { ratio: 2, gapAcross: 60, gapDown: 2, stands: 'top' },
    },
  ],
]

for (const [what, own] of CASES)
  test(`the placement table has the cards where the player lays them: ${what}`, async ({ page }) => {
    const { file, settings } = await shipped(own)
    const gaps = new Set(settings.board.gaps)
    await page.goto(`file://${file}`)
    await expect(cards(page).first()).toBeVisible()
    for (const { width, height } of Object.values(FRAMES)) {
      await page.setViewportSize({ width, height })
      const { places } = layoutIn({ width, height, safe: 0 }, settings)
      // their final places, however they move on the way there
      const laid = () =>
        cards(page).evaluateAll((cards) =>
          (cards as HTMLElement[]).map(
            ({ offsetLeft: x, offsetTop: y, offsetWidth: w, offsetHeight: h }) => ({
              x,
              y,
              width: w,
              height: h,
            }),
          ),
        )
      await expect
        .poll(laid, `${width} × ${height}`)
        .toEqual(places.filter((_, cell) => !gaps.has(cellName(cell, settings.board.columns))))
      // nothing around the table is cut off
      const cut = await page
        .locator('.lt-head, .lt-foot, .lt-seat')
        .evaluateAll((boxes) =>
          boxes.filter((box) => box.scrollHeight > box.clientHeight + 1).map((box) => box.className),
        )
      expect(cut).toEqual([])
    }
  })
