import { openCells } from '../../core/board/cells.ts'
import type { Game } from '../../core/game/game.ts'
import { howToPlay } from '../../core/game/how-to.ts'
import { findLevel, resolveLevel } from '../../core/settings/levels.ts'
import type { Settings } from '../../core/settings/settings.ts'
import type { CreditPart } from '../../core/texts/credit-part.ts'
import type { Speech } from '../../core/texts/speech.ts'
import { escapeHtml } from '../escape-html.ts'
import { PAPER_WORDS } from './words.ts'
import type { PrintedCard } from './sheets.ts'

/** Units of the drawing of a board: a card and its distance to the next. */
const CELL = { width: 84, height: 100, apart: 14 } as const

/** The board from above: where cards lie, and where none does. */
function drawnBoard({ board }: Settings): string {
  const [across, down] = [CELL.width + CELL.apart, CELL.height + CELL.apart]
  const open = new Set(openCells(board))
  const cards = Array.from({ length: board.rows * board.columns }, (_, cell) => {
    const place = `x="${(cell % board.columns) * across}" y="${Math.floor(cell / board.columns) * down}"`
    const look = open.has(cell)
      ? 'fill="#d9673c"'
      : 'fill="none" stroke="#d5cab4" stroke-width="3" stroke-dasharray="10 10"'
    return `<rect ${place} width="${CELL.width}" height="${CELL.height}" rx="10" ${look}/>`
  })
  const [width, height] = [board.columns * across - CELL.apart, board.rows * down - CELL.apart]
  return `<svg viewBox="-2 -2 ${width + 4} ${height + 4}" role="img" aria-label="${board.rows} × ${board.columns}">${cards.join('')}</svg>`
}

/**
 * The rules of a level on a page, told from its settings in the language that is given; of the whole deck if there is
 * no level: then what belongs to a level is left out.
 */
export function rulesSection(
  game: Game,
  level: string | null,
  cards: readonly PrintedCard[],
  speech: Speech,
  credits: readonly CreditPart[],
): string {
  const match = level === null ? undefined : findLevel(game, level)
  const settings = match ? resolveLevel(game, match) : game.house
  const words = PAPER_WORDS[speech.language]
  const fill = (text: string, values: Record<string, number>): string =>
    text.replace(/\{(\w+)\}/g, (_, key: string) => speech.number(values[key]!))
  const { rows, columns, gaps } = settings.board
  const related = cards.some(({ pair }) => game.deck.pairs[pair]!.b)
  const isMany = settings.players.names.length > 1
  const layOut = !match ? words.layOutAll : gaps.length ? words.layOutDrawn : words.layOut
  const { opening, own, turn, rest } = howToPlay(settings, related, speech)
  const sentences = [turn, words.take, words.turnBack]
  const lines = [
    fill(layOut, { n: cards.length, rows, columns }),
    ...(own ? [own] : sentences),
    ...(isMany ? [settings.players.matchGoesAgain ? words.goAgain : words.next, words.most] : []),
    ...(match && !own ? rest : []),
  ]
  const list = lines.map((line) => `<li>${escapeHtml(line)}</li>`).join('')
  const sections = credits.map(({ heading, lines: own }) =>
    [...(heading ? [`${speech.say(heading)}: ${own.join(' · ')}`] : own)]
      .map((line) => `<p>${escapeHtml(line)}</p>`)
      .join(''),
  )
  return `<section class="rules" dir="${speech.direction}">
<h1>${escapeHtml(game.title)}</h1>
${match ? `<h2>${escapeHtml(match.name)}</h2>` : ''}
${opening ? `<p>${escapeHtml(opening)}</p>` : ''}
<ol>${list}</ol>
${match ? drawnBoard(settings) : ''}
<footer>${sections.join('')}</footer>
</section>`
}
