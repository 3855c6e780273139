/** What a worker says of its one work. */
export type Answer<Out> = { progress: number } | { part: unknown } | { out: Out } | { failed: string }

/** The worker's end of a job: its handling of its one input. */
export function answer<In, Out, Part = never>(
  work: (
    input: In,
    progress: (share: number) => void,
    part: (part: Part, given?: Transferable[]) => void,
  ) => Out,
  transfer: (out: Out) => Transferable[] = () => [],
): void {
  self.onmessage = ({ data }: MessageEvent<In>) => {
    const post = (message: Answer<Out>, given: Transferable[] = []): void =>
      self.postMessage(message, { transfer: given })
    try {
      const out = work(
        data,
        (share) => post({ progress: share }),
        (part, given) => post({ part }, given),
      )
      post({ out }, transfer(out))
    } catch (error) {
      post({ failed: (error as Error).message })
    }
  }
}
