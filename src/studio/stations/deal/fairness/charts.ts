import { BarChart, HeatmapChart } from 'echarts/charts'
import { VisualMapComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { cellName, openCells } from '../../../../core/board/cells.ts'
import type { Report } from '../../../../core/audit/report.ts'
import type { Tally } from '../../../../core/audit/tally.ts'
import { APRICOT, FONT, INK, LAGOON, LINE, SOFT, TIP, type ChartOption } from '../../../parts/charts/chart.ts'
import { percent } from '../../../parts/settings/numbers.ts'

use([BarChart, HeatmapChart, VisualMapComponent])

/** The charts of a fairness report, in the colours of the twins: apricot for less often than even, lagoon for more. */
const FEWER = APRICOT
const EVEN = '#f3ebdc'
const MORE = LAGOON
const BARE = { axisLine: { show: false }, axisTick: { show: false }, splitLine: { show: false } } as const
/** Deviations beyond this many standard deviations have the full colour. */
const FULL = 4

/** Where the cards of one pair landed: how often on each cell, and how often expected. */
export function landings(
  tally: Tally,
  pair: number,
): { cells: { cell: number; seen: number }[]; even: number } {
  const open = openCells(tally.board)
  const cells = open.map((cell, place) => ({ cell, seen: tally.at[place * tally.pairs + pair]! }))
  return { cells, even: cells.reduce((sum, { seen }) => sum + seen, 0) / cells.length }
}

export function heatMap(tally: Tally, pair: number): ChartOption {
  const { rows, columns } = tally.board
  const { cells, even } = landings(tally, pair)
  const step = Math.sqrt(even) || 1
  return {
    animation: false,
    grid: { left: 20, right: 2, top: 18, bottom: 2 },
    tooltip: {
      ...TIP,
      formatter: (info) => {
        // what the series above has as its data
        const [column, row, seen] = (info as unknown as { data: [number, number, number] }).data
        return `${cellName(row * columns + column, columns)}: ${seen.toLocaleString('en')}, ${even.toFixed(1)} would be even`
      },
    },
    xAxis: {
      type: 'category',
      position: 'top',
      data: Array.from({ length: columns }, (_, i) => cellName(i, columns)[0]!),
      axisLabel: { color: SOFT, fontFamily: FONT, fontSize: 12, margin: 4, interval: 0, hideOverlap: true },
      ...BARE,
    },
    yAxis: {
      type: 'category',
      inverse: true,
      data: Array.from({ length: rows }, (_, i) => String(i + 1)),
      axisLabel: { color: SOFT, fontFamily: FONT, fontSize: 12, margin: 4, interval: 0, hideOverlap: true },
      ...BARE,
    },
    visualMap: {
      show: false,
      dimension: 2,
      min: even - FULL * step,
      max: even + FULL * step,
      inRange: { color: [FEWER, EVEN, MORE] },
    },
    series: [
      {
        type: 'heatmap',
        data: cells.map(({ cell, seen }) => [cell % columns, Math.floor(cell / columns), seen]),
        itemStyle: { borderColor: '#fffdf8', borderWidth: 2, borderRadius: 4 },
        emphasis: { itemStyle: { borderColor: INK } },
      },
    ],
  }
}

/** How far apart twins were, as bars, and what chance predicts, as marks. */
export function stepsChart({ seen, expected }: NonNullable<Report['steps']>): ChartOption {
  return {
    animation: false,
    grid: { left: 4, right: 4, top: 8, bottom: 20 },
    tooltip: {
      ...TIP,
      trigger: 'axis',
      formatter: (infos) => {
        // by axis there is a list
        const at = (infos as unknown as { dataIndex: number }[])[0]!.dataIndex
        return `${at + 1} ${at ? 'steps' : 'step'}: ${percent(seen[at]!, 1)}, expected ${percent(expected[at]!, 1)}`
      },
    },
    xAxis: {
      type: 'category',
      data: seen.map((_, i) => String(i + 1)),
      axisLabel: { color: SOFT, fontFamily: FONT, fontSize: 12, interval: 0, hideOverlap: true },
      axisTick: { show: false },
      axisLine: { lineStyle: { color: LINE } },
    },
    yAxis: { type: 'value', show: false },
    series: [
      { type: 'bar', data: seen, itemStyle: { color: MORE, borderRadius: [3, 3, 0, 0] }, barMaxWidth: 26 },
      {
        type: 'scatter',
        data: expected,
        symbol: 'rect',
        symbolSize: [22, 3],
        itemStyle: { color: FEWER },
        z: 3,
      },
    ],
  }
}
