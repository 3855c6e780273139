import { computed, ref, shallowRef, watch } from 'vue'
import type { Game } from '../../../core/game/game.ts'
import type { Result } from '../../../core/result.ts'
import { fileStem } from '../../../core/game/names.ts'
import { idly } from '../../parts/look/idly.ts'
import { useBench } from '../../store/bench.ts'
import { makeHtml, type MadePage } from './make-html.ts'

/** The page as it would be shipped now: made when the browser has time, and anew after an edit. */
export function useShipped() {
  const bench = useBench()
  const made = shallowRef<Result<MadePage> | null>(null)
  const failure = ref('')
  /** the game that was made last: after an edit it is another one until its own page is there */
  const madeFor = shallowRef<Game | null>(null)
  const make = idly(() => {
    const game = bench.game
    if (!game) return
    makeHtml(game).then(
      (page) => {
        // an edit meanwhile: its own page is on the way
        if (bench.game !== game) return
        made.value = page
        failure.value = ''
        madeFor.value = game
      },
      (error: Error) => {
        failure.value = error.message
        madeFor.value = game
      },
    )
  })
  watch(() => bench.game, make, { immediate: true })

  const page = computed(() => (made.value?.ok ? made.value.value : null))
  const name = computed(() => `${fileStem(bench.game!)}.html`)
  const isCurrent = computed(() => madeFor.value === bench.game)
  return { made, page, name, failure, isCurrent }
}
