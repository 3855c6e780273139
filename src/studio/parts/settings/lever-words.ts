import { LEVER_PLACES, type Lever } from '../../../core/odds/levers.ts'
import { wilson } from '../../../core/odds/wilson.ts'
import { valueWords } from './setting-words.ts'

/** Wins, and the rules to solve for, in words. */

/** Wins of 100 games, with their interval. */
export function ofHundred(won: number, games: number): { wins: string; about: string } {
  const [low, high] = wilson(won, games).map((share) => share * 100) as [number, number]
  return { wins: wholeShare((won / games) * 100), about: `${wholeShare(low)} to ${wholeShare(high)}` }
}
/** A share of 100 in whole numbers, except that only none is 0 and only all is 100. */
export const wholeShare = (share: number): string =>
  share > 0 && share < 0.5 ? '< 1' : share < 100 && share >= 99.5 ? '> 99' : String(Math.round(share))

/** The levers as they appear in a sentence. */
export const LEVER_WORDS: Record<Lever, string> = {
  clock: 'clock',
  lives: 'lives',
  turns: 'turn limit',
  'first-look': 'first look',
  'miss-look': 'look time of a miss',
}
/** A value of a lever, as its rule writes it. */
export function leverWords(by: Lever, value: number): string {
  const { section, key } = LEVER_PLACES[by]
  return valueWords(`${section}.${key}`, value)
}
