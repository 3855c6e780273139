import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULTS } from '../../core/settings/settings.ts'
import type { Game } from '../../core/game/game.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { frameText, gameOf, partsOf, plainJson } from './game-parts.ts'

const thereAndBack = (game: Game): Game => gameOf(frameText(game), partsOf(game).map(plainJson))

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
          for (const text of [frameText(game), ...partsOf(game).map(plainJson)])
            expect(/^[\0-\x7f]*$/.test(text)).toBe(true)
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
})
