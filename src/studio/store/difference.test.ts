import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { difference, withChanges } from './difference.ts'

/** JSON as it comes back from a file: no key of it is undefined, no zero negative. */
const again = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const anyJson = fc.jsonValue({ maxDepth: 4 }).map((value) => again(value))

describe('the difference of two documents', () => {
  test('makes one into the other, also after it was written down', () => {
    fc.assert(
      fc.property(anyJson, anyJson, (one, other) => {
        expect(withChanges(one, again(difference(one, other)))).toEqual(other)
      }),
      { numRuns: 500 },
    )
  })
  test('of lists that lost, gained and moved entries', () => {
    const list = fc.array(fc.record({ id: fc.nat(9), name: fc.string() }), { maxLength: 8 })
    fc.assert(
      fc.property(list, fc.array(fc.nat(7)), list, (one, kept, more) => {
        // entries that stay are the very same values, as after an edit
        const other = [...kept.flatMap((i) => one[i] ?? []), ...more]
        expect(withChanges({ list: one }, again(difference({ list: one }, { list: other })))).toEqual({
          list: other,
        })
      }),
    )
  })
  test('is small where little changed in a large game, and leaves the rest as it is', () => {
    const game = gameWith({}, pairsNamed(1000))
    const pairs = game.deck.pairs.map((pair, i) => (i === 500 ? { ...pair, name: 'Other' } : pair))
    const renamed = { ...game, deck: { ...game.deck, pairs } }
    const changes = difference(game, renamed)
    expect(changes).toEqual([{ at: ['deck', 'pairs', 500, 'name'], put: 'Other' }])
    const made = withChanges(game, changes)
    expect(made.deck.pairs[499]).toBe(game.deck.pairs[499])
    expect(made.house).toBe(game.house)
    const removed = { ...game, deck: { ...game.deck, pairs: pairsNamed(1000).slice(1) } }
    expect(withChanges(game, difference(game, removed))).toEqual(removed)
  })
  test('of another document is refused', () => {
    expect(() => withChanges({ a: 1 }, [{ at: ['list'], from: 0, cut: 1, put: [] }])).toThrow()
    expect(() => withChanges({ list: [] }, [{ at: ['list', 3, 'name'], put: 'x' }])).toThrow()
    expect(() => withChanges({ a: 'text' }, [{ at: ['a', 'b'], put: 1 }])).toThrow()
  })
  test('never reaches beyond the document', () => {
    const made = withChanges({}, [{ at: ['__proto__'], put: { polluted: true } }])
    expect(Object.keys(made)).toEqual(['__proto__'])
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined()
  })
})
