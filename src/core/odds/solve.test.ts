import { describe, expect, test } from '@jest/globals'
import { streamOf } from '../deal/seed.ts'
import { draw } from '../deal/draw.ts'
import type { Own } from '../settings/levels.ts'
import { READY_MINDS } from '../settings/mind.ts'
import { testSeed } from '../testing/chance.ts'
import { levelOf, mindWith } from '../testing/levels.ts'
import { wantedShare, evenOut } from './even-out.ts'
import { exactOf, exactWins } from './exact.ts'
import { playGames } from './games.ts'
import { LEVERS, leverSteps, leverValue, withLever, type Lever } from './levers.ts'
import { oddsOf } from './odds-of.ts'
import { moreSevere, solve } from './solve.ts'

const ready = (id: string) => READY_MINDS.find((mind) => mind.id === id)!

describe('levers', () => {
  test.each(LEVERS)('%s goes by its natural step from the most severe value to the least', (by) => {
    const { count, at } = leverSteps(by, 6)
    const { settings } = levelOf(6)
    const values = [0, 1, count - 1].map(at)
    expect(values.map((value) => leverValue(withLever(settings, by, value), by))).toEqual(values)
    expect(moreSevere(by, at(1), 6)).toBe(at(0))
    expect(moreSevere(by, at(0), 6)).toBeNull()
  })
  test('never tries fewer turns than there are pairs', () => expect(leverSteps('turns', 9).at(0)).toBe(9))
})

describe('solving', () => {
  // random levels: some pairs, a mind, a rule and a share, all by one seed each; 12 of them see a fault in one of three
  // kinds of level 99 times of 100
  const LEVELS = Array.from({ length: 12 }, (_, i) => {
    const stream = streamOf(testSeed(`solve-${i}`), 'choosing')
    const of = <T>(all: readonly T[]): T => all[draw(stream, all.length)]!
    const by = of<Lever>(['clock', 'lives', 'turns', 'miss-look'])
    const own: Own =
      by === 'miss-look'
        ? { clock: { mode: 'down', limit: 1000 * (40 + draw(stream, 40)) } }
        : { turn: { missLook: 100 * draw(stream, 20) } }
    return [
      `${i}`,
      3 + draw(stream, 5),
      of(['keen', 'everyday', 'fleeting']),
      by,
      of([0.3, 0.5, 0.7, 0.9]),
      own,
    ] as const
  })
  test.each(LEVELS)('level %s: %i pairs, %s, by %s for %d', (seed, pairs, mind, by, share, own) => {
    const level = levelOf(pairs, own)
    const solved = solve(level, { mind: ready(mind), share, by }, seed)
    const winsAt = (value: number) =>
      oddsOf(
        playGames(
          { ...level, settings: withLever(level.settings, by, value) },
          ready(mind),
          'other',
          1,
          2000,
        ),
      )
    if (!solved.ok) {
      const { count, at } = leverSteps(by, pairs)
      const [most, least] = [winsAt(at(0)), winsAt(at(count - 1))]
      // either nothing changes, or the least severe value does not do it either
      if (solved.why === 'no-effect') expect(most.won).toBe(least.won)
      else expect(least.interval[0]).toBeLessThan(share)
      return
    }
    // intervals of 95 % widened to six standard errors, which no seed passes by chance
    const [low, high] = solved.wins.interval
    expect(high + (high - low)).toBeGreaterThanOrEqual(share)
    expect(winsAt(solved.value).interval[1]).toBeGreaterThan(share - (high - low) - 0.04)
    const next = moreSevere(by, solved.value, pairs)
    if (next === null) return
    // one step more misses it, or is told apart from it by less than the interval
    expect(winsAt(next).interval[0]).toBeLessThan(share + 2 * (high - low))
    // what cannot be told apart from it lies around it
    const severity = (value: number): number => (by === 'miss-look' ? -value : value)
    const [most, least] = solved.range.map(severity)
    expect(severity(solved.value)).toBeGreaterThanOrEqual(most!)
    expect(severity(solved.value)).toBeLessThanOrEqual(least!)
  })
  test('finds the number of turns that is known exactly', () => {
    const level = levelOf(6)
    const mind = mindWith({})
    const exact = exactOf(level, mind, level.dealer.deal('one'))!
    const solved = solve(level, { mind, share: 0.5, by: 'turns' }, 'exact')
    if (!solved.ok) throw new Error(solved.why)
    const shareIn = (turns: number): number => exactWins(exact, withLever(level.settings, 'turns', turns))!
    expect(shareIn(solved.value)).toBeGreaterThan(0.47)
    expect(shareIn(solved.value - 1)).toBeLessThan(0.53)
  })
  test('says where a rule changes nothing, and where something else ends the games', () => {
    const level = levelOf(6, { limits: { turns: 8 } })
    const wanted = { mind: ready('none'), share: 0.9 }
    expect(solve(level, { ...wanted, by: 'miss-look' }, 'no')).toMatchObject({
      ok: false,
      why: 'no-effect',
      most: 'turns',
    })
    expect(solve(level, { ...wanted, by: 'clock' }, 'no')).toMatchObject({
      ok: false,
      why: 'too-hard',
      most: 'turns',
    })
  })
  test('is bounded where games are longest', () => {
    const level = levelOf(20, { board: { rows: 2, columns: 20 } })
    let told = 0
    const solved = solve(
      level,
      { mind: ready('none'), share: 0.5, by: 'turns' },
      'long',
      (done) => (told = done),
    )
    expect(solved).toMatchObject({ ok: true })
    expect(solved.wins.games).toBeLessThan(2000)
    expect(told).toBe(1)
  })
  test('the same seed gives the same value', () => {
    const solveIt = () => solve(levelOf(6), { mind: ready('everyday'), share: 0.6, by: 'clock' }, 'same')
    expect(solveIt()).toEqual(solveIt())
  })
})

describe('a ladder evened out', () => {
  test('falls evenly from the one share to the other', () =>
    expect([0, 1, 2].map((place) => wantedShare([0.9, 0.5], place, 3))).toEqual([0.9, 0.7, 0.5]))
  test('has the shares that were asked for', () => {
    const levels = [4, 6, 8].map((pairs) => levelOf(pairs))
    const solved = evenOut(levels, ready('everyday'), [0.9, 0.5], 'clock', 'even')
    solved.forEach((one, place) => {
      expect(one.ok).toBe(true)
      const [low, high] = one.wins.interval
      const wanted = wantedShare([0.9, 0.5], place, 3)
      expect(low - 0.03 < wanted && wanted < high + 0.03).toBe(true)
    })
  })
})
