import { LineChart } from 'echarts/charts'
import { use } from 'echarts/core'
import type { Odds } from '../../../core/odds/odds-of.ts'
import { wantedShare } from '../../../core/odds/even-out.ts'
import { LABEL, LINE, TIP, type ChartOption } from '../../parts/charts/chart.ts'

use([LineChart])

/** A mind's odds up the ladder, level by level; null for a level that cannot be dealt. */
export type Climb = { name: string; colour: string; main: boolean; odds: (Odds | null)[] }

/** Px around the plot. */
export const PLOT = { left: 40, right: 16, top: 14, bottom: 26 } as const

/** What the ladder chart can show: wins of 100, turns, or time. */
export const CLIMBS = ['wins', 'turns', 'time'] as const
export type ClimbOf = (typeof CLIMBS)[number]
export function climbOf(measure: ClimbOf, odds: Odds | null): number | null {
  if (!odds) return null
  return measure === 'wins' ? (odds.won / odds.games) * 100 : odds[measure].mean
}

/**
 * Wins of 100, turns or time on each level, a line for each mind; for wins also the wanted band. `write`: a value in
 * words.
 */
export function ladderChart(
  names: readonly string[],
  climbs: readonly Climb[],
  band: readonly [number, number],
  measure: ClimbOf,
  write: (value: number) => string,
): ChartOption {
  const wins = measure === 'wins'
  return {
    animation: false,
    grid: PLOT,
    tooltip: {
      ...TIP,
      trigger: 'axis',
      valueFormatter: (value) => (typeof value === 'number' ? write(value) : 'cannot be dealt'),
    },
    xAxis: {
      type: 'category',
      data: [...names],
      axisLine: { lineStyle: { color: LINE } },
      axisTick: { show: false },
      axisLabel: { ...LABEL, hideOverlap: true, width: 110, overflow: 'truncate' },
    },
    yAxis: {
      type: 'value',
      min: 0,
      ...(wins ? { max: 100, interval: 50 } : { splitNumber: 2 }),
      splitLine: { lineStyle: { color: LINE, opacity: 0.7 } },
      axisLabel: wins ? LABEL : { ...LABEL, formatter: write },
    },
    series: [
      ...(wins ? [wantedLine(names, band)] : []),
      ...climbs.map(({ name, colour, main, odds }) => ({
        type: 'line' as const,
        name,
        data: odds.map((one) => climbOf(measure, one)),
        symbol: 'circle' as const,
        symbolSize: main ? 9 : 5,
        lineStyle: { color: colour, width: main ? 3 : 1.5 },
        itemStyle: { color: colour },
        z: main ? 4 : 3,
      })),
    ],
  }
}

const wantedLine = (names: readonly string[], band: readonly [number, number]) => ({
  type: 'line' as const,
  name: 'wanted',
  data: names.map((_, place) => wantedShare(band, place, names.length) * 100),
  symbol: 'none',
  silent: true,
  lineStyle: { width: 20, color: '#f1cdbd', cap: 'round' as const },
  z: 1,
})
