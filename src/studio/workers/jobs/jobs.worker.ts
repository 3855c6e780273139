import type { Answer, Report } from './work/messages.ts'

/** All work that the page leaves to a worker, by name. The code of each is loaded when it is asked for. */
const JOBS = {
  auditBoards: async () => (await import('./work/deals.ts')).auditBoards,
  countDeals: async () => (await import('./work/deals.ts')).countDeals,
  judgeDeals: async () => (await import('./work/deals.ts')).judgeDeals,
  writeDeals: async () => (await import('./work/deals.ts')).writeDeals,
  runChecks: async () => (await import('./work/records.ts')).runChecks,
  fitRecords: async () => (await import('./work/records.ts')).fitRecords,
  readLog: async () => (await import('./work/records.ts')).readLog,
  dealFigures: async () => (await import('./work/rules.ts')).dealFigures,
  ruleFigures: async () => (await import('./work/rules.ts')).ruleFigures,
  handleLevel: async () => (await import('./work/rules.ts')).handleLevel,
  answerOdds: async () => (await import('./work/odds.ts')).answerOdds,
  playGames: async () => (await import('./work/games.ts')).playLotsOfGames,
  writeKit: async () => (await import('./work/kit.ts')).writeKit,
  packFiles: async () => (await import('./work/files.ts')).packFiles,
  packBackup: async () => (await import('./work/files.ts')).packBackup,
  openBackup: async () => (await import('./work/files.ts')).openBackup,
}
type Jobs = { [Name in keyof typeof JOBS]: Awaited<ReturnType<(typeof JOBS)[Name]>> }
export type JobName = keyof Jobs
export type JobInput<Name extends JobName> = Parameters<Jobs[Name]>[0]
export type JobOutput<Name extends JobName> = ReturnType<Jobs[Name]>

self.onmessage = async ({ data }: MessageEvent<{ name: JobName; input: never }>) => {
  const post = (message: Answer<unknown>, transfer: Transferable[] = []): void =>
    self.postMessage(message, { transfer })
  const transfer: Transferable[] = []
  const work = await JOBS[data.name]().catch(() => null)
  if (!work) return post({ lost: true })
  try {
    const out = (work as (input: never, report: Report<unknown>) => unknown)(data.input, {
      progress: (share) => post({ progress: share }),
      part: (part) => post({ part }),
      handOver: (buffers) => transfer.push(...buffers),
    })
    post({ out }, transfer)
  } catch (error) {
    post({ failed: (error as Error).message })
  }
}
