import { describe, expect, test } from '@jest/globals'
import { createRequire } from 'node:module'
import { readGame, writeGame } from '../files/game-file.ts'
import { findingsOf } from '../findings/findings.ts'
import { openCells } from '../board/cells.ts'
import { resolveLevel } from '../settings/levels.ts'
import { BEGINNINGS } from './beginnings.ts'

const library = new Set(
  Object.keys(
    (
      createRequire(`${process.cwd()}/package.json`)('@iconify-json/fluent-emoji-flat/icons.json') as {
        icons: object
      }
    ).icons,
  ),
)

describe('a way to begin', () => {
  test.each(BEGINNINGS.map((one) => [one.title, one] as const))(
    '%s is a whole game without a finding, and stays what it is as a file',
    (_title, { make }) => {
      const game = make()
      expect(findingsOf(game, library)).toEqual([])
      expect(readGame(writeGame(game))).toEqual({ ok: true, value: game })
      // made anew each time: changing one leaves the next as it was
      expect(make()).not.toBe(game)
      expect(make()).toEqual(game)
    },
  )
  test('each says how many pairs or levels it has, and has them', () => {
    const [quick, ladder, two, words] = BEGINNINGS.map(({ make }) => make())
    const pairsOn = (game = quick!): number => {
      const { board } = resolveLevel(game, game.levels[0])
      return openCells(board).length / 2
    }
    expect(BEGINNINGS.map(({ words: said }) => said.split(' ')[0])).toEqual(['Six', 'Five', 'Ten', 'Eight'])
    expect([pairsOn(quick), ladder!.levels.length, pairsOn(two), pairsOn(words)]).toEqual([6, 5, 10, 8])
    expect(two!.house.players.names).toHaveLength(2)
    expect(words!.deck.pairs.every(({ b }) => b)).toBe(true)
    expect(ladder!.levels.every((level) => resolveLevel(ladder!, level).clock.mode === 'down')).toBe(true)
  })
})
