import { describe, expect, test } from '@jest/globals'
import { EVERYDAY, PERFECT } from '../../../core/settings/mind.ts'
import { oddsOf } from '../../../core/odds/odds-of.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import { joinGames, playGames, playableOf, SEED, type Games } from '../../../core/odds/games.ts'
import { gameWith } from '../../../core/testing/games.ts'
import { densityChart, rangeOf, type ChartRow } from './density-chart.ts'
import { climbOf, ladderChart } from './ladder-chart.ts'

const game = gameWith({ limits: { turns: 13 } })
const level = playableOf(game, resolveLevel(game, game.levels[0]))
if (!level.ok) throw new Error(level.problem.message)
const row = (games: Games): ChartRow => ({
  id: 'one',
  name: 'One',
  colour: '#123456',
  played: { games, unlimited: games, odds: oddsOf(games), exact: null, complete: true },
})
const [good, bad] = [PERFECT, EVERYDAY].map((mind) => playGames(level.value, mind, SEED, 1, 300)) as [
  Games,
  Games,
]
const rows = [row(good), row(bad)]
type Line = { name: string; data: [number, number][] }
/** The lines of a chart whose name ends so. */
const linesOf = (option: ReturnType<typeof densityChart>, end: string): Line[] =>
  (option.series as unknown as Line[]).filter(({ name }) => name?.endsWith(end))

describe('the curves of games', () => {
  test('have an axis that holds nearly all games, and the limit', () => {
    const [low, high] = rangeOf(rows, 'turns', 13)
    const turns = [...good.turns, ...bad.turns]
    const outside = turns.filter((count) => count < low || count > high)
    expect(outside.length / turns.length).toBeLessThanOrEqual(0.01)
    expect(low).toBeLessThan(13)
    expect(high).toBeGreaterThan(13)
    // each turn is a whole bin
    expect([low % 1, high % 1].map(Math.abs)).toEqual([0.5, 0.5])
    // a limit that no game comes near to is there all the same
    expect(rangeOf(rows, 'turns', 400)[1]).toBeGreaterThan(400)
    expect(rangeOf(rows, 'stars', null)).toEqual([-0.5, 3.5])
    expect(rangeOf(rows, 'score', null)[0]).toBeLessThan(Math.min(...good.score))
  })
  test('of time begin and end at a label', () => {
    const [low, high] = rangeOf(rows, 'time', null)
    expect([low % 1000, high % 1000]).toEqual([0, 0])
    const [axis] = densityChart(rows, 'time', [low, high], String).xAxis as { interval: number }[]
    expect(low % axis!.interval).toBe(0)
    expect((high - low) / axis!.interval).toBeLessThanOrEqual(7)
  })
  test('are those of won games, with the lost ones on top: all games together', () => {
    const range = rangeOf(rows, 'turns', 13)
    const option = densityChart(rows, 'turns', range, String)
    const sum = (line: Line): number => line.data.reduce((all, [, count]) => all + count, 0)
    linesOf(option, 'won').forEach((won, i) => {
      const { odds } = rows[i]!.played
      expect(Math.abs(sum(won) - odds.won)).toBeLessThan(0.02 * odds.games)
      expect(Math.abs(sum(linesOf(option, 'lost')[i]!) - (odds.games - odds.won))).toBeLessThan(
        0.02 * odds.games,
      )
    })
    // a won game has no more turns than the limit
    const beyond = linesOf(option, 'won')[1]!.data.filter(([turns]) => turns > 16)
    expect(beyond.reduce((all, [, count]) => all + count, 0)).toBeLessThan(3)
  })
  test('have a mark where the mean is known exactly, on turns alone', () => {
    const exact = { ...rows[0]!, played: { ...rows[0]!.played, exact: { turns: 6.5, wins: null } } }
    const marks = (axis: 'turns' | 'time') =>
      (densityChart([exact], axis, [0, 20], String).series as { type: string; data: number[][] }[]).filter(
        ({ type }) => type === 'scatter',
      )
    expect(marks('turns').map(({ data }) => data[0]![0])).toEqual([6.5])
    expect(marks('time')).toEqual([])
  })
})

describe('the lines up the ladder', () => {
  const odds = oddsOf(joinGames([good, bad]))
  const climb = { name: 'One', colour: '#123456', main: true, odds: [odds, null, odds] }
  const seriesOf = (measure: 'wins' | 'turns') =>
    ladderChart(['A', 'B', 'C'], [climb], [0.9, 0.5], measure, String).series as {
      name: string
      data: (number | null)[]
    }[]
  test('show wins of 100, turns or time, and a break where a level cannot be dealt', () => {
    expect(odds.won).toBeGreaterThan(10)
    expect(climbOf('wins', odds)).toBeCloseTo((100 * odds.won) / odds.games)
    expect(climbOf('turns', odds)).toBe(odds.turns.mean)
    expect(climbOf('time', null)).toBeNull()
    expect(seriesOf('turns')[0]!.data).toEqual([odds.turns.mean, null, odds.turns.mean])
  })
  test('have the wanted band behind them, of wins alone', () => {
    expect(seriesOf('wins').map(({ name }) => name)).toEqual(['wanted', 'One'])
    expect(seriesOf('wins')[0]!.data.map((share) => Math.round(share!))).toEqual([90, 70, 50])
    expect(seriesOf('turns').map(({ name }) => name)).toEqual(['One'])
  })
})
