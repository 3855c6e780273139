import type { Cells } from '../deal/deal.ts'
import type { Mind } from '../settings/mind.ts'
import type { MindStreams } from './chance.ts'
import { MindPlayer, thoughtMs } from './player-mind.ts'

/** The numbers that a stream gives, in this many parts of the same width. */
const PARTS = 2 ** 14
const WIDTH = 2 ** 32 / PARTS
/** Of a part: its times have not been asked for, or are not all the same. */
const UNKNOWN = 0
const SEVERAL = 2 ** 16 - 1
/** More than the quantiles that times are worked out from can be off, as a share of the time. */
const OFF = 1e-5
/** More paces than a game has minds. */
const TABLES = 50

/**
 * The same thinking times as `thoughtMs` gives, read from a table: times rise with the number that is drawn, so where
 * the first and the last of a part have the same whole ms, all have. A part is worked out when it is first drawn from.
 */
class ThoughtTable {
  private readonly median: number
  private readonly spread: number
  private readonly parts = new Uint16Array(PARTS)

  constructor(median: number, spread: number) {
    this.median = median
    this.spread = spread
  }

  ms(share: number): number {
    const part = Math.floor(share / WIDTH)
    if (this.parts[part] === UNKNOWN) this.parts[part] = this.ofPart(part * WIDTH)
    const ms = this.parts[part]!
    return ms === SEVERAL ? thoughtMs(this.median, this.spread, share) : ms
  }

  private ofPart(from: number): number {
    const { median, spread } = this
    const least = thoughtMs(median * (1 - OFF), spread, from)
    const most = thoughtMs(median * (1 + OFF), spread, from + WIDTH - 1)
    return least === most && least < SEVERAL ? least : SEVERAL
  }
}

const tables = new Map<string, ThoughtTable>()
function tableOf(median: number, deviation: number): ThoughtTable {
  const key = `${median} ${deviation}`
  const cached = tables.get(key)
  if (cached) return cached
  if (tables.size === TABLES) tables.clear()
  const table = new ThoughtTable(median, deviation)
  tables.set(key, table)
  return table
}

/** A mind that plays thousands of games: just like any other, but its thinking times are looked up. */
export class QuickMind extends MindPlayer {
  private readonly firsts: ThoughtTable
  private readonly seconds: ThoughtTable

  constructor(mind: Mind, cells: Cells, columns: number, streams: MindStreams) {
    super(mind, cells, columns, streams)
    const { first, second, spread } = mind.pace
    this.firsts = tableOf(first, spread)
    this.seconds = tableOf(second, spread)
  }

  override thought(card: 'first' | 'second'): number {
    if (this.mind.pace.spread === 0) return super.thought(card)
    return (card === 'first' ? this.firsts : this.seconds).ms(this.streams.pacing.next() >>> 0)
  }
}
