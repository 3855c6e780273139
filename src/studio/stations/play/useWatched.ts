import { computed, ref } from 'vue'
import { dealSeed, SEED } from '../../../core/odds/games.ts'
import { MindsAtTable } from '../../../core/odds/minds-at-table.ts'
import { mindsOf, seatMinds } from '../../../core/settings/seats.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { rivalsAmong } from '../../../player/rivals.ts'
import type { Rivals } from '../../../player/table.ts'
import { useBench } from '../../store/bench.ts'

/** The number of a game of Odds, by its seed. */
const numberOf = (seed: string): number | null => {
  const match = new RegExp(`^${SEED}-(\\d{1,7})$`).exec(seed)
  return match && Number(match[1])
}

/** Who plays on the table: you, or a mind that you watch. Its games are those of Odds, in their order. */
export function useWatched(by: string) {
  const bench = useBench()
  const playedBy = ref(by)
  const minds = computed(() => mindsOf(bench.game!))
  /** '' for you */
  const choice = computed({
    get: () => minds.value.find(({ id }) => id === playedBy.value)?.id ?? '',
    set: (id) => (playedBy.value = id),
  })
  const choices = computed((): [string, string][] => [
    ['', 'you'],
    ...minds.value.map(({ id, name }): [string, string] => [id, name.toLowerCase()]),
  ])
  let number = 0

  /** The seed of the mind's next game; undefined if you play. */
  function nextSeed(settings: Settings): string | undefined {
    return choice.value ? dealSeed(settings, SEED, ++number) : undefined
  }
  const rivals = rivalsAmong(mindsOf)
  const seats: Rivals = {
    ...rivals,
    seat(table) {
      const mind = minds.value.find(({ id }) => id === choice.value)
      if (!mind || !table.round) return rivals.seat(table)
      number = numberOf(table.seed) ?? Math.max(1, number)
      const each = seatMinds(table.settings, minds.value).map((rival) => rival ?? mind)
      return new MindsAtTable(each, table.round, SEED, number)
    },
  }
  const name = computed(() => minds.value.find(({ id }) => id === choice.value)?.name ?? '')
  return { chosen: choice, name, choices, seats, nextSeed }
}
