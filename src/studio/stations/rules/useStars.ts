import { computed } from 'vue'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { useBench } from '../../store/bench.ts'

/** The thresholds of the open rung's stars, and how they are set. */
export function useStars() {
  const bench = useBench()
  const stars = computed(() => bench.settings!.score.stars)

  /** A threshold may not pass its neighbours: rising for a score, falling for turns and time. */
  function bounds(i: number): [number, number] {
    const { by, at } = stars.value!
    const before = at[i - 1]
    const after = at[i + 1]
    const [low, high] = BOUNDS.star
    return by === 'score' ? [before ?? low, after ?? high] : [after ?? low, before ?? high]
  }
  /** Sets a threshold as near as its neighbours allow. */
  function setAt(i: number, value: number): void {
    const [low, high] = bounds(i)
    const next = Math.max(low, Math.min(high, value))
    const at = stars.value!.at.map((old, j) => (j === i ? next : old)) as [number, number, number]
    if (at[i] !== stars.value!.at[i])
      bench.set('score', { stars: { by: stars.value!.by, at } }, 'change the stars')
  }
  return { stars, bounds, setAt }
}
