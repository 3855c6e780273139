import type { Ref } from 'vue'
import { countWords } from '../../../../core/count-words.ts'
import { duplicated, moved, movedBy, withoutPairs, withPairs } from '../../../../core/deck/edit.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { BOUNDS } from '../../../../core/settings/bounds.ts'
import { useBench } from '../../../store/bench.ts'
import { useDone } from '../../../parts/toast/useDone.ts'
import { useToasts } from '../../../parts/toast/useToasts.ts'
import type { useSelection } from '../light-table/useSelection.ts'

/** The words of the button that adds pairs; if it is disabled, no pairs are made yet. */
export const addWords = (count: number): string => `Add ${count ? countWords(count, 'pair') : 'pairs'}`

/** Edits of the selected pairs, each one undo step. `shown` are those that a search leaves on the table. */
export function useDeckEdits(
  selection: ReturnType<typeof useSelection>,
  visible: Ref<readonly Pair[]>,
  showAll: () => void,
) {
  const bench = useBench()
  const { say } = useToasts()
  const tell = useDone()
  const pairs = (): Pair[] => bench.game!.deck.pairs
  const selectedIds = (): Set<string> => new Set(selection.inOrder.value)
  const edit = (label: string, to: (now: Pair[]) => Pair[]): void =>
    bench.edit(label, (game) => void (game.deck.pairs = to(pairs())))

  /** Adds pairs at the end, or pasted ones after the last selected one, and selects them. */
  function add(newPairs: readonly Pair[], label: string): void {
    if (!newPairs.length) return
    const last = pairs().findLastIndex(({ id }) => selection.chosen.value.has(id))
    const result = withPairs(pairs(), newPairs, label === 'paste pairs' && last >= 0 ? last + 1 : undefined)
    const { ids } = result
    if (ids.length) edit(label, () => result.pairs)
    const surplus = newPairs.length - ids.length
    if (surplus)
      say(`A deck has at most ${BOUNDS.pairs[1].toLocaleString('en')} pairs; ${surplus} are left out`, {
        tone: 'wrong',
      })
    if (!ids.length) return
    showAll()
    selection.these(ids.length > 1 ? ids : ids.slice(-1))
    tell(`${countWords(ids.length, 'pair')} added`)
  }
  /** The pair to select once the selected ones are removed, by id: it takes the place of the first of them. */
  function nextChosen(): string | null {
    const ids = selectedIds()
    const at = visible.value.findIndex(({ id }) => ids.has(id))
    const remaining = visible.value.filter(({ id }) => !ids.has(id))
    return remaining[Math.min(at, remaining.length - 1)]?.id ?? null
  }
  function remove(label = 'remove pairs', next = nextChosen()): void {
    const ids = selectedIds()
    if (!ids.size) return
    const [first] = visible.value.filter(({ id }) => ids.has(id))
    edit(label, (now) => withoutPairs(now, ids))
    selection.only(next)
    tell(`${ids.size === 1 ? `"${first!.name}" is` : `${countWords(ids.size, 'pair')} are`} removed`)
  }
  function double(): void {
    const result = duplicated(pairs(), selectedIds())
    if (!result.ids.length) return
    edit('duplicate pairs', () => result.pairs)
    selection.these(result.ids)
  }
  const step = (by: number): void => edit('reorder the deck', (now) => movedBy(now, selectedIds(), by))
  const move = (ids: readonly string[], to: number): void =>
    edit('reorder the deck', (now) => moved(now, new Set(ids), to))

  return { add, nextChosen, remove, double, step, move }
}
