import { BACK_EDGE, EMBLEM, patternSvg, tileSide, tintColour } from '../../core/deck/back-look.ts'
import { ART_SHARE, FACE_INK, FACE_PAPER, faceWords } from '../../core/deck/face.ts'
import { LINE_HEIGHT, textSize } from '../../core/deck/fit-text.ts'
import type { Back } from '../../core/settings/back.ts'
import type { Face } from '../../core/deck/pair.ts'
import { backOf } from '../../core/game/backs.ts'
import type { Game } from '../../core/game/game.ts'
import { resolveLevel } from '../../core/settings/levels.ts'
import { good, type Result } from '../../core/result.ts'
import type { Speech } from '../../core/texts/speech.ts'
import { creditsOf, hasWordsOnCards } from '../credits.ts'
import { escapeHtml } from '../escape-html.ts'
import type { BuiltPlayer } from '../html.ts'
import { rulesSection } from './rules.ts'
import {
  cardsToPrint,
  EDGES,
  PAPERS,
  sheetCount,
  sheetLayout,
  type PaperOptions,
  type PrintedCard,
  type SheetLayout,
} from './sheets.ts'

/** px that a card on a table is wide: patterns are as fine on paper as there. */
const ON_TABLE = 100

/**
 * Browsers move the edges of boxes to whole px, a quarter of a mm. So a sheet is laid out this many times as large, and
 * made smaller as a whole.
 */
const LARGER = 10
const mm = (length: number): string => `${Number((length * LARGER).toFixed(2))}mm`
const box = (left: number, top: number, width: number, height: number): string =>
  `left:${mm(left)};top:${mm(top)};width:${mm(width)};height:${mm(height)}`

type Drawing = { game: Game; art: Record<string, string>; layout: SheetLayout }

/** A front, its paper printed beyond the cut. */
function front({ game, art, layout }: Drawing, { pair: at, side }: PrintedCard): string {
  const pair = game.deck.pairs[at]!
  const face: Face = (side === 'b' && pair.b) || pair.a
  const { width, height } = layout.card
  const colours = `background:${face.paper ?? FACE_PAPER};color:${face.ink ?? FACE_INK}`
  const words = (text: string): string => {
    const { byWidth, byHeight } = textSize(text, width / height)
    const size = Math.min(byWidth * width, byHeight * height)
    return `<b style="font-size:${mm(size)}">${escapeHtml(text)}</b>`
  }
  if (face.kind === 'text') return `<div class="paper" style="${colours}">${words(face.text)}</div>`
  const src = face.kind === 'picture' ? art[face.name] : face.src
  const share = ART_SHARE[face.kind]
  const size = `width:${mm(width * share)};height:${mm(height * share)}`
  const alt = escapeHtml(faceWords(face, pair.name))
  return `<div class="paper" style="${colours}"><img src="${escapeHtml(src ?? '')}" alt="${alt}" style="${size}"></div>`
}

/** The back, the colour of its edge printed beyond the cut. */
function backBox(back: Back, art: Record<string, string>, { card }: SheetLayout): string {
  const { width, height } = card
  const { image, tint, emblem, ink, paper } = back
  if (image) {
    const over = tint ? `<div class="all" style="background:${tintColour(tint)}"></div>` : ''
    return `<div class="paper" style="background:${ink}"><img class="all" src="${escapeHtml(image)}" alt="">${over}</div>`
  }
  const edge = EDGES.bleed + width * BACK_EDGE.share
  const tile = (tileSide(back.pattern) * width) / ON_TABLE
  const url = `data:image/svg+xml,${encodeURIComponent(patternSvg(back))}`
  const half = Math.min(width, height) / 2
  const disc = (share: number, colour: string): string =>
    `<i style="width:${mm(2 * half * share)};height:${mm(2 * half * share)};background:${colour}"></i>`
  const middle = emblem
    ? disc(EMBLEM.ring, ink) +
      disc(EMBLEM.disc, paper) +
      `<img src="${escapeHtml((emblem.kind === 'picture' ? art[emblem.name] : emblem.src) ?? '')}" alt="" style="width:${mm(width * EMBLEM.size)}">`
    : ''
  return `<div class="paper" style="background:${paper}"><div class="pattern" style="inset:${mm(edge)};background:url(&quot;${url}&quot;) center/${mm(tile)}"></div>${middle}</div>`
}

/** Marks to cut along, outside the cards: two for each row and column, at both ends. */
function marks({ columns, rows, card, left, top }: SheetLayout): string {
  const THICK = 0.15
  const cuts = (from: number, count: number, length: number): number[] =>
    Array.from({ length: count }, (_, i) => from + i * (length + EDGES.gap)).flatMap((at) => [
      at,
      at + length,
    ])
  const across = cuts(left, columns, card.width)
  const down = cuts(top, rows, card.height)
  const { markOff, mark } = EDGES
  const vertical = across.flatMap((x) =>
    [down[0]! - markOff - mark, down.at(-1)! + markOff].map((y) => box(x - THICK / 2, y, THICK, mark)),
  )
  const horizontal = down.flatMap((y) =>
    [across[0]! - markOff - mark, across.at(-1)! + markOff].map((x) => box(x, y - THICK / 2, mark, THICK)),
  )
  return [...vertical, ...horizontal].map((place) => `<s style="${place}"></s>`).join('')
}

