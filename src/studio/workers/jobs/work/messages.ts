/** What a worker says of its one job; `lost`: the code of the job could not be loaded. */
export type Answer<Out> =
  { progress: number } | { part: unknown } | { out: Out } | { failed: string } | { lost: true }
/**
 * What a job calls while it works: `progress` with the share done, 0 to 1; `part` with what can be used before its
 * answer; `handOver` with buffers of its answer that need not be copied.
 */
export type Report<Part = never> = {
  progress: (share: number) => void
  part: (part: Part) => void
  handOver: (buffers: readonly Transferable[]) => void
}
