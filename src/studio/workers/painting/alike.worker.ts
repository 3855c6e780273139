import pLimit from 'p-limit'
import { likeness, looksOf, WORTH_TELLING, type Appearance } from '../../../core/deck/likeness.ts'
import { VISIONS, type Vision } from '../../../core/deck/vision.ts'
import type { Back } from '../../../core/settings/back.ts'
import type { Face } from '../../../core/deck/pair.ts'
import { cardPixels } from './card-pixels.ts'
import { clearPen } from './clear-pen.ts'
import { type WithImage, loadBack, loadFace } from './load.ts'
import { addFonts, type FontRule } from './own-fonts.ts'
import { drawBack } from '../../../ship/drawing/draw-back.ts'
import { drawFace } from '../../../ship/drawing/draw-face.ts'
import { nextTask } from '../../store/next-task.ts'

/** A new card, and how many px it has; its key identifies it. */
export type AlikeCard = { key: string; width: number; height: number } & (
  { face: WithImage<Face> } | { back: WithImage<Back> }
)
/**
 * All cards to compare, by key; new ones have been sent before. The answer is by owner, for likeness of at least the
 * threshold to some vision.
 */
export type AlikeRun = { run: number; faces: { key: string; owner: Owner }[]; threshold: number }
export type AlikeInput = { fonts: FontRule[] } | AlikeCard | AlikeRun
type Likeness = { one: string; other: string; likeness: Record<Vision, number> }
/** The owner of a card: a pair, by id, or null for the back. */
export type Owner = string | null
/**
 * Owners of cards that are alike, the most alike first, in numbers: thousands of objects would block the page. `twos`
 * has two places in `owners` each, the back or the smaller id first; `likeness` has one value for each vision, that of
 * their most similar cards.
 */
export type AlikeFound = { owners: Owner[]; twos: Uint32Array; likeness: Float64Array }
/** The share done, 0 to 1; at the end the look-alikes, and how long the drawing of new cards took, in ms. */
export type AlikeOutput = { run: number; share: number; found?: AlikeFound; drawing?: number }

const waiting = new Map<string, AlikeCard>()
const bitmaps = new Map<string, ImageBitmap>()
const looks = new Map<string, Record<Vision, Appearance>>()
/**
 * Cards that have been compared with each other: only a new one is compared with these. Only likenesses worth reporting
 * are kept.
 */
const settled = new Set<string>()
const cache = new Map<string, Likeness>()
/** How many comparisons are made, and how many cards drawn, before progress is reported and a newer run can start. */
const STRETCH = { comparisons: 10_000, cards: 25 }
/** How many images are loaded at a time. */
const limit = pLimit(12)
const pen = new OffscreenCanvas(1, 1).getContext('2d')!
let latest = 0
let working: Promise<unknown> = Promise.resolve()

self.onmessage = ({ data }: MessageEvent<AlikeInput>): void => {
  if ('fonts' in data) return addFonts(data.fonts)
  if ('key' in data) return void waiting.set(data.key, data)
  latest = data.run
  working = working.then(() => compareAll(data)).catch(reportError)
}

async function compareAll({ run, faces, threshold }: AlikeRun): Promise<void> {
  const outdated = (): boolean => latest !== run
  const tell = (share: number, more: Partial<AlikeOutput> = {}): void =>
    self.postMessage({ run, share, ...more } satisfies AlikeOutput)
  const owners = new Map<string, Set<Owner>>()
  for (const { key, owner } of faces) owners.set(key, (owners.get(key) ?? new Set()).add(owner))
  for (const caches of [waiting, bitmaps, looks])
    for (const key of caches.keys()) if (!owners.has(key)) forget(key)

  const began = performance.now()
  const cards = [...waiting.values()]
  let drawnCount = 0
  await limit.map(cards, async (card) => {
    if (outdated()) return
    bitmaps.set(card.key, await draw(card))
    waiting.delete(card.key)
    if (++drawnCount % STRETCH.cards === 0) tell(drawnCount / cards.length / 2)
  })
  const drawing = performance.now() - began
  if (outdated()) return
  for (const [key, card] of bitmaps) {
    looks.set(key, looksOf(cardPixels(card)))
    card.close()
    bitmaps.delete(key)
  }

  drawnCount = 0
  for (const key of owners.keys()) {
    if (settled.has(key) || !looks.has(key)) continue
    for (const other of settled) settle(key, other)
    settled.add(key)
    drawnCount += settled.size
    if (drawnCount < STRETCH.comparisons) continue
    drawnCount = 0
    tell(0.5 + (settled.size / owners.size) ** 2 / 2)
    await nextTask()
    if (outdated()) return
  }
  tell(1, { found: foundAmong(owners, threshold), drawing })
}

