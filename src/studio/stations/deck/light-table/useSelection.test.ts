import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { ref } from 'vue'
import { useSelection } from './useSelection.ts'

const LIST = ['a', 'b', 'c', 'd', 'e', 'f']
const plain = { shiftKey: false, ctrlKey: false, metaKey: false }
const shift = { ...plain, shiftKey: true }
const ctrl = { ...plain, ctrlKey: true }
const both = { ...shift, metaKey: true }

/** The selection after presses, each an id and how it is pressed, as one word. */
function after(...presses: [id: string, how: typeof plain][]): string {
  const selection = useSelection(ref(LIST))
  for (const [id, how] of presses) selection.press(id, how)
  return selection.inOrder.value.join('')
}

describe('what is chosen', () => {
  test.each<[string, string, [string, typeof plain][]]>([
    ['one press', 'c', [['c', plain]]],
    [
      'another press instead',
      'e',
      [
        ['c', plain],
        ['e', plain],
      ],
    ],
    [
      'more with Ctrl',
      'ce',
      [
        ['e', plain],
        ['c', ctrl],
      ],
    ],
    [
      'one less with Ctrl',
      'e',
      [
        ['e', plain],
        ['c', ctrl],
        ['c', ctrl],
      ],
    ],
    [
      'a run with Shift',
      'bcd',
      [
        ['b', plain],
        ['d', shift],
      ],
    ],
    [
      'a run backwards',
      'bcd',
      [
        ['d', plain],
        ['b', shift],
      ],
    ],
    [
      'a run from where it began, not from its end',
      'abc',
      [
        ['c', plain],
        ['e', shift],
        ['a', shift],
      ],
    ],
    [
      'a run from the last Ctrl',
      'de',
      [
        ['a', plain],
        ['d', ctrl],
        ['e', shift],
      ],
    ],
    [
      'a run more with both',
      'ade',
      [
        ['a', plain],
        ['d', ctrl],
        ['e', both],
      ],
    ],
    ['Shift with nothing before', 'c', [['c', shift]]],
  ])('%s', (_what, chosen, presses) => expect(after(...presses)).toBe(chosen))

  test('all, none, and some by name', () => {
    const { inOrder, lead, all, only, these } = useSelection(ref(LIST))
    all()
    expect([inOrder.value, lead.value]).toEqual([LIST, 'f'])
    these(['e', 'b'])
    expect([inOrder.value, lead.value]).toEqual([['b', 'e'], 'e'])
    only(null)
    expect([inOrder.value, lead.value]).toEqual([[], null])
  })

  test('follows the list: in its order, and without what has gone', () => {
    const list = ref(LIST)
    const { inOrder, these, press } = useSelection(list)
    these(['a', 'c', 'f'])
    list.value = ['f', 'e', 'c']
    expect(inOrder.value).toEqual(['f', 'c'])
    // the anchor may have gone too
    these(['e'])
    list.value = ['f', 'c']
    press('c', shift)
    expect(inOrder.value).toEqual(['c'])
  })

  test('is always part of the list, with the one pressed last as its lead', () => {
    const press = fc.tuple(fc.constantFrom(...LIST), fc.constantFrom(plain, shift, ctrl, both))
    fc.assert(
      fc.property(fc.array(press, { minLength: 1 }), (presses) => {
        const { chosen, lead, press } = useSelection(ref(LIST))
        for (const [id, how] of presses) press(id, how)
        const [id, how] = presses.at(-1)!
        expect(lead.value).toBe(id)
        if (!how.ctrlKey) expect(chosen.value.has(id)).toBe(true)
        for (const one of chosen.value) expect(LIST).toContain(one)
      }),
    )
  })
})
