import { auditBoards as audit, type Audit } from '../../../../core/audit/audit.ts'
import { pairClasses } from '../../../../core/audit/classes.ts'
import { reportOf, type Report as FairReport } from '../../../../core/audit/report.ts'
import { buffersOf, Counter, sumTallies, type Tally } from '../../../../core/audit/tally.ts'
import { openCells } from '../../../../core/board/cells.ts'
import { logDeals } from '../../../../core/deal/count.ts'
import { prepareDeal } from '../../../../core/deal/deal.ts'
import type { Pair } from '../../../../core/deck/pair.ts'
import { drawnPairs, drawsWithReplacement } from '../../../../core/deck/select.ts'
import { readBoards, type GivenSize, type ReadBoards } from '../../../../core/files/boards-file.ts'
import { dealtText, seedsFrom, type DealtFormat } from '../../../../core/files/dealt-file.ts'
import type { Result } from '../../../../core/result.ts'
import type { Settings } from '../../../../core/settings/settings.ts'
import type { Report } from './messages.ts'

type Level = { pairs: Pair[]; settings: Pick<Settings, 'board' | 'fill' | 'deal'> }

/** How often progress is reported, in deals. */
const STEP = 1000

/** Deals of a level, counted: numbers `from` up to but not including `to`. */
export function countDeals(
  { pairs, settings, seed, from, to }: Level & { seed: string; from: number; to: number },
  { progress, handOver }: Report,
): Tally {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const counter = new Counter(settings.board, pairs.length, to - from, pairClasses(pairs, settings))
  for (let i = from; i < to; i++) {
    counter.add(dealer.value.deal(`${seed}-${i}`))
    if ((i - from) % STEP === 0) progress((i - from) / (to - from))
  }
  handOver(buffersOf(counter.tally))
  return counter.tally
}

export type Fairness = { tally: Tally; report: FairReport }
/** What counts of deals say together of how fair a level's deals are. */
export function judgeDeals(
  { tallies, pairs, settings }: Level & { tallies: Tally[] },
  { handOver }: Report,
): Fairness {
  const tally = sumTallies(tallies)
  const { way } = settings.deal
  const claim = way === 'apart' || way === 'close' ? 'by-steps' : 'shuffled'
  const selected = drawnPairs(pairs, settings.fill).length
  // drawn with replacement, some fills are likelier than others, and so are their deals
  const byChance = drawsWithReplacement(selected, openCells(settings.board).length / 2, settings.fill)
  handOver(buffersOf(tally))
  return { tally, report: reportOf(tally, claim, byChance ? null : logDeals(pairs, settings)) }
}

/** Deals of a level, as text to export. */
export function writeDeals(
  {
    pairs,
    settings,
    level,
    seed,
    count,
    format,
  }: Level & { level: { id: string; name: string }; seed: string; count: number; format: DealtFormat },
  { progress }: Report,
): Result<string> {
  const dealer = prepareDeal(pairs, settings)
  if (!dealer.ok) return dealer
  const parts = seedsFrom(seed, count).map((one, i) => {
    if (i % 100 === 0) progress(i / count)
    return dealtText({ deck: { pairs } }, level, dealer.value, one, format)
  })
  return { ok: true, value: parts.join(format === 'grid' ? '\n' : '') }
}

/** Boards as they were read, of which only the first leaves the worker, and what the audit says of all. */
export type AuditedBoards = { read: ReadBoards; count: number; audit: Audit }
/** Boards that another program dealt. */
export function auditBoards(
  { text, size }: { text: string; size: GivenSize },
  { progress }: Report,
): Result<AuditedBoards> {
  const input = readBoards(text, size)
  if (!input.ok) return input
  const result = audit(input.value, progress)
  const { boards } = input.value
  return {
    ok: true,
    value: { read: { ...input.value, boards: boards.slice(0, 1) }, count: boards.length, audit: result },
  }
}
