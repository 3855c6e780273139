import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { KIT_BOUNDS, KIT_DEFAULTS, type KitOptions } from '../../../ship/kit/cards.ts'
import { useBench } from '../../store/bench.ts'
import { Cancelled, type Job } from '../../workers/jobs/job.ts'
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
  const share = ref(0)
  const job = shallowRef<Job<MadeKit> | null>(null)
  const isMaking = computed(() => job.value !== null)

  async function make(): Promise<void> {
    const { makeKit } = await import('./make-kit.ts')
    problem.value = ''
    share.value = 0
    const mine = makeKit(bench.game!, { ...options.value }, (done) => (share.value = done))
    job.value = mine
    try {
      const result = await mine.done
      if (job.value === mine) kit.value = result
    } catch (error) {
      if (!(error instanceof Cancelled)) problem.value = (error as Error).message
    } finally {
      if (job.value === mine) job.value = null
    }
  }
  function cancel(): void {
    job.value?.cancel()
    job.value = null
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
  onBeforeUnmount(cancel)
  return { options, kit, problem, share, isMaking, make, cancel }
}
