import type { DealCode } from '../deal/deal.ts'
import type { Lever } from '../odds/levers.ts'
import type { Limit } from '../odds/winning.ts'
import type { Section } from '../settings/settings.ts'

/**
 * Where in a game a finding is: in the rules of a level, by its place in the ladder from 0, or of the house (null); in
 * the deck; in a kept check. `key` may be empty.
 */
export type Where =
  | { level: number | null; section: Section; key: string }
  | { level: null; section: 'deck' | 'checks'; key: string }

/** The looks at open cards, by their key in the rules of a turn. */
export type LookKey = 'firstLook' | 'matchLook' | 'missLook'

/** The values of each finding, for the words and the mends. */
type Values = {
  'gap-outside': { gap: string; rows: number; columns: number }
  'unknown-pair': { name: string }
  'unknown-tag': { name: string }
  'unknown-picture': { holder: string; name: string }
  /** `by`: the limit that stops even perfect luck */
  'cannot-be-won': { by: 'turns'; pairs: number; turns: number } | { by: 'clock' }
  /**
   * a perfect memory wins `won` of `games` under this limit alone; `games` 0: fewer than 1 of 20. With `enough` it wins
   * 9 of 10; null: no value does; missing: not worked out.
   */
  'needs-luck': { by: Limit; limit: number; won: number; games: number; enough?: number | null }
  /**
   * everyday players won `won` of `games`; `enough`: with this value 7 of 10 of them win; null: not worked out, or no
   * value does
   */
  'hardly-won': { by: Lever; won: number; games: number; enough: number | null }
  /** fleeting players won `won` of `games`, although there is a limit; with `enough` 9 of 10 of them win */
  'hardly-lost': { by: Lever; won: number; games: number; enough: number | null }
  /**
   * everyday players win more than on the level before, given by its name: the counts there and here, 0 of 0 if nothing
   * can be lost; with `enough` they win as many
   */
  'easier-than-before': {
    before: string
    there: { won: number; games: number }
    here: { won: number; games: number }
    by: Lever | null
    enough: number | null
  }
  'missing-alt': { pair: string }
  'missing-alt-behind': Record<never, never>
  /** the name of the first of them, and how many more there are */
  'unused-pairs': { names: string[]; more: number }
  /** a card this many px wide, on a screen of this size, where `touchable` px can be touched */
  'tiny-cards': { card: number; touchable: number; width: number; height: number }
  /** the same on a phone held sideways, if the cards are large enough on one held upright */
  'tiny-across': { card: number; touchable: number; width: number; height: number }
  /** a card turns for `flip` ms, longer than it stays open in a look: the shortest of those that are too short */
  'flip-beyond-look': { flip: number; look: number; key: LookKey }
  /** two pairs by name, the id of the second, and how many more such twos there are */
  'look-alikes': { one: string; other: string; id: string; more: number }
  'back-like-face': { pair: string }
  'kept-check-failed': { check: string; why: string }
} & Record<DealCode, { why: string; steps?: number }>
export type FindingCode = keyof Values

/** One result of the checks. `stops`: the game cannot be dealt or won as it is. */
export type Finding = {
  [Code in FindingCode]: {
    severity: 'stops' | 'warns'
    code: Code
    where: Where
    values: Values[Code]
  }
}[FindingCode]
/** A finding of this kind. */
export type FindingOf<Code extends FindingCode> = Extract<Finding, { code: Code }>

/** A place as files and the command line write it: `levels[0].board.gaps`, `deck.pairs[3]`, `checks[0]`. */
export function whereText({ level, section, key }: Where): string {
  const at = key.startsWith('[') || !key ? `${section}${key}` : `${section}.${key}`
  return level === null ? at : `levels[${level}].${at}`
}

/** Whether a finding comes from the games of minds: Odds shows more of it. */
export const isOfMinds = ({ code }: Finding): boolean =>
  code === 'hardly-won' || code === 'hardly-lost' || code === 'easier-than-before'

/** Whether a finding is about how a board is filled and dealt. */
export const isDealing = ({ where }: Finding): boolean =>
  where.section === 'board' ||
  where.section === 'layout' ||
  where.section === 'fill' ||
  where.section === 'deal'
