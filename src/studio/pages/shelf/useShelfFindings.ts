import { onBeforeUnmount, shallowRef, watch } from 'vue'
import type { Finding } from '../../../core/findings/finding.ts'
import type { StoredGame } from '../../store/db.ts'
import { newFinder } from '../../workers/jobs/finder.ts'

/** The findings of all games on the shelf, one game after another: the shelf does not wait for them. */
export function useShelfFindings(boxes: () => readonly StoredGame[]) {
  const byGame = shallowRef<ReadonlyMap<string, readonly Finding[]>>(new Map())
  const finder = newFinder()
  const nameOf = ({ key, rev }: StoredGame): string => `${rev} ${key}`

  watch(
    boxes,
    async (now) => {
      for (const box of now) {
        if (byGame.value.has(nameOf(box))) continue
        const { findings } = await finder.find(box.game)
        if (now !== boxes()) return
        byGame.value = new Map(byGame.value).set(nameOf(box), findings)
      }
    },
    { immediate: true },
  )
  onBeforeUnmount(finder.end)
  return { findingsOf: (box: StoredGame): readonly Finding[] => byGame.value.get(nameOf(box)) ?? [] }
}
