import { useLocalStorage } from '@vueuse/core'
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import { resolveLevel, type Level } from '../../../core/settings/levels.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import { bare, plain } from '../../workers/jobs/bare.ts'

/** How long edits are waited out before everything is counted again by itself, in ms. */
const REST = 600

/** What figures are told of: the deck, the level that is looked at, and all levels of the ladder. */
export type Asked = {
  pairs: Pair[]
  level: Level
  settings: Settings
  levels: { level: Level; settings: Settings }[]
}

/** What no mind's game depends on. */
const ASIDE = ['layout', 'finish', 'head', 'look', 'sound', 'volumes'] as const
export const playedBy = (settings: Settings): string =>
  JSON.stringify({ ...settings, ...Object.fromEntries(ASIDE.map((section) => [section, null])) })

/**
 * What is asked now, and what the figures that are shown were asked of: they stay as long as nothing they depend on changes. `isOld`: something did; they are counted again when asked, or by
 * themselves after a rest.
 */
export function useAsked() {
  const bench = useBench()
  const byItself = useLocalStorage('lucky-twin.odds-by-itself', true)
  const now = computed((): Asked => {
    const game = bench.game!
    // while the house rules are open, the first level is looked at
    const level = bench.level ?? game.levels[0]!
    const levels = game.levels.map((one) => ({ level: one, settings: resolveLevel(game, one) }))
    return { pairs: bare(game.deck.pairs), level, settings: resolveLevel(game, level), levels }
  })
  const keyOf = ({ pairs, settings, levels }: Asked): string =>
    JSON.stringify([
      pairs.map(({ id, tags, b }) => [id, tags, !!b]),
      playedBy(settings),
      ...levels.map((one) => playedBy(one.settings)),
    ])
  const key = computed(() => keyOf(now.value))
  const asked = shallowRef<Asked>(plain(now.value))
  const askedKey = shallowRef(key.value)
  const isOld = computed(() => key.value !== askedKey.value)

  function ask(): void {
    clearTimeout(timer)
    asked.value = plain(now.value)
    askedKey.value = key.value
  }
  let timer = 0
  watch(
    () => [key.value, byItself.value] as const,
    ([, follows], [, followed]) => {
      clearTimeout(timer)
      if (follows && isOld.value) timer = window.setTimeout(ask, followed ? REST : 0)
    },
  )
  // another level is another question, asked at once
  watch(() => now.value.level.id, ask, { flush: 'sync' })
  onBeforeUnmount(() => clearTimeout(timer))
  return { asked, isOld, byItself, ask }
}
