import { LineChart } from 'echarts/charts'
import { use } from 'echarts/core'
import type { Odds } from '../../../core/odds/odds-of.ts'
import { wantedShare } from '../../../core/odds/even-out.ts'
import { LABEL, LINE, TIP, type ChartOption } from '../../parts/charts/chart.ts'

use([LineChart])

/** A mind's odds up the ladder, level by level; null where a level cannot be dealt. */
export type Climb = { name: string; colour: string; main: boolean; odds: (Odds | null)[] }

const PLOT = { left: 40, right: 16, top: 14, bottom: 26 } as const
const share = (odds: Odds | null): number | null => odds && (odds.won / odds.games) * 100

/** Wins of 100 on each level, a line a mind, and the band that is wanted. */
export function ladderChart(
  names: readonly string[],
  climbs: readonly Climb[],
  band: readonly [number, number],
): ChartOption {
  return {
    animation: false,
    grid: PLOT,
    tooltip: {
      ...TIP,
      trigger: 'axis',
      valueFormatter: (value) =>
        typeof value === 'number' ? `${value.toFixed(0)} of 100` : 'cannot be dealt',
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
      max: 100,
      interval: 50,
      splitLine: { lineStyle: { color: LINE, opacity: 0.7 } },
      axisLabel: LABEL,
    },
    series: [
      {
        type: 'line',
        name: 'wanted',
        data: names.map((_, place) => wantedShare(band, place, names.length) * 100),
        symbol: 'none',
        silent: true,
        lineStyle: { width: 20, color: '#f1cdbd', cap: 'round' },
        z: 1,
      },
      ...climbs.map(({ name, colour, main, odds }) => ({
        type: 'line' as const,
        name,
        data: odds.map(share),
        symbol: 'circle' as const,
        symbolSize: main ? 9 : 5,
        lineStyle: { color: colour, width: main ? 3 : 1.5 },
        itemStyle: { color: colour },
        z: main ? 4 : 3,
      })),
    ],
  }
}
