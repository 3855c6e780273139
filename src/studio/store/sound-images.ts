import { shallowRef } from 'vue'
import type { Back } from '../../core/settings/back.ts'
import type { Face } from '../../core/deck/pair.ts'
import type { Game } from '../../core/game/game.ts'
import { imagesOf } from '../../core/game/own-files.ts'
import type { Behind, Settings } from '../../core/settings/settings.ts'
import { nextTask } from './next-task.ts'

/**
 * Which own images may be drawn. Files are checked as they are opened; games stored before there were bounds are
 * checked before their images are first drawn. One that could not be drawn, or took too long, is not tried again in
 * this visit: a placeholder with its name replaces it.
 */
const sound = new Map<string, boolean>()
/** Grows with every image whose check is done, so that views can follow. */
export const soundness = shallowRef(0)

/** Whether an image may be drawn, as far as that is known; an unknown one is checked, and not drawn until then. */
export function mayDraw(src: string): boolean {
  const cached = sound.get(src)
  if (cached === undefined) void check([src])
  return cached ?? false
}

const STRETCH = 20
/** by image: its running check */
const checking = new Map<string, Promise<void>>()

/** Checks images, and waits for those that are already being checked. */
async function check(all: readonly string[]): Promise<void> {
  const fresh = all.filter((src) => !sound.has(src) && !checking.has(src))
  if (fresh.length) {
    const work = checkFresh(fresh)
    for (const src of fresh) checking.set(src, work)
  }
  await Promise.all(all.map((src) => checking.get(src)))
}

/** Checks images of which nothing is known yet; the checking code is loaded only now. */
async function checkFresh(fresh: readonly string[]): Promise<void> {
  const { checkImageUrl } = await import('../../core/files/image.ts')
  let began = performance.now()
  for (const src of fresh) {
    sound.set(src, checkImageUrl(src).ok)
    checking.delete(src)
    if (performance.now() - began < STRETCH) continue
    await nextTask()
    began = performance.now()
  }
  soundness.value++
}

/** Checks all own images of a game that were not checked yet. */
export const checkImages = (game: Game): Promise<void> => check(imagesOf(game).map(({ src }) => src))

/** Takes an image as sound: it was checked when it came in. */
export function trust(src: string): void {
  if (!sound.has(src)) sound.set(src, true)
}
/** Whether an image is known to be sound, without checking it. */
export const isTrusted = (src: string): boolean => sound.get(src) === true

export function giveUp(src: string): void {
  if (sound.get(src) === false) return
  sound.set(src, false)
  soundness.value++
}

/** The placeholder for an image that is not drawn. */
const signFor = ({ alt, ink, paper }: Pick<Face, 'alt' | 'ink' | 'paper'>, name: string): Face => ({
  kind: 'text',
  text: (name || alt || 'image').slice(0, 60),
  ...(alt ? { alt } : {}),
  ...(ink ? { ink } : {}),
  paper: paper ?? '#e9e1d0',
})

/** A face as it is drawn. */
export const drawnFace = (face: Face, name = ''): Face =>
  face.kind === 'image' && !mayDraw(face.src) ? signFor(face, name) : face

/** A back as it is drawn: without an image, only its pattern. */
export function drawnBack(back: Back): Back {
  const { image, emblem, ...pattern } = back
  const withImage = image !== undefined && mayDraw(image)
  const withEmblem = emblem && (emblem.kind === 'picture' || mayDraw(emblem.src))
  if (withImage === (image !== undefined) && Boolean(withEmblem) === Boolean(emblem)) return back
  return { ...pattern, ...(withImage ? { image } : {}), ...(withEmblem ? { emblem } : {}) }
}

/** What a rung says of its look, as it is drawn: without a back or a picture behind that may not be. */
function drawnLook<L extends Partial<Settings['look']>>(look: L): L {
  const behind = drawnBehind(look.behind)
  const back = look.back && drawnBack(look.back)
  const changes = {
    ...(behind === look.behind ? {} : { behind }),
    ...(back === look.back ? {} : { back }),
  }
  return Object.keys(changes).length ? { ...look, ...changes } : look
}

const drawnBehind = (behind: Behind | null | undefined): Behind | null | undefined =>
  behind?.kind === 'image' && !mayDraw(behind.src) ? null : behind

/** A game as it is put on a table here; the same game if all its images may be drawn. */
export function drawnGame(game: Game): Game {
  let hasChanged = false
  const note = <T>(before: T, after: T): T => {
    if (before !== after) hasChanged = true
    return after
  }
  const pairs = game.deck.pairs.map((pair) => {
    const a = note(pair.a, drawnFace(pair.a, pair.name))
    const b = pair.b && note(pair.b, drawnFace(pair.b, pair.name))
    return a === pair.a && b === pair.b ? pair : { ...pair, a, ...(b ? { b } : {}) }
  })
  const back = note(game.deck.back, drawnBack(game.deck.back))
  const look = note(game.house.look, drawnLook(game.house.look))
  const levels = game.levels.map((level) => {
    const own = level.look && note(level.look, drawnLook(level.look))
    return own === level.look ? level : { ...level, look: own }
  })
  if (!hasChanged) return game
  return { ...game, deck: { back, pairs }, house: { ...game.house, look }, levels }
}
