import { countWords } from '../../../core/count-words.ts'
import type { Copies } from '../../../core/deal/copies.ts'

/**
 * How often pairs appear, in a sentence. In: the copies, how many pairs there are to draw from, and how many the board
 * needs.
 */
export function copiesWords(copies: Copies, size: number, pairCount: number): string {
  const all = size === 1 ? 'The one pair' : `Each of the ${size}`
  switch (copies.how) {
    case 'evenly': {
      const { each, more, pick } = copies
      if (more === 0) return `${all} appears ${2 * each} times: ${countWords(each, 'pair')}.`
      const which =
        pick === 'random'
          ? `${more} of them, picked at random, have`
          : `the first ${more === 1 ? 'one has' : `${more} have`}`
      return `${all} appears ${2 * each} or ${2 * each + 2} times: ${countWords(each, 'pair')} or ${each + 1}; ${which} one more.`
    }
    case 'at-random': {
      const [low, high] = copies.likely
      const span = low === high ? countWords(low, 'pair') : `${low} to ${countWords(high, 'pair')}`
      return size === 1
        ? `${all} appears ${2 * pairCount} times: ${countWords(pairCount, 'pair')}.`
        : `${all} comes 0 to ${pairCount} times, as each play has it; in 9 of 10 boards it is ${span}.`
    }
    case 'counts': {
      const { sum } = copies
      const rest = pairCount - sum
      const said = `The counts add up to ${countWords(sum, 'pair')}`
      return rest === 0
        ? `${said}, as many as the board takes.`
        : `${said}; the board takes ${pairCount}: ${Math.abs(rest)} ${rest > 0 ? 'more are needed' : 'are too many'}.`
    }
  }
}
