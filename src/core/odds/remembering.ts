import { tellsMemory, type GameEvidence } from './memory-evidence.ts'

/**
 * How likely it is that a player remembered what these games show, as a logarithm, if each missed card is noticed with
 * one chance, and forgotten with another at each turn.
 *
 * A forgotten card may be pressed by chance, a remembered one is not; so the longer a card goes unpressed, the likelier
 * it is remembered. For each card that was seen, `held` is the chance that it is remembered, given all presses since:
 * it falls by `fade` each turn, and rises by Bayes' rule at each press that was left to chance, of which each card that
 * is not remembered was equally likely. Their number is taken to be its expected value. A twin that is not remembered
 * may be pressed by chance as well.
 */
export function rememberedLikelihood(games: readonly GameEvidence[], notice: number, fade: number): number {
  let sum = 0
  for (const game of games) sum += ofGame(game, notice, fade)
  return sum
}

function ofGame({ cards, cells, turns }: GameEvidence, notice: number, fade: number): number {
  /** by place in `lying`: the chance that the card there is remembered */
  const strengths = new Float64Array(cards)
  /** the cells of cards that were seen and lie face down, and the place of each among them, −1 for nowhere */
  const lying = new Int32Array(cards)
  const places = new Int32Array(cells).fill(-1)
  let count = 0
  /** how many of those are expected to be forgotten, and how many were never seen */
  let forgotten = 0
  let unseen = cards
  const remove = (cell: number): void => {
    const place = places[cell]!
    if (place < 0) return
    forgotten -= 1 - strengths[place]!
    count--
    strengths[place] = strengths[count]!
    lying[place] = lying[count]!
    places[lying[place]!] = place
    places[cell] = -1
  }
  const add = (cell: number): void => {
    places[cell] = count
    lying[count] = cell
    strengths[count++] = notice
  }
  /** A press that was left to chance. */
  const byChance = (cell: number, wasSeen: boolean): void => {
    remove(cell)
    // the card that was pressed was forgotten, or never seen
    const open = unseen + forgotten + (wasSeen ? 1 : 0)
    forgotten = 0
    for (let place = 0; place < count; place++) {
      const one = strengths[place]!
      const others = open - (1 - one)
      const prior = one / others
      strengths[place] = prior / (prior + (1 - one) / (others + 1))
      forgotten += 1 - strengths[place]!
    }
    if (!wasSeen) unseen--
  }
  let sum = 0
  for (const turn of turns) {
    const { first, second, isMatch, firstSeen, secondSeen, twin, alone } = turn
    for (const cell of alone) {
      if (places[cell]! < 0) unseen--
      else remove(cell)
      add(cell)
      forgotten += 1 - notice
    }
    if (!firstSeen || !isMatch) byChance(first, firstSeen)
    else remove(first)
    const place = twin < 0 ? -1 : places[twin]!
    if (place >= 0) {
      const chance = strengths[place]!
      if (tellsMemory(turn)) {
        const hit = chance + (1 - chance) / (unseen + forgotten - (1 - chance) + 1)
        sum += Math.log(isMatch && secondSeen ? hit : 1 - hit)
      }
      if (!isMatch) {
        forgotten += chance
        strengths[place] = 0
      }
    }
    if (!isMatch || !secondSeen) byChance(second, secondSeen)
    else remove(second)
    if (!isMatch) {
      add(first)
      add(second)
    }
    forgotten = 0
    for (let at = 0; at < count; at++) {
      strengths[at]! *= 1 - fade
      forgotten += 1 - strengths[at]!
    }
  }
  return sum
}