/** Which owners have cards alike; the same card of two owners has one key, and is never compared with itself. */
function foundAmong(ownersOf: ReadonlyMap<string, ReadonlySet<Owner>>, threshold: number): AlikeFound {
  const owners = [...new Set([...ownersOf.values()].flatMap((some) => [...some]))].sort(byOwner)
  const places = new Map(owners.map((owner, place) => [owner, place]))
  const byTwo = new Map<number, number[]>()
  const note = (a: Owner, b: Owner, values: number[]): void => {
    if (a === b) return
    const [one, other] = [places.get(a)!, places.get(b)!].sort((x, y) => x - y) as [number, number]
    const two = one * owners.length + other
    const before = byTwo.get(two)
    byTwo.set(two, before ? values.map((value, v) => Math.max(value, before[v]!)) : values)
  }
  for (const { one, other, likeness } of cache.values()) {
    if (!VISIONS.some((vision) => likeness[vision] >= threshold)) continue
    const values = VISIONS.map((vision) => likeness[vision])
    for (const a of ownersOf.get(one)!) for (const b of ownersOf.get(other)!) note(a, b, values)
  }
  const same = VISIONS.map(() => 1)
  for (const some of ownersOf.values()) for (const a of some) for (const b of some) note(a, b, same)

  const likest = [...byTwo].map(([two, values]) => ({ two, values, most: Math.max(...values) }))
  likest.sort((a, b) => b.most - a.most)
  return {
    owners,
    twos: Uint32Array.from(
      likest.flatMap(({ two }) => [Math.floor(two / owners.length), two % owners.length]),
    ),
    likeness: Float64Array.from(likest.flatMap(({ values }) => values)),
  }
}
const byOwner = (a: Owner, b: Owner): number => {
  if (a === null || b === null) return Number(b === null) - Number(a === null)
  return a < b ? -1 : 1
}

async function draw(card: AlikeCard): Promise<ImageBitmap> {
  const { width, height } = card
  if ('back' in card) {
    const back = await loadBack(card.back)
    drawBack(clearPen(pen, width, height), back, width, height)
    back.image?.close()
  } else {
    const face = await loadFace(card.face)
    drawFace(clearPen(pen, width, height), face, width, height)
    face.image?.close()
  }
  return pen.canvas.transferToImageBitmap()
}

function settle(one: string, other: string): void {
  const likeness = compare(looks.get(one)!, looks.get(other)!)
  if (VISIONS.some((vision) => likeness[vision] >= WORTH_TELLING))
    cache.set(`${one} ${other}`, { one, other, likeness })
}

const compare = (
  one: Record<Vision, Appearance>,
  other: Record<Vision, Appearance>,
): Record<Vision, number> => ({
  everyone: likeness(one.everyone, other.everyone),
  protan: likeness(one.protan, other.protan),
  deutan: likeness(one.deutan, other.deutan),
  tritan: likeness(one.tritan, other.tritan),
})

function forget(key: string): void {
  waiting.delete(key)
  bitmaps.get(key)?.close()
  bitmaps.delete(key)
  looks.delete(key)
  settled.delete(key)
  for (const [pair, { one, other }] of cache) if (one === key || other === key) cache.delete(pair)
}
