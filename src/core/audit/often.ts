import type { Tally } from './tally.ts'

/** How many cards of a pair were on a board, on average over all boards; `pair` is its number in the cards. */
export type Often = { pair: number; cards: number }

/** How often each pair appeared, the most frequent first; pairs that never did are left out. */
export function oftenOf({ at, pairs, deals }: Pick<Tally, 'at' | 'pairs' | 'deals'>): Often[] {
  const cards = new Float64Array(pairs)
  at.forEach((count, i) => (cards[i % pairs]! += count))
  return [...cards]
    .map((count, pair) => ({ pair, cards: count / deals }))
    .filter((one) => one.cards > 0)
    .sort((one, other) => other.cards - one.cards || one.pair - other.pair)
}

/** How many names are given of the most frequent pairs, and of the least frequent. */
const NAMED = 3

const number = (cards: number): string => cards.toFixed(2).replace(/\.?0+$/, '')
const listed = (all: readonly string[]): string => {
  const named = all.slice(0, NAMED)
  const more = all.length - named.length
  return more > 0 ? `${named.join(', ')} and ${more} more` : named.join(', ').replace(/, ([^,]*)$/, ' and $1')
}

/** How often the pairs appeared, in a sentence, also where that is as it should be. */
export function oftenWords(often: readonly Often[], names: readonly string[]): string {
  const [first, last] = [often[0], often.at(-1)]
  if (!first || !last) return ''
  const nameOf = ({ pair }: Often): string => names[pair] ?? `pair ${pair + 1}`
  const cards = (count: number): string => `${number(count)} ${number(count) === '1' ? 'card' : 'cards'}`
  const most = number(first.cards)
  const least = number(last.cards)
  if (most === least) return `Each of the ${often.length} pairs has ${cards(first.cards)} a board.`
  const namesWith = (value: string): string[] =>
    often.filter((one) => number(one.cards) === value).map(nameOf)
  return `Most often: ${listed(namesWith(most))}, ${cards(first.cards)} a board; least often: ${listed(namesWith(least))}, ${number(last.cards)}.`
}
