import { rememberedLikelihood } from './remembering.ts'
import { tellsMemory, type MemoryEvidence, type GameEvidence } from './memory-evidence.ts'
import { wilson, Z } from './wilson.ts'

/** Below this many turns too little is known for any figure. */
export const TOO_FEW = 30

/** A figure with its 95 % interval. */
export type FittedValue = { value: number; interval: [number, number] }
/** How often a twin seen this many turns ago was taken. */
type Remembered = { ago: number; taken: number; of: number; interval: [number, number] }
/** The mind that fits; a figure that rests on fewer than TOO_FEW turns or waits is null. Times in ms. */
export type Fit = {
  /** the turns that memory rests on, and by how long ago */
  turns: number
  curve: Remembered[]
  notice: FittedValue | null
  fade: FittedValue | null
  first: FittedValue | null
  second: FittedValue | null
  spread: FittedValue | null
}

/**
 * Fits a mind: `notice` and `fade` by the maximum likelihood of remembering a card with the chance notice · (1 −
 * fade)^turns (`rememberedLikelihood`), each with the interval in which its profile likelihood lies within 1.92 of the
 * highest (half the 95 % quantile of chi-square with one degree of freedom: S. S. Wilks, Annals of Mathematical
 * Statistics 9, 1938); `first`, `second` and `spread` from the logarithms of the waits.
 */
export function fitMind({ games, first, second }: MemoryEvidence): Fit {
  const byAgo = new Map<number, { taken: number; of: number }>()
  for (const turn of games.flatMap(({ turns }) => turns).filter(tellsMemory)) {
    const sums = byAgo.get(turn.ago) ?? { taken: 0, of: 0 }
    byAgo.set(turn.ago, { taken: sums.taken + Number(turn.isMatch && turn.secondSeen), of: sums.of + 1 })
  }
  const curve = [...byAgo]
    .sort(([one], [other]) => one - other)
    .map(([ago, { taken, of }]): Remembered => ({ ago, taken, of, interval: wilson(taken, of) }))
  const turns = curve.reduce((sum, { of }) => sum + of, 0)
  const memory = turns < TOO_FEW ? { notice: null, fade: null } : fitMemory(games)
  return { turns, curve, ...memory, ...fitPace(first, second) }
}

function fitMemory(games: readonly GameEvidence[]): { notice: FittedValue; fade: FittedValue } {
  const cache = new Map<string, number>()
  const likelihood = (notice: number, fade: number): number => {
    const key = `${notice} ${fade}`
    let value = cache.get(key)
    if (value === undefined) cache.set(key, (value = rememberedLikelihood(games, notice, fade)))
    return value
  }
  const byFade = (fade: number): number => highest((notice) => likelihood(notice, fade)).value
  const byNotice = (notice: number): number => highest((fade) => likelihood(notice, fade)).value
  return { notice: fittedBy(byNotice), fade: fittedBy(byFade) }
}

const WITHIN = Z ** 2 / 2
/** A chance by its profile likelihood: its maximum, and the interval around it. */
function fittedBy(profile: (chance: number) => number): FittedValue {
  const { at, value } = highest(profile)
  const isWithin = (chance: number): boolean => profile(chance) >= value - WITHIN
  return { value: at, interval: [edge(isWithin, at, 0), edge(isWithin, at, 1)] }
}

/** How finely a chance is searched: a grid of 12 values, then the golden section around the best, down to this. */
const TEETH = 12
const FINE = 2e-3
const GOLDEN = (Math.sqrt(5) - 1) / 2
/** The maximum of a function of a chance (0 to 1) with one peak. */
function highest(of: (chance: number) => number): { at: number; value: number } {
  let best = { at: 0, value: of(0) }
  const tryAt = (at: number): number => {
    const value = of(at)
    if (value > best.value || Number.isNaN(best.value)) best = { at, value }
    return value
  }
  for (let tooth = 1; tooth <= TEETH; tooth++) tryAt(tooth / TEETH)
  let [low, high] = [Math.max(0, best.at - 1 / TEETH), Math.min(1, best.at + 1 / TEETH)]
  while (high - low > FINE) {
    const [one, other] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)]
    if (tryAt(one) >= tryAt(other)) high = other
    else low = one
  }
  return best
}

/** How far from `within` towards `end` something holds. */
function edge(holds: (chance: number) => boolean, within: number, end: number): number {
  if (holds(end)) return end
  let [inside, outside] = [within, end]
  while (Math.abs(outside - inside) > FINE) {
    const middle = (inside + outside) / 2
    if (holds(middle)) inside = middle
    else outside = middle
  }
  return outside
}

function fitPace(
  first: readonly number[],
  second: readonly number[],
): Pick<Fit, 'first' | 'second' | 'spread'> {
  const logs = [first, second].map((waits) => waits.map(Math.log))
  const enough = logs.every((one) => one.length >= TOO_FEW)
  if (!enough) return { first: null, second: null, spread: null }
  const means = logs.map((one) => one.reduce((sum, log) => sum + log, 0) / one.length)
  const freedom = logs[0]!.length + logs[1]!.length - 2
  const squares = logs.flatMap((one, i) => one.map((log) => (log - means[i]!) ** 2))
  const deviation = Math.sqrt(squares.reduce((sum, square) => sum + square, 0) / freedom)
  const median = (i: number): FittedValue => {
    const off = (Z * deviation) / Math.sqrt(logs[i]!.length)
    return { value: Math.exp(means[i]!), interval: [Math.exp(means[i]! - off), Math.exp(means[i]! + off)] }
  }
  const off = (Z * deviation) / Math.sqrt(2 * freedom)
  return {
    first: median(0),
    second: median(1),
    spread: { value: deviation, interval: [Math.max(0, deviation - off), deviation + off] },
  }
}
