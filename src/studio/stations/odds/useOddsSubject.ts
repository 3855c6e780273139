import { computed, onBeforeUnmount, shallowRef, watch } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import { resolveLevel, type Level } from '../../../core/settings/levels.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import { mindsOf, seatMinds } from '../../../core/settings/seats.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import { lightPairs } from '../../workers/jobs/for-worker.ts'
import { isBoolean, useChoice } from '../../parts/settings/useChoice.ts'

/** How long to wait after an edit before everything is counted again by itself, in ms. */
const REST = 600

/** What figures are about: the deck, the open level, and all levels of the ladder. */
export type OddsSubject = {
  pairs: Pair[]
  levels: AskedLevel[]
} & AskedLevel
type AskedLevel = { level: Level; settings: Settings; rivals: (Mind | null)[] }

/** The parts of a deck that games of minds depend on. */
export const deckKey = ({ pairs }: Pick<OddsSubject, 'pairs'>): unknown =>
  pairs.map(({ id, tags, b }) => [id, tags, !!b])

/** What no game of a mind depends on. */
const ASIDE = ['layout', 'finish', 'head', 'look', 'sound', 'volumes'] as const
export const playedBy = ({ settings, rivals }: Pick<AskedLevel, 'settings' | 'rivals'>): string =>
  JSON.stringify([
    { ...settings, ...Object.fromEntries(ASIDE.map((section) => [section, null])) },
    rivals.map((rival) => rival && [rival.memory, rival.pace]),
  ])

/**
 * The current question, and the one that the shown figures answer: they stay as long as nothing they depend on changes.
 * `isOld`: something did; they are counted again on request, or by themselves after a rest.
 */
export function useOddsSubject() {
  const bench = useBench()
  const byItself = useChoice('odds-by-itself', true, isBoolean)
  const now = computed((): OddsSubject => {
    const game = bench.game!
    // while the house rules are open, the first level is shown
    const level = bench.level ?? game.levels[0]!
    const minds = mindsOf(game)
    const levels = game.levels.map((one) => {
      const settings = resolveLevel(game, one)
      return { level: one, settings, rivals: seatMinds(settings, minds) }
    })
    return { pairs: lightPairs(game.deck.pairs), levels, ...levels[game.levels.indexOf(level)]! }
  })
  const keyOf = (subject: OddsSubject): string =>
    JSON.stringify([deckKey(subject), playedBy(subject), ...subject.levels.map(playedBy)])
  const key = computed(() => keyOf(now.value))
  const subject = shallowRef(now.value)
  const askedKey = shallowRef(key.value)
  const isOld = computed(() => key.value !== askedKey.value)

  function ask(): void {
    clearTimeout(timer)
    subject.value = now.value
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
  return { subject, isOld, byItself, ask }
}
