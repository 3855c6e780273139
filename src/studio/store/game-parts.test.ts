import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BOUNDS } from '../../core/settings/bounds.ts'
import { DEFAULTS } from '../../core/settings/settings.ts'
import type { Game } from '../../core/game/game.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { frameText, gameOf, partsOf, plainJson } from './game-parts.ts'

const texts = (game: Game): string[] => [...partsOf(game).values()].map(plainJson)
const thereAndBack = (game: Game): Game => gameOf(frameText(game), texts(game))

describe('a game in parts', () => {
  test('is JSON of ASCII alone that gives the same game back, whatever its words', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'binary', minLength: 1 }),
        fc.array(fc.string({ unit: 'grapheme', minLength: 1 }), { minLength: 1, maxLength: 5 }),
        (title, names) => {
          const pairs = pairsNamed(names.length).map((pair, i) => ({ ...pair, name: names[i]! }))
          const game: Game = { ...gameWith({ board: { rows: 2 } }, pairs), title, checks: [] }
          expect(thereAndBack(game)).toEqual(game)
          for (const text of [frameText(game), ...texts(game)]) expect(/^[\0-\x7f]*$/.test(text)).toBe(true)
        },
      ),
    )
  })
  test('has all that the game has, and no checks where there are none', () => {
    const game = gameWith({}, pairsNamed(3))
    const changed: Game[] = [
      game,
      { ...game, deck: { ...game.deck, pairs: pairsNamed(2) } },
      { ...game, deck: { ...game.deck, back: { ...game.deck.back, ink: '#000000' } } },
      { ...game, house: { ...DEFAULTS, board: { rows: 9, columns: 9, gaps: ['A1'] } } },
      { ...game, levels: [...game.levels, { id: 'second', name: 'Second' }] },
      { ...game, levels: [] },
    ]
    for (const one of changed) expect(thereAndBack(one)).toEqual(one)
    expect(thereAndBack(game)).not.toHaveProperty('checks')
  })
  test('of a full deck and a full ladder comes back in its order', () => {
    const level = (_: unknown, i: number) => ({ id: `level-${i}`, name: `Level ${i}` })
    const game = {
      ...gameWith({}, pairsNamed(BOUNDS.pairs[1])),
      levels: Array.from({ length: BOUNDS.levels[1] }, level),
    }
    const parts = partsOf(game)
    expect([...parts.keys()]).toEqual([...parts.keys()].sort((one, other) => one - other))
    expect(thereAndBack(game)).toEqual(game)
  })
  test('changes in one part where one pair or one level does', () => {
    const game = gameWith({}, pairsNamed(250))
    const before = partsOf(game)
    const pairs = game.deck.pairs.with(130, { ...game.deck.pairs[130]!, name: 'Other' })
    const differing = (next: Game): number[] =>
      [...partsOf(next, before)].flatMap(([at, part]) => (before.get(at) === part ? [] : [at]))
    expect(differing({ ...game, deck: { ...game.deck, pairs } })).toEqual([1])
    expect(differing({ ...game, levels: [...game.levels, { id: 'second', name: 'Second' }] })).toHaveLength(1)
    expect(differing({ ...game, title: 'Other' })).toEqual([])
    const grown = { ...game, deck: { ...game.deck, pairs: pairsNamed(301) } }
    expect([...partsOf(grown).keys()].at(-1)).toBe([...before.keys()].at(-1))
  })
})
