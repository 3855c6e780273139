import { createCanvas, GlobalFonts, loadImage, type Canvas } from '@napi-rs/canvas'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { patternSvg } from '../core/deck/back-look.ts'
import type { Back } from '../core/settings/back.ts'
import type { Face } from '../core/deck/pair.ts'
import { bytesOf } from '../core/files/data-url.ts'
import type { Game } from '../core/game/game.ts'
import { SIZES } from '../core/settings/bounds.ts'
import { drawCard } from '../ship/drawing/draw-card.ts'
import { drawIcon } from '../ship/drawing/draw-icon.ts'
import type { LoadedBack } from '../ship/drawing/draw-back.ts'
import { FACE_TYPE, type LoadedFace } from '../ship/drawing/draw-face.ts'
import { imageFile, kitBacks, KIT_SCALES, kitCardSize, type Atlas, type KitCard } from '../ship/kit/cards.ts'
import { ICONS, type IconFile } from '../ship/site.ts'
import { pictureAt } from './files.ts'

/** Cards drawn without a browser, by the same code as in one. */

/** How many px of a pattern make one of the back: enough for the largest size. */
const DETAIL = 3
const TYPEFACE = '@fontsource-variable/bricolage-grotesque'

/** This canvas and its images have all that the drawing asks for. */
const penOf = (canvas: Canvas): OffscreenCanvasRenderingContext2D =>
  canvas.getContext('2d') as unknown as OffscreenCanvasRenderingContext2D

let hasType = false
/** Makes the typeface of words on cards known. */
function addType(): void {
  if (hasType) return
  hasType = true
  const folder = createRequire(import.meta.url)
    .resolve(`${TYPEFACE}/package.json`)
    .replace('package.json', 'files')
  const [, family] = /'([^']+)'/.exec(FACE_TYPE)!
  for (const part of ['latin', 'latin-ext'])
    GlobalFonts.register(readFileSync(`${folder}/bricolage-grotesque-${part}-wght-normal.woff2`), family)
}

/** An image, or null if it cannot be drawn. */
async function imageOf(source: Uint8Array | null): Promise<ImageBitmap | null> {
  if (!source) return null
  const image = await loadImage(Buffer.from(source)).catch(() => null)
  // the canvas above draws it like one of a browser
  return image as unknown as ImageBitmap | null
}
const pictureOf = async (name: string): Promise<ImageBitmap | null> => {
  const svg = await pictureAt(name)
  return imageOf(svg === null ? null : Buffer.from(svg))
}
function ownImage(src: string): Promise<ImageBitmap | null> {
  const read = bytesOf(src, 'image', SIZES.image)
  return imageOf(read.ok ? read.value.bytes : null)
}

async function loadFace(face: Face): Promise<LoadedFace> {
  addType()
  if (face.kind === 'text') return { face, image: null }
  return { face, image: await (face.kind === 'picture' ? pictureOf(face.name) : ownImage(face.src)) }
}

async function loadBack(back: Back): Promise<LoadedBack> {
  const { emblem, image } = back
  return {
    back,
    image: await (image ? ownImage(image) : imageOf(Buffer.from(patternSvg(back, DETAIL)))),
    emblem: emblem ? await (emblem.kind === 'picture' ? pictureOf(emblem.name) : ownImage(emblem.src)) : null,
  }
}

/** The icons of a site, as PNG. In: a game with at least one pair. */
export async function drawIcons(game: Game): Promise<Record<IconFile, Uint8Array>> {
  const cards = {
    back: await loadBack(game.deck.back),
    face: await loadFace(game.deck.pairs[0]!.a),
  }
  const files = Object.entries(ICONS).map(([name, icon]) => {
    const canvas = createCanvas(icon.side, icon.side)
    drawIcon(penOf(canvas), game.house, cards, icon)
    return [name, new Uint8Array(canvas.toBuffer('image/png'))] as const
  })
  return Object.fromEntries(files) as Record<IconFile, Uint8Array>
}

/**
 * The images of a kit, as PNG by the names of their files, and the fronts whose image cannot be drawn: their words
 * stand there.
 */
export async function drawKit(
  game: Game,
  { cards, atlas }: { cards: readonly KitCard[]; atlas: Atlas },
  width: number,
): Promise<{ images: Record<string, Uint8Array>; undrawn: string[] }> {
  const size = kitCardSize(game, width)
  const images: Record<string, Uint8Array> = {}
  const failures: string[] = []
  const whole = createCanvas(atlas.width, atlas.height)
  const sheet = whole.getContext('2d')
  const draw = async (file: string, card: LoadedFace | LoadedBack, place: number): Promise<void> => {
    for (const scale of KIT_SCALES) {
      const canvas = createCanvas(size.width * scale, size.height * scale)
      drawCard(penOf(canvas), card, size, scale)
      images[imageFile(file, scale)] = new Uint8Array(await canvas.encode('png'))
      const { x, y } = atlas.frames[place]!
      if (scale === atlas.scale) sheet.drawImage(canvas, x, y)
    }
  }
  for (const [i, { card, file, face }] of cards.entries()) {
    const loaded = await loadFace(face)
    if (face.kind !== 'text' && !loaded.image) failures.push(card)
    await draw(file, loaded, i)
  }
  for (const [i, { file, back }] of kitBacks(game).entries())
    await draw(file, await loadBack(back), cards.length + i)
  images['atlas.png'] = new Uint8Array(await whole.encode('png'))
  return { images, undrawn: failures }
}