/** One sheet. `mirrored`: its columns run the other way, as they do when the sheet is turned over its long edge. */
function sheet(layout: SheetLayout, contents: readonly string[], mirrored: boolean): string {
  const { columns, card, left, top } = layout
  const { bleed, gap } = EDGES
  const cards = contents.map((content, i) => {
    const column = mirrored ? columns - 1 - (i % columns) : i % columns
    const x = left + column * (card.width + gap) - bleed
    const y = top + Math.floor(i / columns) * (card.height + gap) - bleed
    return `<div class="card" style="${box(x, y, card.width + 2 * bleed, card.height + 2 * bleed)}">${content}</div>`
  })
  return `<section class="sheet"><div class="large">${cards.join('')}${marks(layout)}</div></section>`
}

const STYLE = `
*{box-sizing:border-box}
html{print-color-adjust:exact;-webkit-print-color-adjust:exact}
body{margin:0;background:#fff;color:#23243f;font:5mm/1.45 'Figtree Variable',system-ui,sans-serif}
.sheet{position:relative;contain:strict;break-after:page}
.sheet:last-child{break-after:auto}
.large{position:absolute;inset:0 auto auto 0;transform:scale(${1 / LARGER});transform-origin:0 0}
.card,.large>s,.all,.pattern{position:absolute}
.card{overflow:hidden}
.paper{position:absolute;inset:0;display:grid;place-items:center}
.paper>*{grid-area:1/1}
.paper img{object-fit:contain}
.all{inset:0;width:100%;height:100%}
.paper img.all{object-fit:cover}
.paper b{max-width:86%;font-family:'Bricolage Grotesque Variable','Figtree Variable',system-ui,sans-serif;font-weight:650;line-height:${LINE_HEIGHT};text-align:center;white-space:pre-line;overflow-wrap:anywhere}
.paper i{border-radius:50%}
.large>s{background:#000}
@media screen{.large>s{outline:1mm solid}}
.rules{padding:22mm 24mm;break-before:page}
.rules h1{margin:0;font-size:11mm;line-height:1.15}
.rules h2{margin:2mm 0 0;font-size:6mm;font-weight:500;color:#565775}
.rules svg{display:block;width:60mm;margin:9mm 0}
.rules ol{margin:9mm 0 0;padding:0 0 0 7mm;font-size:5.6mm}
.rules li{margin:0 0 3.5mm}
.rules footer{margin-top:12mm;padding-top:4mm;border-top:.3mm solid #d5cab4;color:#565775;font-size:3.2mm}
.rules footer p{margin:0 0 1mm}
`

/** What was laid out: the page, and how many sheets of cards it has, each with its backs. */
export type PaperPage = { html: string; sheets: number; cards: number }

/**
 * A game on paper: a page to print, its fronts and backs in turn, for both sides of a sheet that is turned over its
 * long edge, with marks to cut along; then the rules. In: a game in the language that is printed, its library pictures
 * as data URLs, that language, the built player for its type. Wrong: the level cannot be dealt, or no card fits.
 */
export function shipPaper(
  game: Game,
  art: Record<string, string>,
  speech: Speech,
  options: PaperOptions,
  { style, faceFont, credits }: Pick<BuiltPlayer, 'style' | 'faceFont' | 'credits'>,
): Result<PaperPage> {
  const layout = sheetLayout(game, options)
  if (!layout.ok) return layout
  const cards = cardsToPrint(game, options.level)
  if (!cards.ok) return cards
  const drawing: Drawing = { game, art, layout: layout.value }
  const level = game.levels.find(({ id }) => id === options.level)
  // of the whole deck, the backs are the deck's
  const back = backBox(level ? backOf(game, resolveLevel(game, level)) : game.deck.back, art, layout.value)
  const each = layout.value.columns * layout.value.rows
  const sheets = Array.from({ length: sheetCount(cards.value.length, layout.value) }, (_, i) => {
    const some = cards.value.slice(i * each, (i + 1) * each)
    const fronts = some.map((card) => front(drawing, card))
    const backs = some.map(() => back)
    return sheet(layout.value, fronts, false) + sheet(layout.value, backs, true)
  })
  const { name, width, height } = PAPERS[options.paper]
  // the program is not on the paper
  const sections = creditsOf(game, credits).filter(({ heading }) => heading !== 'creditProgram')
  const type = [...style.matchAll(/@font-face\{[^}]*\}/g)].map(([rule]) => rule).join('')
  const size = `@page{size:${name} portrait;margin:0}.sheet{width:${width}mm;height:${height}mm}`
  const html = `<!doctype html>
<html lang="${speech.language}" dir="${speech.direction}">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:; base-uri 'none'; form-action 'none'">
<title>${escapeHtml(game.title)}</title>
<style>${type}${hasWordsOnCards(game) ? faceFont.trim() : ''}${size}${STYLE}</style>
</head>
<body dir="ltr">
${sheets.join('\n')}
${rulesSection(game, options.level, cards.value, speech, sections)}
</body>
</html>
`
  return good({ html, sheets: sheets.length, cards: cards.value.length })
}
