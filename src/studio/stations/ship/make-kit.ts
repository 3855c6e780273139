import type { Game } from '../../../core/game/game.ts'
import { problemLine } from '../../../core/result.ts'
import { atlasOf, kitCards, kitCardSize, type KitOptions } from '../../../ship/kit/cards.ts'
import { Cancelled, startJob, type Job } from '../../workers/jobs/job.ts'
import type { KitFilesInput, KitFilesOutput } from '../../workers/jobs/kit-files.worker.ts'
import type { ZipInput } from '../../workers/jobs/zip.worker.ts'
import { drawKitImages } from '../../workers/painting/kit-images.ts'
import { playerCredits } from './shipped-parts.ts'

/** A kit as a zip, how many files it has, and the cards on which words stand in the place of an image. */
export type MadeKit = { content: Uint8Array<ArrayBuffer>; count: number; undrawn: string[] }

/** Which share of the work each step is. */
const SHARE = { files: 0.2, images: 0.75 } as const

/** A game as a kit for any engine, made in workers. `progress` gets the share done, 0 to 1. What is wrong with the game is thrown, as a line. */
export function makeKit(game: Game, options: KitOptions, progress: (share: number) => void): Job<MadeKit> {
  let current: { cancel: () => void } | null = null
  let isCancelled = false
  /** Waits for one step, which a cancel ends. */
  async function step<Out>(job: Job<Out>): Promise<Out> {
    current = job
    if (isCancelled) job.cancel()
    return job.done
  }
  async function make(): Promise<MadeKit> {
    const cards = kitCards(game)
    const atlas = atlasOf(cards.length + 1, kitCardSize(game, options.width))
    if (!atlas.ok) throw new Error(problemLine(atlas.problem))
    const laid = { cards, atlas: atlas.value }
    const credits = await playerCredits(game)
    if (isCancelled) throw new Cancelled()
    const files = await step(
      startJob<KitFilesInput, KitFilesOutput>(
        new Worker(new URL('../../workers/jobs/kit-files.worker.ts', import.meta.url), { type: 'module' }),
        { game, laid, options, credits },
        (share) => progress(share * SHARE.files),
      ),
    )
    if (!files.ok) throw new Error(problemLine(files.problem))
    const { images, undrawn } = await step(
      drawKitImages(game, laid, options.width, (share) => progress(SHARE.files + share * SHARE.images)),
    )
    const all = { ...files.value, ...images }
    const content = await step(
      startJob<ZipInput, Uint8Array<ArrayBuffer>>(
        new Worker(new URL('../../workers/jobs/zip.worker.ts', import.meta.url), { type: 'module' }),
        all,
        undefined,
        Object.values(images).map(({ buffer }) => buffer as ArrayBuffer),
      ),
    )
    return { content, count: Object.keys(all).length, undrawn }
  }
  return {
    done: make(),
    cancel() {
      isCancelled = true
      current?.cancel()
    },
  }
}
