import { expect, test } from '@jest/globals'
import type { Own } from '../settings/levels.ts'
import { english } from '../texts/english.ts'
import { settingsWith } from '../testing/games.ts'
import { howToPlay } from './how-to.ts'

test('how a level is played names the kinds of what it tells, whatever their numbers', () => {
  const kinds = (own: Own, related = false): string[] => howToPlay(settingsWith(own), related, english).kinds
  expect(kinds({})).toEqual(['playTwins'])
  expect(kinds({}, true)).toEqual(['playRelated'])
  const clock = { mode: 'down' as const, limit: 60_000 }
  expect(kinds({ clock })).toEqual(kinds({ clock: { ...clock, limit: 90_000 } }))
  const all: Own = {
    turn: { firstLook: 2000, onOpen: 'turn-back' },
    look: { marks: 'cells' },
    clock,
    limits: { turns: 9, lives: 3, livesLostOn: 'slip' },
  }
  expect(kinds(all).sort()).toEqual(
    ['playTwins', 'playLook', 'playOpen', 'playMarks', 'playClock', 'playTurns', 'playSlips'].sort(),
  )
})
