import pLimit from 'p-limit'
import { leastAlike } from '../../../core/deck/least-alike.ts'
import { looksOf, mostLikeness } from '../../../core/deck/likeness.ts'
import { drawFace } from '../../../ship/drawing/draw-face.ts'
import { cardPixels } from './card-pixels.ts'
import { clearPen } from './clear-pen.ts'
import { loadFace } from './load.ts'

/** Pictures of the library, by name, and how many to choose. */
export type ThemeInput = { names: readonly string[]; count: number }
/** The names of the chosen pictures; how alike the two most alike of them are, to the vision that tells them least. */
export type ThemeChoice = { names: string[]; most: number; two: [string, string] | null }
export type ThemeOutput = { progress: number } | { choice: ThemeChoice } | { failed: string }

/** px along a side of a card to compare. */
const SIDE = 80
/** How many pictures are loaded at a time, and after how many progress is told. */
const limit = pLimit(12)
const STRETCH = 10
const pen = new OffscreenCanvas(SIDE, SIDE).getContext('2d')!

self.onmessage = ({ data }: MessageEvent<ThemeInput>): void => {
  choose(data).then(
    (choice) => tell({ choice }),
    (error: unknown) => tell({ failed: (error as Error).message }),
  )
}
const tell = (output: ThemeOutput): void => self.postMessage(output)

async function choose({ names, count }: ThemeInput): Promise<ThemeChoice> {
  let doneCount = 0
  const looks = await limit.map(names, async (name) => {
    const face = await loadFace({ what: { kind: 'picture', name } })
    if (!face.image) throw new Error(`the picture "${name}" could not be loaded`)
    drawFace(clearPen(pen, SIDE, SIDE), face, SIDE, SIDE)
    face.image.close()
    const card = pen.canvas.transferToImageBitmap()
    const appearance = looksOf(cardPixels(card))
    card.close()
    if (++doneCount % STRETCH === 0) tell({ progress: doneCount / names.length })
    return appearance
  })
  const { chosen, most, two } = leastAlike(names.length, count, (one, other) =>
    mostLikeness(looks[one]!, looks[other]!),
  )
  return {
    names: chosen.map((i) => names[i]!),
    most,
    two: two && [names[two[0]]!, names[two[1]]!],
  }
}
