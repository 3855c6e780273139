import { computed } from 'vue'
import { READY_MINDS, type Mind } from '../../../core/settings/mind.ts'
import { mindsOf } from '../../../core/settings/seats.ts'
import { useBench } from '../../store/bench.ts'
import { isTextList, useChoice } from '../../parts/settings/useChoice.ts'

/** The colours of the standard minds, then those of a game's own, in turn. */
const READY_COLOURS = ['#4b4d7c', '#4b9a9a', '#1f7f80', '#7d968c', '#a3987f']
const OWN_COLOURS = ['#c98a10', '#a3431d', '#7a4f86', '#3f6a9a']

export type ShownMind = { mind: Mind; colour: string; on: boolean }

/** The minds, and which of them are switched on. */
export function useMinds() {
  const bench = useBench()
  const on = useChoice('odds-minds', ['perfect', 'keen', 'everyday', 'fleeting'], isTextList)
  /** only those that this game has: the choice is kept for all games, and a game's own minds may be gone */
  const there = computed(() => {
    const ids = mindsOf(bench.game!).map(({ id }) => id)
    const remaining = on.value.filter((id) => ids.includes(id))
    return remaining.length ? remaining : ['everyday']
  })
  const isOn = (id: string): boolean => there.value.includes(id)
  const minds = computed((): ShownMind[] =>
    mindsOf(bench.game!).map((mind, i) => ({
      mind,
      colour: READY_COLOURS[i] ?? OWN_COLOURS[(i - READY_MINDS.length) % OWN_COLOURS.length]!,
      on: isOn(mind.id),
    })),
  )
  const playing = computed(() => minds.value.filter((one) => one.on))
  /** Switches a mind on or off; one always stays on. */
  function toggle(id: string): void {
    const next = isOn(id) ? there.value.filter((one) => one !== id) : [...there.value, id]
    if (next.length) on.value = next
  }
  return { minds, playing, toggle }
}
