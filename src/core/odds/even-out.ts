import type { Mind } from '../settings/mind.ts'
import type { Playable } from './games.ts'
import type { Lever } from './levers.ts'
import { solve, type Solution } from './solve.ts'

/**
 * The share of wins wanted for a level of a ladder: `from` on the first, `to` on the last, evenly in between. In: the
 * level's place from 0 and how many levels there are.
 */
export function wantedShare([from, to]: readonly [number, number], place: number, levels: number): number {
  return levels < 2 ? from : from + ((to - from) * place) / (levels - 1)
}

/** Solves each level of a ladder for its share within a band. In: the levels in order; the rest as `solve`. */
export function evenOut(
  levels: readonly Playable[],
  mind: Mind,
  band: readonly [number, number],
  by: Lever,
  seed: string,
  progress?: (done: number) => void,
): Solution[] {
  return levels.map((level, place) =>
    solve(level, { mind, by, share: wantedShare(band, place, levels.length) }, seed, (done) =>
      progress?.((place + done) / levels.length),
    ),
  )
}
