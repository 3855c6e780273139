import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { computed, nextTick } from 'vue'
import { BOUNDS } from '../../../../core/settings/bounds.ts'
import { gameWith, pairsNamed } from '../../../../core/testing/games.ts'

await import('../../../testing/browser.ts')
const { useBench } = await import('../../../store/bench.ts')
const { keepGame, oneGame } = await import('../../../store/db.ts')
const { useToasts } = await import('../../../parts/toast/useToasts.ts')
const { useDeckEdits } = await import('./useDeckEdits.ts')
const { useSelection } = await import('../light-table/useSelection.ts')

let bench: ReturnType<typeof useBench>
const { toasts, close } = useToasts()

/** A deck of so many pairs, p0 and on, on the bench; those whose names fit `filter` are shown. */
async function deckOf(count: number, filter = /./) {
  setActivePinia(createPinia())
  bench = useBench()
  await keepGame('edits', gameWith({}, pairsNamed(count)), (await oneGame('edits'))?.rev ?? 0)
  await bench.open('edits')
  const shown = computed(() => bench.game!.deck.pairs.filter(({ name }) => filter.test(name)))
  const selection = useSelection(computed(() => shown.value.map(({ id }) => id)))
  const showAll = jest.fn()
  return { selection, showAll, ...useDeckEdits(selection, shown, showAll) }
}
const ids = (): string => bench.game!.deck.pairs.map(({ id }) => id).join(' ')
const said = (): string[] => toasts.value.map(({ text }) => text)
const undoSaid = (): void => toasts.value.at(-1)!.act!.run()

// messages go by themselves after some seconds: those of fake timers are not waited for at the end
beforeEach(() => {
  jest.useFakeTimers({ advanceTimers: true, doNotFake: ['nextTick', 'setImmediate', 'queueMicrotask'] })
})
afterEach(async () => {
  await bench.flush()
  jest.useRealTimers()
  for (const { id } of toasts.value) close(id)
})

describe('edits of the deck', () => {
  test('what is added comes last, is chosen, shown, and told, and goes again in one step', async () => {
    const { add, selection, showAll } = await deckOf(3)
    add(pairsNamed(2), 'add words')
    expect(ids()).toBe('p0 p1 p2 p0-2 p1-2')
    expect(selection.inOrder.value).toEqual(['p0-2', 'p1-2'])
    expect(showAll).toHaveBeenCalledTimes(1)
    expect(said()).toEqual(['2 pairs added'])
    undoSaid()
    expect(ids()).toBe('p0 p1 p2')
  })
  test('what is pasted comes behind the last of the chosen', async () => {
    const { add, selection } = await deckOf(4)
    selection.these(['p0', 'p1'])
    add(pairsNamed(1), 'paste pairs')
    expect(ids()).toBe('p0 p1 p0-2 p2 p3')
    selection.only(null)
    add(pairsNamed(1), 'paste pairs')
    expect(ids()).toBe('p0 p1 p0-2 p2 p3 p0-3')
  })
  test('nothing added is no step', async () => {
    const { add } = await deckOf(2)
    add([], 'add words')
    expect([bench.past.length, said()]).toEqual([0, []])
  })
  test('more than a deck holds are left out, and told', async () => {
    const most = BOUNDS.pairs[1]
    const { add } = await deckOf(most - 1)
    add(pairsNamed(3), 'add words')
    expect(bench.game!.deck.pairs).toHaveLength(most)
    expect(said()).toEqual([
      `A deck has at most ${most.toLocaleString('en')} pairs; 2 are left out`,
      '1 pair added',
    ])
    add(pairsNamed(1), 'add words')
    expect(bench.past).toHaveLength(1)
  })
  test('where pairs were removed, the one that comes to lie there is chosen; at the end the last', async () => {
    const { remove, selection } = await deckOf(5)
    selection.these(['p1', 'p2'])
    remove()
    expect([ids(), selection.inOrder.value]).toEqual(['p0 p3 p4', ['p3']])
    selection.only('p4')
    remove()
    expect([ids(), selection.inOrder.value]).toEqual(['p0 p3', ['p3']])
    // the first message stood for another document
    expect(said()).toEqual(['"Pair 4" is removed'])
    undoSaid()
    await nextTick()
    expect([ids(), said()]).toEqual(['p0 p3 p4', ['2 pairs are removed']])
  })
  test('of those that a search hides, none is removed', async () => {
    const { remove, selection } = await deckOf(4, /[02]/)
    selection.all()
    remove()
    expect(ids()).toBe('p1 p3')
    remove()
    expect(ids()).toBe('p1 p3')
  })
  test('copies lie behind the last of the chosen, and are chosen', async () => {
    const { double, selection } = await deckOf(4)
    selection.these(['p0', 'p2'])
    double()
    expect([ids(), selection.inOrder.value]).toEqual(['p0 p1 p2 p0-2 p2-2 p3', ['p0-2', 'p2-2']])
  })
  test('the chosen step together, and are moved together', async () => {
    const { step, move, selection } = await deckOf(5)
    selection.these(['p1', 'p3'])
    step(-1)
    expect(ids()).toBe('p1 p3 p0 p2 p4')
    step(1)
    expect(ids()).toBe('p0 p1 p3 p2 p4')
    move(['p1', 'p3'], 3)
    expect(ids()).toBe('p0 p2 p4 p1 p3')
    expect(bench.past.map(({ label }) => label)).toEqual(Array(3).fill('reorder the deck'))
  })
})
