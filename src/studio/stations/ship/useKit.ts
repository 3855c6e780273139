import { ref, shallowRef, watch } from 'vue'
import { KIT_BOUNDS, KIT_DEFAULTS, type KitOptions } from '../../../ship/kit/cards.ts'
import { useBench } from '../../store/bench.ts'
import { useJob } from '../../workers/jobs/useJob.ts'
import type { MadeKit } from './make-kit.ts'
import { isShape, isWithin, useChoice } from '../../parts/settings/useChoice.ts'

/**
 * A kit that is made when asked, with progress and cancel; an edit of the game or another choice makes it out of date.
 */
export function useKit() {
  const bench = useBench()
  const options = useChoice<KitOptions>(
    'kit',
    { ...KIT_DEFAULTS },
    isShape<KitOptions>({
      width: isWithin(KIT_BOUNDS.width),
      deals: isWithin(KIT_BOUNDS.deals),
      games: isWithin(KIT_BOUNDS.games),
    }),
  )
  const kit = shallowRef<MadeKit | null>(null)
  const problem = ref('')
  const { share, run, cancel } = useJob((message) => (problem.value = message))

  async function make(): Promise<void> {
    const { makeKit } = await import('./make-kit.ts')
    problem.value = ''
    const result = await run((progress) => makeKit(bench.game!, { ...options.value }, progress))
    if (result) kit.value = result
  }
  watch(
    [() => bench.game, options],
    () => {
      cancel()
      kit.value = null
      problem.value = ''
    },
    { deep: 1 },
  )
  return { options, kit, problem, share, make, cancel }
}
