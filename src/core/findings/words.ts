import { countWords } from '../count-words.ts'
import type { Lever } from '../odds/levers.ts'
import type { Finding, FindingCode, FindingOf, LookKey } from './finding.ts'

/** `level` is how a sentence names the level. */
type FindingWords = { [Code in FindingCode]: (values: FindingOf<Code>['values'], level: string) => string }

/** A limit in words: "3 lives", "40 turns", "1:30 on the clock". */
function amount(by: Lever, value: number): string {
  if (by === 'turns') return countWords(value, 'turn')
  if (by === 'lives') return countWords(value, 'life', 'lives')
  if (by === 'first-look' || by === 'miss-look') return `a look of ${value / 1000} s`
  const seconds = Math.ceil(value / 1000)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} on the clock`
}
const isAre = (by: Lever, value: number): string => (by === 'clock' || value === 1 ? 'is' : 'are')
/** The same as a way to mend it, with its effect. */
export const amountThat = (by: Lever, value: number, then: string): string => `${amount(by, value)}: ${then}`
const ofGames = ({ won, games }: { won: number; games: number }): string =>
  games ? `${won} of ${games} games` : 'every game'
const dealWords = ({ why }: { why: string }): string => why

const LOOK_WORDS: Record<LookKey, string> = {
  firstLook: 'the first look',
  matchLook: 'a pair stays open',
  missLook: 'a miss stays open',
}

const WORDS: FindingWords = {
  'odd-board': dealWords,
  'too-few-cards': dealWords,
  'too-few-pairs': dealWords,
  'no-pairs': dealWords,
  'counts-sum': dealWords,
  'arranged-wrong': dealWords,
  'steps-unreachable': dealWords,
  'steps-by-chance': dealWords,
  'gap-outside': ({ gap, rows, columns }) => `the gap ${gap} lies outside ${rows} × ${columns}`,
  'unknown-pair': ({ name }) => `no pair of the deck has the id "${name}"`,
  'unknown-tag': ({ name }) => `no pair of the deck has the tag "${name}"`,
  'unknown-picture': ({ holder, name }) => `${holder}: the library has no picture "${name}"`,
  'cannot-be-won': (values, level) =>
    values.by === 'turns'
      ? `${level} cannot be won: ${countWords(values.pairs, 'pair')} cannot be found in ${countWords(values.turns, 'turn')}`
      : `${level} cannot be won: even perfect luck takes longer than the clock`,
  'needs-luck': ({ by, limit, won, games, enough }) => {
    const often = games ? `${won} of ${games}` : 'fewer than 1 of 20'
    const more = typeof enough === 'number' ? `; ${amount(by, enough)} ${isAre(by, enough)} in 9 of 10` : ''
    return `only luck wins: ${amount(by, limit)} ${isAre(by, limit)} enough for a perfect memory in ${often} games${more}`
  },
  'hardly-won': (values) => `hardly anybody wins: everyday players won ${ofGames(values)}`,
  'hardly-lost': (values) => `its limit stops hardly anybody: fleeting players won ${ofGames(values)}`,
  'easier-than-before': ({ before, there, here }) =>
    `easier than ${before}, the level before: everyday players won ${ofGames(here)} here, ${ofGames(there)} there`,
  'missing-alt': ({ pair }) => `${pair}: this image has no alt text`,
  'missing-alt-behind': () => 'the picture behind the cards has no alt text',
  'unused-pairs': ({ names, more }) => `no level uses ${names.join(', ')}${more ? ` and ${more} more` : ''}`,
  'tiny-cards': ({ card, touchable, width, height }) =>
    `on a phone of ${width} × ${height} px a card is ${card} px; a finger needs ${touchable}`,
  'tiny-across': ({ card, touchable, width, height }) =>
    `on a phone held sideways, ${width} × ${height} px, a card is ${card} px; a finger needs ${touchable}`,
  'flip-beyond-look': ({ flip, look, key }) =>
    `a card takes ${flip / 1000} s to turn, longer than ${LOOK_WORDS[key]}, ${look / 1000} s`,
  'look-alikes': ({ one, other, more }) =>
    `${one} and ${other} look alike${more ? `, and ${more} more such pairs` : ''}`,
  'back-like-face': ({ pair }) => `the back could be taken for ${pair}`,
  'kept-check-failed': ({ check, why }) => `${check}: ${why}`,
}
/** Sentences that name the level themselves. */
const NAMES_LEVEL: ReadonlySet<FindingCode> = new Set(['cannot-be-won'])

/** The words of a finding where it is clear which level it is about. */
export function findingWords({ code, values }: Finding, level = 'this level'): string {
  return (WORDS[code] as (values: Finding['values'], level: string) => string)(values, level)
}

/**
 * The words of a finding among those of a whole game: with the name of its level. In: the names of the game's levels.
 */
export function findingLine(finding: Finding, levels: readonly { name: string }[]): string {
  const { level } = finding.where
  const name = level === null ? undefined : levels[level]?.name
  if (name === undefined) return findingWords(finding)
  return NAMES_LEVEL.has(finding.code) ? findingWords(finding, name) : `${name}: ${findingWords(finding)}`
}
