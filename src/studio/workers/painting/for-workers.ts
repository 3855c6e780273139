import type { Back } from '../../../core/settings/back.ts'
import type { Face } from '../../../core/deck/pair.ts'
import { patternSvg } from '../../../core/deck/back-look.ts'
import { drawnBack, drawnFace, giveUp } from '../../store/sound-images.ts'
import { pictureUrl } from '../../store/pictures.ts'
import { drawnInTime } from './drawn-in-time.ts'
import type { FontRule } from './own-fonts.ts'
import { loadImage, type WithImage } from './load.ts'

/** What a worker needs from the page to draw cards: the page's fonts, and the SVGs, which a worker cannot read. */

/** px along the longer side of an SVG on a face: the largest size at which a card is drawn. */
const LONGEST = 256

/**
 * The rules of a style; none of a foreign one, of a browser extension for example, or of one that was not loaded: those
 * may not be read.
 */
function rulesOf(style: CSSStyleSheet): CSSRule[] {
  try {
    return [...style.cssRules]
  } catch {
    return []
  }
}

/** The fonts that the page has. */
export const pageFonts = (): FontRule[] =>
  [...document.styleSheets]
    .flatMap(rulesOf)
    .filter((rule) => rule instanceof CSSFontFaceRule)
    .map(({ style, parentStyleSheet }) => {
      const value = (name: string): string => style.getPropertyValue(name)
      const base = parentStyleSheet?.href ?? document.baseURI
      return {
        family: value('font-family').replaceAll(/["']/g, ''),
        source: value('src').replaceAll(/url\("?([^")]*)"?\)/g, (_, url) => `url("${new URL(url, base)}")`),
        descriptors: {
          weight: value('font-weight'),
          style: value('font-style'),
          unicodeRange: value('unicode-range') || undefined,
        },
      }
    })

/**
 * A face that a worker can draw; an image that cannot be drawn becomes a placeholder with its name. `detail`: px along
 * the longer side of what is drawn as an SVG. Without it, pictures of the library are left to the worker, which loads
 * them small.
 */
export async function faceForWorker(whole: Face, name = '', detail?: number): Promise<WithImage<Face>> {
  const face = drawnFace(whole, name)
  if (face.kind === 'text') return { what: face }
  if (face.kind === 'picture')
    return detail ? { what: face, image: await drawnSvg(pictureUrl(face.name), detail) } : { what: face }
  // its placeholder, in case the worker cannot draw it
  if (!isSvg(face.src)) return { what: { ...face, alt: name || face.alt } }
  const image = await drawnSvg(face.src, detail ?? LONGEST)
  return image ? { what: face, image } : { what: drawnFace(face, name) }
}

/** A back that a worker can draw. Its pattern is an SVG, drawn with this many px for each of the card's. */
export async function backForWorker(whole: Back, scale = 1): Promise<WithImage<Back>> {
  const back = drawnBack(whole)
  if (!back.image) return { what: back, image: await drawnSvg(svgUrl(patternSvg(back, scale))) }
  return isSvg(back.image)
    ? { what: back, image: await drawnSvg(back.image, LONGEST * scale) }
    : { what: back }
}

/**
 * The emblem of a back, drawn with this many px along its longer side; null if there is none, or it cannot be drawn.
 */
export async function emblemOf(whole: Back, detail: number): Promise<ImageBitmap | null> {
  const { emblem } = drawnBack(whole)
  if (!emblem) return null
  if (emblem.kind === 'picture') return drawnSvg(pictureUrl(emblem.name), detail)
  return isSvg(emblem.src) ? drawnSvg(emblem.src, detail) : loadImage(emblem.src)
}

const svgUrl = (svg: string): string => `data:image/svg+xml,${encodeURIComponent(svg)}`
const isSvg = (src: string): boolean => src.startsWith('data:image/svg+xml')

/** An SVG as px, this many along its longer side or its own size; null if it cannot be drawn. */
async function drawnSvg(src: string, longest?: number): Promise<ImageBitmap | null> {
  const image = new Image()
  // not with decode(): that waits for a frame of the page each time
  const loaded = await new Promise<boolean>((resolve) => {
    drawnInTime(image, () => resolve(false))
    image.addEventListener('load', () => resolve(true))
    image.src = src
  })
  if (!loaded) {
    giveUp(src)
    return null
  }
  // an SVG without a size of its own has none
  const [w, h] = [image.naturalWidth || 100, image.naturalHeight || 100]
  const scale = longest ? longest / Math.max(w, h) : 1
  const [width, height] = [w, h].map((side) => Math.max(1, Math.round(side * scale)))
  const pen = new OffscreenCanvas(width!, height!).getContext('2d')!
  pen.drawImage(image, 0, 0, width!, height!)
  return pen.canvas.transferToImageBitmap()
}
