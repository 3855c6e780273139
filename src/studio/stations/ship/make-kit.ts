import type { Game } from '../../../core/game/game.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { problemLine } from '../../../core/result.ts'
import { messagesIn } from '../../../core/texts/ready.ts'
import { atlasOf, kitBacks, kitCards, kitCardSize, type KitOptions } from '../../../ship/kit/cards.ts'
import { svgsOf } from '../../../ship/pictures.ts'
import { Cancelled, startJob, type Job } from '../../workers/jobs/job.ts'
import { drawKitImages } from '../../workers/painting/kit-images.ts'
import { artOf, playerCredits } from './shipped-parts.ts'

/** A kit as a zip, how many files it has, and the cards on which words stand in the place of an image. */
export type MadeKit = { content: Uint8Array<ArrayBuffer>; count: number; undrawn: string[] }

/** Which share of the work is the drawing; the texts are written beside it, and the zip comes last. */
const DRAWING = 0.95

/**
 * A game as a kit for any engine, made in workers. `progress` gets the share done, 0 to 1. What is wrong with the game
 * is thrown, as a line.
 */
export function makeKit(game: Game, options: KitOptions, progress: (share: number) => void): Job<MadeKit> {
  const jobs: Job<unknown>[] = []
  let isCancelled = false
  /** Waits for one job, which a cancel ends. */
  function run<Out>(job: Job<Out>): Promise<Out> {
    jobs.push(job)
    if (isCancelled) job.cancel()
    return job.done
  }
  async function make(): Promise<MadeKit> {
    const cards = kitCards(game)
    const atlas = atlasOf(cards.length + kitBacks(game).length, kitCardSize(game, options.width))
    if (!atlas.ok) throw new Error(problemLine(atlas.problem))
    const layout = { cards, atlas: atlas.value }
    const [credits, art, words] = await Promise.all([
      playerCredits(game),
      artOf(game),
      messagesIn(languagesOf(game)),
    ])
    if (!art.ok) throw new Error(problemLine(art.problem))
    const parts = { credits, words, svgs: svgsOf(art.value) }
    if (isCancelled) throw new Cancelled()
    const [files, { images, undrawn }] = await Promise.all([
      run(startJob('writeKit', { game, laid: layout, options, parts })),
      run(drawKitImages(game, layout, options.width, (share) => progress(share * DRAWING))),
    ])
    if (!files.ok) throw new Error(problemLine(files.problem))
    const all = { ...files.value, ...images }
    const handOver = Object.values(images).map(({ buffer }) => buffer as ArrayBuffer)
    const content = await run(startJob('packFiles', all, { handOver }))
    return { content, count: Object.keys(all).length, undrawn }
  }
  return {
    done: make(),
    cancel() {
      isCancelled = true
      for (const job of jobs) job.cancel()
    },
  }
}
