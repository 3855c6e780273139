import { ref, shallowRef } from 'vue'
import { SEED } from '../../../core/odds/games.ts'
import { leverPatch, type Lever } from '../../../core/odds/levers.ts'
import type { Solution } from '../../../core/odds/solve.ts'
import { resolveLevel, withOwn, type Level } from '../../../core/settings/levels.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import { mindsOf, seatMinds } from '../../../core/settings/seats.ts'
import { useBench } from '../../store/bench.ts'
import { lightPairs, plain } from '../../workers/jobs/for-worker.ts'
import { askOdds } from '../../workers/jobs/odds.ts'
import { useLatestJob } from '../../workers/jobs/useLatestJob.ts'

/** How long to wait for another change before levels are solved anew, in ms. */
const PAUSE = 300

/**
 * The wanted limits of new levels: this share of wins of a mind on the first and on the last (0 to 1), by this rule.
 */
export type WantedWins = { mind: Mind; band: readonly [number, number]; by: Lever }

/** The limits of levels about to be made, solved in a worker; `wins` gives null while none are wanted. */
export function useSolvedLimits(levels: () => readonly Level[], wins: () => WantedWins | null) {
  const bench = useBench()
  const solutions = shallowRef<readonly (Solution | null)[]>([])
  const working = ref(false)
  const progress = ref(0)
  useLatestJob<(Solution | null)[]>({
    follow: () => [levels(), wins(), bench.game?.house, bench.game?.deck],
    pause: PAUSE,
    changed: () => {
      solutions.value = []
      progress.value = 0
      working.value = wins() !== null && levels().length > 0
    },
    start: () => {
      const [game, of] = [bench.game, wins()]
      if (!game || !of || !working.value) return null
      const tables = levels().map((level) => {
        const settings = resolveLevel(game, level)
        return { settings, rivals: seatMinds(settings, mindsOf(game)) }
      })
      const { mind, by, band } = of
      const question = plain({ ask: 'even', mind, by, band: [...band] as [number, number] } as const)
      const input = { pairs: lightPairs(game.deck.pairs), levels: tables, seed: SEED, ...question }
      return askOdds<'even'>(input, (share) => (progress.value = share))
    },
    take: (found) => {
      solutions.value = found
      working.value = false
    },
  })
  /** The levels with their solved limits; a level without a solution has none. */
  const limited = (levels: readonly Level[]): Level[] =>
    levels.map((level, i) => {
      const [wanted, one] = [wins(), solutions.value[i]]
      if (!wanted || !one?.ok) return level
      const { section, patch } = leverPatch(wanted.by, one.value)
      return withOwn(level, section, patch)
    })
  return { solved: solutions, working, done: progress, limited }
}
