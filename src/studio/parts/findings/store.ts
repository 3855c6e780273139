import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Finding } from '../../../core/findings/finding.ts'
import { useBench } from '../../store/bench.ts'
import { newFinder, type GameFindings } from '../../workers/jobs/finder.ts'

const NONE: readonly Finding[] = []

/**
 * The findings of the game on the bench. They follow it with a short delay; `current` says whether they are of the game
 * as it is.
 */
export const useFindings = defineStore('findings', () => {
  const bench = useBench()
  const finder = newFinder()
  const results = shallowRef<GameFindings>({ findings: [], house: [] })
  const current = ref(false)
  let lastKey = ''

  // a title, for example, changes nothing that is checked
  watch(
    [() => bench.key, () => bench.game?.deck, () => bench.game?.house, () => bench.game?.levels],
    async () => {
      const { game } = bench
      current.value = false
      // findings of another game do not apply to this one
      if (bench.key !== lastKey) results.value = { findings: [], house: [] }
      lastKey = bench.key
      if (!game) return
      // a call that was overtaken never resolves
      const now = await finder.find(game)
      if (bench.key !== lastKey) return
      results.value = now
      current.value = true
    },
    { immediate: true },
  )

  const all = computed(() => results.value.findings)
  /**
   * by place in the ladder; a level's list stays the same value as long as its content is the same, so that only
   * changed lists are drawn anew
   */
  const byLevel = computed<ReadonlyMap<number, readonly Finding[]>>((before) => {
    const levels = new Map<number, Finding[]>()
    for (const finding of all.value) {
      const { level } = finding.where
      if (level !== null) levels.set(level, [...(levels.get(level) ?? []), finding])
    }
    return new Map(
      [...levels].map(([level, found]) => {
        const same = before?.get(level)
        return [level, same && JSON.stringify(same) === JSON.stringify(found) ? same : found]
      }),
    )
  })
  /** The findings of a level by its place in the ladder; null: of the house rules, as if they were a level. */
  const ofRung = (level: number | null): readonly Finding[] =>
    level === null ? results.value.house : (byLevel.value.get(level) ?? NONE)
  return { all, current, ofRung }
})
