import type { Game } from '../../../core/game/game.ts'
import { drawIcon } from '../../../ship/drawing/draw-icon.ts'
import { FACE_TYPE } from '../../../ship/drawing/draw-face.ts'
import { KIT_SCALES } from '../../../ship/kit/cards.ts'
import { ICONS, type IconFile } from '../../../ship/site.ts'
import { backForWorker, emblemOf, faceForWorker } from './for-workers.ts'
import { loadBack, loadImage } from './load.ts'

/** px along the longer side of what is on the largest icon. */
const DETAIL = 400

/** The icons of a site, as PNG: three small drawings, made by the page itself. In: a game with at least one pair. */
export async function drawIcons(game: Game): Promise<Record<IconFile, Uint8Array>> {
  const { back } = game.deck
  const { a, name } = game.deck.pairs[0]!
  const { what: face, image } = await faceForWorker(a, name, DETAIL)
  if (face.kind === 'text') await document.fonts.load(FACE_TYPE.replace('%', '20'), face.text)
  const cards = {
    back: {
      ...(await loadBack(await backForWorker(back, KIT_SCALES.at(-1)))),
      emblem: await emblemOf(back, DETAIL),
    },
    face: { face, image: image ?? (face.kind === 'image' ? await loadImage(face.src) : null) },
  }
  const files = Object.entries(ICONS).map(async ([file, icon]) => {
    const pen = new OffscreenCanvas(icon.side, icon.side).getContext('2d')!
    drawIcon(pen, game.house, cards, icon)
    const blob = await pen.canvas.convertToBlob()
    return [file, new Uint8Array(await blob.arrayBuffer())] as const
  })
  return Object.fromEntries(await Promise.all(files)) as Record<IconFile, Uint8Array>
}
