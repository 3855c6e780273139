import { pictureTitle } from '../core/deck/picture-words.ts'
import type { Game } from '../core/game/game.ts'
import type { CreditPart } from '../core/texts/credit-part.ts'
import { picturesOf } from './pictures.ts'

/**
 * Something in a shipped file that somebody else made: its name, its maker, the short name of its licence, and its
 * text.
 */
export type Work = { name: string; by: string; licence: string; text: string }
/** Who made what is in the built player: player-credits.json beside its script. */
export type PlayerCredits = { pictures: Work; type: [texts: Work, faces: Work]; program: Work[] }

/** How the credits name this program. */
const OWN = 'Lucky Twin'

/** Whether a game shows words on its cards, in a typeface of their own. */
export const hasWordsOnCards = ({ deck }: Pick<Game, 'deck'>): boolean =>
  deck.pairs.some(({ a, b }) => a.kind === 'text' || b?.kind === 'text')

/** The typefaces in a shipped game: the second is that of words on cards. */
const typeIn = (game: Game, [texts, faces]: PlayerCredits['type']): Work[] =>
  hasWordsOnCards(game) ? [texts, faces] : [texts]

const lineOf = ({ name, by, licence }: Work): string => `${name}${by ? `, ${by}` : ''} (${licence})`

/**
 * The credits of a shipped game, for exactly what is inside: the author's own lines, its library pictures by name, its
 * type, its program.
 */
export function creditsOf(game: Game, { pictures, type, program }: PlayerCredits): CreditPart[] {
  const own = game.credits ?? []
  const titles = picturesOf(game).map(pictureTitle)
  const parts: CreditPart[] = [
    ...(own.length ? [{ lines: own }] : []),
    ...(titles.length
      ? [{ heading: 'creditPictures' as const, lines: [[...new Set(titles)].join(', '), lineOf(pictures)] }]
      : []),
    { heading: 'creditType', lines: typeIn(game, type).map(lineOf) },
    { heading: 'creditProgram', lines: program.map(lineOf) },
  ]
  return parts
}

/**
 * What others made of what is in a shipped page, in a project to go on with, and in a kit: of the last two, the
 * pictures and this program's own code only.
 */
export const worksIn = {
  page: (game: Game, credits: PlayerCredits): Work[] => [
    ...worksIn.kit(game, credits),
    ...typeIn(game, credits.type),
    ...credits.program,
  ],
  project: (game: Game, credits: PlayerCredits): Work[] => [
    ...worksIn.kit(game, credits),
    ...credits.program.filter(({ name }) => name === OWN),
  ],
  kit: (game: Game, { pictures }: PlayerCredits): Work[] => (picturesOf(game).length ? [pictures] : []),
}

/**
 * LICENSES.txt: the author's own credits, and every licence in full. In: a game, and the works that are in what is
 * shipped.
 */
export function licensesText(game: Game, works: readonly Work[]): string {
  const own = [game.title, ...(game.credits?.length ? [game.credits.join('\n')] : [])].join('\n\n')
  if (!works.length) return `${own}\n`
  const full = works.map((work) => `${'-'.repeat(72)}\n${lineOf(work)}\n\n${work.text.trim()}\n`)
  return `${own}\n\nThis contains the works below, under their licences.\n\n${full.join('\n')}`
}

/** The lines of a licence that are about one work alone, and those that all works under it share. */
function partsOf({ text }: Work): { own: string[]; shared: string } {
  const lines = text.trim().split('\n')
  const isOwn = (line: string): boolean => /^copyright (\(c\)|©|\d)/i.test(line)
  const shared = lines.filter((line) => !isOwn(line) && !/^(the )?mit license( \(mit\))?$/i.test(line.trim()))
  return { own: lines.filter(isOwn), shared: shared.join('\n').trim() }
}

/**
 * The notices that licences ask for, to stand inside a shipped page: the copyright lines of every work, and the text of
 * each licence once.
 */
export function noticesText(works: readonly Work[]): string {
  const licences = new Map<string, { heads: string[]; shared: string }>()
  for (const work of works) {
    const { own, shared } = partsOf(work)
    // two copies of a licence may be set in other lines
    const key = shared.toLowerCase().replace(/[^a-z]/g, '')
    const licence = licences.get(key) ?? { heads: [], shared }
    licence.heads.push([lineOf(work), ...own].join('\n'))
    licences.set(key, licence)
  }
  return [...licences.values()].map(({ heads, shared }) => `${heads.join('\n')}\n\n${shared}\n`).join('\n\n')
}
