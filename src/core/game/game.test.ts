import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cellsOf, gameWith, pairsNamed, settingsWith } from '../testing/games.ts'
import { luckiestLoss } from '../odds/luckiest.ts'
import { whereText } from '../findings/finding.ts'
import { findingsOf } from '../findings/findings.ts'
import { isOwn, type Own, ownKeys, resolveLevel, withoutOwn, withOwn } from '../settings/levels.ts'
import { newId, ID } from '../settings/new-id.ts'
import { DEFAULTS } from '../settings/settings.ts'

describe('levels and house rules', () => {
  const level = { id: 'a', name: 'A', board: { rows: 6 }, clock: { mode: 'down' as const } }
  const game = { house: DEFAULTS }

  test('a level names only what differs, key by key', () => {
    const settings = resolveLevel(game, level)
    expect(settings.board).toEqual({ rows: 6, columns: 4, gaps: [] })
    expect(settings.clock).toEqual({ ...DEFAULTS.clock, mode: 'down' })
    expect(settings.turn).toEqual(DEFAULTS.turn)
  })
  test('a change of the house rules reaches every key that is not own', () => {
    const house = { ...DEFAULTS, board: { rows: 2, columns: 7, gaps: [] } }
    expect(resolveLevel({ house }, level).board).toEqual({ rows: 6, columns: 7, gaps: [] })
  })
  test('own keys are made and given back', () => {
    const own = withOwn(level, 'limits', { lives: null })
    expect(isOwn(own, 'limits', 'lives')).toBe(true)
    expect(ownKeys(own)).toEqual(['board.rows', 'clock.mode', 'limits.lives'])
    expect(withoutOwn(own, 'limits', 'lives')).toEqual(level)
    expect(withoutOwn(withoutOwn(level, 'board', 'rows'), 'clock', 'mode')).toEqual({ id: 'a', name: 'A' })
  })
})

describe('new ids', () => {
  test.each([
    ['The Clockmaker’s Drawer', [], 'the-clockmaker-s-drawer'],
    ['Café', [], 'cafe'],
    ['Warm-up', ['warm-up', 'warm-up-2'], 'warm-up-3'],
    ['漢字', ['level'], 'level-2'],
  ])('%j beside %j is %s', (name, taken, id) => {
    expect(newId(name, taken, 'level')).toBe(id)
  })
  test('are always allowed and never taken', () => {
    fc.assert(
      fc.property(fc.string(), fc.array(fc.string()), (name, taken) => {
        const id = newId(name, taken)
        expect(id).toMatch(ID)
        expect(taken).not.toContain(id)
      }),
    )
  })
})

describe('findings', () => {
  const codes = (own: Own, pairs = pairsNamed(8)): string[] =>
    findingsOf(gameWith(own, pairs), new Set(['gear'])).map(
      ({ severity, code, where }) => `${severity} ${code} ${whereText(where)}`,
    )

  test('a game that is well has none', () => expect(codes({})).toEqual([]))
  test.each<[Own, string]>([
    [{ board: { rows: 3, columns: 3 } }, 'stops odd-board levels[0].board'],
    [{ board: { rows: 6, columns: 6 } }, 'stops too-few-pairs levels[0].fill.repeat'],
    [{ deal: { way: 'apart', steps: 9 } }, 'stops steps-unreachable levels[0].deal.steps'],
    [
      { deal: { way: 'apart' }, fill: { use: { from: 1, to: 3 }, repeat: 'at-random' } },
      'stops steps-by-chance levels[0].fill.repeat',
    ],
    [{ board: { rows: 7, columns: 8 }, fill: { repeat: 'evenly' } }, 'warns tiny-cards levels[0].board'],
    [
      { board: { rows: 2, columns: 2 }, fill: { use: { from: 2, to: 4 } } },
      'warns unused-pairs deck.pairs[0]',
    ],
    [{ board: { rows: 2, columns: 2 }, fill: { pick: 'first' } }, 'warns unused-pairs deck.pairs[2]'],
    [{ deal: { way: 'arranged' } }, 'stops arranged-wrong levels[0].deal.arranged'],
    [{ board: { gaps: ['A1', 'Z9'], rows: 3, columns: 3 } }, 'warns gap-outside levels[0].board.gaps'],
    [{ fill: { use: { pairs: ['p0', 'gone'] }, repeat: 'evenly' } }, 'warns unknown-pair levels[0].fill.use'],
    [{ fill: { use: { tags: ['gone'] }, repeat: 'evenly' } }, 'warns unknown-tag levels[0].fill.use'],
    [
      { look: { behind: { kind: 'image', src: 'data:' } } },
      'warns missing-alt-behind levels[0].look.behind.alt',
    ],
    [{ limits: { turns: 7 } }, 'stops cannot-be-won levels[0].limits.turns'],
    [{ clock: { mode: 'down', limit: 5599 } }, 'stops cannot-be-won levels[0].clock.limit'],
  ])('%j', (own, line) => {
    expect(codes(own)).toContain(line)
  })
  test('a limit that luck can just meet does not stop the game, and is said to take luck', () => {
    const clock = ['warns needs-luck levels[0].clock.limit']
    expect(codes({ limits: { turns: 8 } })).toEqual(['warns needs-luck levels[0].limits.turns'])
    // seven looks of 800 ms lie between the first press and the last
    expect(codes({ clock: { mode: 'down', limit: 5600 } })).toEqual(clock)
    expect(codes({ clock: { mode: 'down', limit: 1000 }, turn: { duringLook: 'skip' } })).toEqual(clock)
  })
  test('luck is played out under every rule', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('wait', 'skip', 'skip-and-flip'),
        fc.constantFrom('timed', 'press', 'button'),
        fc.integer({ min: 0, max: 900 }),
        (duringLook, onMiss, firstLook) => {
          const settings = settingsWith({
            turn: { duringLook, onMiss, firstLook },
            limits: { turns: 8, lives: 1 },
          })
          expect(luckiestLoss(settings, cellsOf(settings, pairsNamed(8)))).toBeNull()
        },
      ),
    )
  })
  test('faces that cannot be found or read aloud', () => {
    const pairs = pairsNamed(8)
    pairs[2]!.a = { kind: 'picture', name: 'nothing' }
    pairs[3]!.a = { kind: 'picture', name: 'gear' }
    pairs[4]!.b = { kind: 'image', src: 'data:' }
    expect(codes({}, pairs)).toEqual([
      'stops unknown-picture deck.pairs[2].a.name',
      'warns missing-alt deck.pairs[4].b.alt',
    ])
  })
})
