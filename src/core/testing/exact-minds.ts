import type { Memory } from '../settings/mind.ts'

/*
 * The turns that a mind without blur and first look needs on a board of different pairs, exactly and without playing
 * games: every choice and every chance of each turn is written out as a chain of states, and the expected number of
 * turns is solved for. Written from docs/odds.md alone.
 */

/**
 * Which pairs are left, the traces from the oldest to the freshest, and the same in the order in which they were laid.
 */
type State = { left: number[]; fresh: number[]; laid: number[] }
type Branch = readonly [chance: number, next: State]
const pairOf = (cell: number): number => cell >> 1
const twin = (cell: number): number => cell ^ 1
const without = (list: number[], ...gone: number[]): number[] => list.filter((one) => !gone.includes(one))

/** All ways in which each of some things happens or not. */
function subsets(of: number[], chance: number): [number, number[]][] {
  let ways: [number, number[]][] = [[1, []]]
  for (const one of of)
    ways = ways
      .flatMap(([p, those]): [number, number[]][] => [
        [p * chance, [...those, one]],
        [p * (1 - chance), those],
      ])
      .filter(([p]) => p > 0)
  return ways
}

function afterTurn(state: State, { hold, fade }: Memory): Branch[] {
  const over = hold === null ? 0 : Math.max(0, state.fresh.length - hold)
  const lost = state.fresh.slice(0, over)
  const held = without(state.fresh, ...lost)
  return subsets(held, fade).map(([chance, faded]): Branch => {
    const fresh = without(held, ...faded)
    return [chance, { left: state.left, fresh, laid: state.laid.filter((cell) => fresh.includes(cell)) }]
  })
}

function turn(state: State, memory: Memory): Branch[] {
  const { left, fresh, laid } = state
  const down = left.flatMap((pair) => [2 * pair, 2 * pair + 1])
  const bare = down.filter((cell) => !fresh.includes(cell))
  const known = laid.find((cell, i) => laid.slice(0, i).includes(twin(cell)))
  const firsts = known !== undefined ? [known] : bare.length ? bare : down
  return firsts.flatMap((first) => {
    const others = without(bare, first)
    const seconds =
      known !== undefined || fresh.includes(twin(first))
        ? [twin(first)]
        : others.length
          ? others
          : without(down, first)
    return seconds.flatMap((second) => {
      const chance = 1 / firsts.length / seconds.length
      const settled: Branch[] =
        twin(first) === second
          ? [[1, matched(state, first)]]
          : subsets([first, second], memory.notice).map(([p, noticed]): Branch => [
              p,
              remembered(state, noticed),
            ])
      return settled.flatMap(([p, next]) =>
        afterTurn(next, memory).map(([q, last]): Branch => [chance * p * q, last]),
      )
    })
  })
}
const matched = ({ left, fresh, laid }: State, cell: number): State => ({
  left: without(left, pairOf(cell)),
  fresh: without(fresh, cell, twin(cell)),
  laid: without(laid, cell, twin(cell)),
})
const remembered = ({ left, fresh, laid }: State, cells: number[]): State => ({
  left,
  fresh: [...without(fresh, ...cells), ...cells],
  laid: [...laid, ...cells.filter((cell) => !laid.includes(cell))],
})

/** The expected number of turns on so many different pairs. */
export function exactTurns(pairs: number, memory: Memory): number {
  const states: State[] = []
  const known = new Map<string, number>()
  const number = (state: State): number => {
    const key = JSON.stringify(state)
    if (!known.has(key)) {
      known.set(key, states.length)
      states.push(state)
    }
    return known.get(key)!
  }
  number({ left: Array.from({ length: pairs }, (_, i) => i), fresh: [], laid: [] })
  const ways: [number, number][][] = []
  for (let i = 0; i < states.length; i++) {
    const sums = new Map<number, number>()
    if (states[i]!.left.length)
      for (const [chance, next] of turn(states[i]!, memory)) {
        const at = number(next)
        sums.set(at, (sums.get(at) ?? 0) + chance)
      }
    ways.push([...sums])
  }
  const expected = new Float64Array(states.length)
  for (let change = 1; change > 1e-11;) {
    change = 0
    for (let i = states.length - 1; i >= 0; i--) {
      if (!states[i]!.left.length) continue
      // the chance of staying in the same state is taken out of the sum
      let [sum, stays] = [1, 0]
      for (const [next, chance] of ways[i]!)
        if (next === i) stays += chance
        else sum += chance * expected[next]!
      const value = sum / (1 - stays)
      change = Math.max(change, Math.abs(value - expected[i]!))
      expected[i] = value
    }
  }
  return expected[0]!
}
