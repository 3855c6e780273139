import {
  ScatterChart,
  type BarSeriesOption,
  type HeatmapSeriesOption,
  type LineSeriesOption,
  type ScatterSeriesOption,
} from 'echarts/charts'
import {
  GridComponent,
  TooltipComponent,
  type GridComponentOption,
  type TooltipComponentOption,
  type VisualMapComponentOption,
} from 'echarts/components'
import { init, use, type ComposeOption, type ECharts } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'

/** The parts and the look that every chart shares; charts add what only some need. */
use([ScatterChart, GridComponent, TooltipComponent, SVGRenderer])

export type Chart = ECharts
export type ChartOption = ComposeOption<
  | BarSeriesOption
  | HeatmapSeriesOption
  | LineSeriesOption
  | ScatterSeriesOption
  | GridComponentOption
  | TooltipComponentOption
  | VisualMapComponentOption
>
export const chartOn = (box: HTMLElement): Chart => init(box, undefined, { renderer: 'svg' })

export const INK = '#23243f'
export const SOFT = '#5d5a6e'
export const LINE = '#ddd3c0'
export const LAGOON = '#1f7f80'
export const APRICOT = '#d9673c'
export const BRICK = '#a8322a'
export const FONT = "'Figtree Variable', system-ui, sans-serif"
export const TIP = {
  borderWidth: 0,
  backgroundColor: INK,
  textStyle: { color: '#fffdf8', fontFamily: FONT, fontSize: 14 },
} as const
export const LABEL = { color: SOFT, fontFamily: FONT, fontSize: 12 } as const
