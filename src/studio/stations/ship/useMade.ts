import { computed, shallowRef, watch } from 'vue'
import type { Game } from '../../../core/game/game.ts'
import { problemLine, type Result } from '../../../core/result.ts'
import { whenIdle } from '../../parts/timing/whenIdle.ts'
import { useBench } from '../../store/bench.ts'
import { isPartLost, SERVER_GONE } from '../../store/faults.ts'
import { soundness } from '../../store/sound-images.ts'

/** What most things depend on: the game, and the checks of its images. */
export const ofGame = (game: Game | null): object => ({ game, sound: soundness.value })

/**
 * What is shipped as it would be now: made when the browser has time, and anew when what it depends on is another. In:
 * what makes it; whether it is needed now; what it depends on.
 */
export function useMade<Made>(
  make: (game: Game) => Promise<Result<Made>>,
  isNeeded: () => boolean = () => true,
  dependsOn: (game: Game | null) => object = ofGame,
) {
  const bench = useBench()
  const product = shallowRef<Made | null>(null)
  const problem = shallowRef('')
  /** what was made last: after an edit it is out of date until its successor is there */
  const madeFor = shallowRef<unknown>(null)
  const now = computed(() => dependsOn(bench.game))
  const run = whenIdle(() => {
    const current = now.value
    if (!bench.game || !isNeeded() || madeFor.value === current) return
    const take = (value: Made | null, wrong: string): void => {
      // an edit meanwhile: its own is on the way
      if (now.value !== current) return
      product.value = value
      problem.value = wrong
      madeFor.value = current
    }
    make(bench.game).then(
      (result) => (result.ok ? take(result.value, '') : take(null, problemLine(result.problem))),
      (error: Error) => take(null, isPartLost.value ? SERVER_GONE : error.message),
    )
  })
  watch([now, isNeeded], run, { immediate: true })
  const isCurrent = computed(() => madeFor.value === now.value)
  return { made: product, problem, isCurrent }
}
