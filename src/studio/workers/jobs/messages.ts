import type { Report } from '../../../core/audit/report.ts'
import type { Tally } from '../../../core/audit/tally.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'

/** Deals of one level to be counted: numbers `from` up to, not with, `to`. */
export type CountInput = {
  pairs: Pair[]
  settings: Pick<Settings, 'board' | 'fill' | 'deal'>
  seed: string
  from: number
  to: number
}
export type SumInput = { tallies: Tally[]; pairs: Pair[]; settings: CountInput['settings'] }
export type Fairness = { tally: Tally; report: Report }
/** Games of one level to be handled roughly, up to so many inputs. */
export type RoughInput = { pairs: Pair[]; settings: Settings; seed: string; inputs: number }
