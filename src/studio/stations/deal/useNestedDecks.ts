import { computed } from 'vue'
import { openCells } from '../../../core/board/cells.ts'
import { nestedPairs } from '../../../core/settings/ladder.ts'
import { resolveLevel, writeSettings } from '../../../core/settings/levels.ts'
import type { Use } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'

/** Whether a level uses the first pairs of the deck. */
export const isFirst = (use: Use): use is { from: 1; to: number } =>
  typeof use === 'object' && 'from' in use && use.from === 1

/** Levels with nested decks: each uses the first pairs of the deck, more or fewer of them. */
export function useNestedDecks() {
  const bench = useBench()
  const pairs = computed(() => bench.game!.deck.pairs)
  /** the levels with nested decks */
  const nested = computed(() =>
    bench.game!.levels.flatMap((level) => {
      const { use } = resolveLevel(bench.game!, level).fill
      return isFirst(use)
        ? [{ id: level.id, name: level.name, first: Math.min(use.to, pairs.value.length) }]
        : []
    }),
  )
  function setFirst(id: string, first: number): void {
    bench.replace(
      writeSettings(bench.game!, id, 'fill', { use: { from: 1, to: first } }),
      `the first ${first} of the deck`,
      `first/${id}`,
    )
  }
  /** Every level draws from the first pairs, more on each: from what the first board needs to the whole deck. */
  function nestAll(): void {
    const game = bench.game!
    const pairCounts = game.levels.map((level) =>
      Math.ceil(openCells(resolveLevel(game, level).board).length / 2),
    )
    const firsts = nestedPairs(pairCounts, pairs.value.length)
    const next = game.levels.reduce(
      (now, { id }, i) => writeSettings(now, id, 'fill', { use: { from: 1, to: firsts[i]! } }),
      game,
    )
    bench.replace(next, 'more of the deck on each level')
  }
  return { nested, setFirst, nestAll }
}
