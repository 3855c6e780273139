import { computed, nextTick } from 'vue'
import type { Section, Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import { addable, CLAUSES, isRead, keysOf, unshown, type ClauseName } from './clauses.ts'

/** The element of a setting in the story. */
export const placeOf = (key: string): HTMLElement | null =>
  document.querySelector<HTMLElement>(`[data-setting~="${key}"]`)

/** The element of a clause in the story. */
const clauseAt = (name: ClauseName): HTMLElement | null =>
  document.querySelector<HTMLElement>(`[data-clause="${name}"]`)

/** Puts the cursor into a setting of the story. Out: whether it is there. */
export function enter(place: HTMLElement | null): boolean {
  const field = place?.querySelector<HTMLElement>('input:not([type=file]), button, a')
  place?.scrollIntoView({ block: 'nearest' })
  field?.focus()
  return !!field
}

/** Puts the cursor into a clause: into its number, if it has one. */
export const enterClause = (name: ClauseName): boolean =>
  enter(name === 'clock' ? placeOf('clock.limit') : null) || enter(clauseAt(name))

/** Which clauses of the story are shown on the open rung, and how to add one. */
export function useClauses() {
  const bench = useBench()
  const settings = computed(() => bench.settings!)
  const house = computed(() => bench.game!.house)
  const reads = (name: ClauseName): boolean => isRead(name, settings.value, house.value, bench.level)
  const more = (paragraph: number) => addable(paragraph, settings.value, house.value, bench.level)

  /** Adds a clause, with a sensible initial value and the cursor in it. */
  async function add(name: ClauseName): Promise<void> {
    const { first, adds } = CLAUSES[name]
    const [section] = keysOf(name)
    const patch = first(settings.value) as Partial<Settings[Section]>
    bench.set(section, patch, `add ${adds}`, 'single')
    await nextTick()
    enterClause(name)
  }
  const hidden = (name: ClauseName) => unshown(name, settings.value)
  return { reads, hidden, more, add }
}
