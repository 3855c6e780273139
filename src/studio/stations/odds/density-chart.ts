import { LineChart } from 'echarts/charts'
import { use } from 'echarts/core'
import { countBins, kernelWidth, quantile, smooth } from '../../../core/odds/density.ts'
import { BRICK, INK, LABEL, LINE, type ChartOption } from '../../parts/charts/chart.ts'
import type { Axis } from './odds-words.ts'
import type { MindResult } from './useGames.ts'

use([LineChart])

/** A mind's games in its colour. */
export type ChartRow = { id: string; name: string; colour: string; played: MindResult }

/** Px: the height of a mind's row, the space above it, the space for the numbers below, and at the sides. */
export const ROW = 58
export const ABOVE = 10
export const BELOW = 26
export const SIDE = 12
/** How many points make a curve. */
const BINS = 120
/** The axis ends where this few games lie beyond. */
const BEYOND = 0.005

/** Lost games are played on where the axis is time or turns, to show by how much they were lost. */
const valuesOf = ({ games, unlimited }: MindResult, axis: Axis): Float64Array =>
  (axis === 'time' || axis === 'turns' ? unlimited : games)[axis]

/** The ends of the axis: it holds nearly all games, and the limit. */
export function rangeOf(rows: readonly ChartRow[], axis: Axis, limit: number | null): [number, number] {
  if (axis === 'stars') return [-0.5, 3.5]
  const room = (low: number, high: number): number => (high - low) * 0.04 || 1
  let [low, high] = [Infinity, limit === null ? -Infinity : limit * 1.08]
  for (const { played } of rows) {
    const sorted = Float64Array.from(valuesOf(played, axis)).sort()
    low = Math.min(low, quantile(sorted, BEYOND))
    high = Math.max(high, quantile(sorted, 1 - BEYOND))
  }
  if (limit !== null) low = Math.min(low, limit * 0.92)
  // time starts and ends at a step that has a label
  if (axis === 'time') {
    const step = timeStep(high - low)
    return [Math.floor(low / step) * step, Math.ceil(high / step) * step]
  }
  // each turn is a whole bin
  if (axis === 'turns') return [Math.floor(low) - 0.5, Math.ceil(high + room(low, high)) + 0.5]
  return [
    axis === 'score' ? low - room(low, high) : Math.max(0, low - room(low, high)),
    high + room(low, high),
  ]
}

/** Easily read steps for an axis of time, in ms: about six of them. */
const TIME_STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600].map((seconds) => seconds * 1000)
const timeStep = (span: number): number => TIME_STEPS.find((step) => span / step <= 7) ?? span

/** Lost games are hatched. */
const HATCH = {
  image: `data:image/svg+xml,${encodeURIComponent(
    `<svg xmlns="http://www.w3.org/2000/svg" width="6" height="6"><rect width="6" height="6" fill="#f3d9d4"/><path d="M-1 7L7-1M-1 1L1-1M5 7L7 5" stroke="${BRICK}" stroke-width="2"/></svg>`,
  )}`,
  repeat: 'repeat' as const,
  imageWidth: 6,
  imageHeight: 6,
}

/**
 * One row for each mind, on one axis: won games in its colour, with the lost ones hatched on top; a mark at the exact
 * mean. `number` writes a value of the axis.
 */
export function densityChart(
  rows: readonly ChartRow[],
  axis: Axis,
  [low, high]: readonly [number, number],
  number: (value: number) => string,
): ChartOption {
  // whole numbers have whole bins, several to one bin if there are many
  const bins = axis === 'stars' ? 4 : axis === 'turns' ? Math.min(BINS, high - low) : BINS
  const middle = (bin: number): number => low + ((bin + 0.5) / bins) * (high - low)
  const curves = rows.map(({ played }) => curvesOf(played, axis, [low, high], bins))
  const line = (row: number, name: string, counts: Float64Array, colour: unknown) => ({
    type: 'line' as const,
    name,
    xAxisIndex: row,
    yAxisIndex: row,
    stack: `row ${row}`,
    silent: true,
    symbol: 'none' as const,
    lineStyle: { width: 0 },
    areaStyle: { color: colour as string, opacity: 0.85 },
    ...(axis === 'stars' ? { step: 'middle' as const } : {}),
    // whole bins, those at the ends as well
    data: [
      ...(axis === 'stars' ? [[low, counts[0]!]] : []),
      ...Array.from(counts, (count, bin): [number, number] => [middle(bin), count]),
      ...(axis === 'stars' ? [[high, counts.at(-1)!]] : []),
    ],
  })
  return {
    animation: false,
    grid: rows.map((_, row) => ({ left: SIDE, right: SIDE, top: ABOVE + row * ROW, height: ROW - 6 })),
    xAxis: rows.map((_, row) => ({
      type: 'value',
      gridIndex: row,
      min: low,
      max: high,
      ...(axis === 'stars' ? { interval: 0.5 } : axis === 'time' ? { interval: timeStep(high - low) } : {}),
      axisLine: { lineStyle: { color: LINE } },
      axisTick: { show: false },
      splitLine: { lineStyle: { color: LINE, opacity: 0.5 } },
      axisLabel: {
        ...LABEL,
        show: row === rows.length - 1,
        hideOverlap: true,
        showMinLabel: false,
        showMaxLabel: false,
        formatter: (value: number) => (axis === 'stars' && value % 1 ? '' : number(value)),
      },
    })),
    yAxis: curves.map(({ top }, row) => ({
      type: 'value',
      gridIndex: row,
      show: false,
      min: 0,
      max: top * 1.1 || 1,
    })),
    series: rows.flatMap(({ name, colour, played }, row) => {
      const { won, lost, top } = curves[row]!
      const exact = axis === 'turns' ? played.exact?.turns : undefined
      return [
        line(row, `${name}, won`, won, colour),
        line(row, `${name}, lost`, lost, HATCH),
        ...(exact === undefined
          ? []
          : [
              {
                type: 'scatter' as const,
                xAxisIndex: row,
                yAxisIndex: row,
                symbol: 'diamond',
                symbolSize: 11,
                silent: true,
                itemStyle: { color: INK, borderColor: '#fffdf8', borderWidth: 1 },
                z: 5,
                data: [[exact, top * 0.12]],
              },
            ]),
      ]
    }),
  }
}

function curvesOf(result: MindResult, axis: Axis, range: readonly [number, number], bins: number) {
  const values = valuesOf(result, axis)
  const { ends } = result.games
  const part = (isWon: boolean): Float64Array => values.filter((_, i) => (ends[i] === 0) === isWon)
  const width = axis === 'stars' ? 0 : (kernelWidth(values) / (range[1] - range[0])) * bins
  const [won, lost] = [part(true), part(false)].map((some) => smooth(countBins(some, range, bins), width))
  const top = Math.max(...won!.map((count, bin) => count + lost![bin]!))
  return { won: won!, lost: lost!, top }
}
