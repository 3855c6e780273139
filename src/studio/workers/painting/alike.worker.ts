import pLimit from 'p-limit'
import { likeness, looksOf, WORTH_TELLING, type Appearance } from '../../../core/deck/likeness.ts'
import { VISIONS, type Vision } from '../../../core/deck/vision.ts'
import type { Back, Face } from '../../../core/deck/pair.ts'
import { cardPixels } from './card-pixels.ts'
import { cleared } from './cleared.ts'
import type { WithImage } from './load-image.ts'
import { addFonts, type FontRule } from './own-fonts.ts'
import { drawBack, loadBack } from './paint-back.ts'
import { drawFace, loadFace } from './paint-face.ts'

/** A card that is new, and how many px it has; its key stands for it. */
export type AlikeCard = { key: string; width: number; height: number } & (
  { face: WithImage<Face> } | { back: WithImage<Back> }
)
/** All cards that are to be compared, by key; those that are new have come before. Cards of the same group are not compared. */
export type AlikeRun = { run: number; faces: { key: string; group: string | null }[] }
export type AlikeInput = { fonts: FontRule[] } | AlikeCard | AlikeRun
type Alike = { one: string; other: string; likeness: Record<Vision, number> }
/** Cards that are alike, two by two, in numbers: of thousands, objects would hold the page. `pairs` has two places in `keys` each, `likeness` one value for each vision. */
export type AlikeFound = { keys: string[]; pairs: Uint32Array; likeness: Float64Array }
/** The share done, 0 to 1; at the end what is alike, and how long the drawing of new cards took, in ms. */
export type AlikeOutput = { run: number; share: number; found?: AlikeFound; drawing?: number }

const waiting = new Map<string, AlikeCard>()
const drawn = new Map<string, ImageBitmap>()
const looks = new Map<string, Record<Vision, Appearance>>()
/** Cards that have been compared with each other: only a new one is compared with these. Of what was found only what is worth telling is kept. */
const settled = new Set<string>()
const known = new Map<string, Alike>()
/** How many comparisons are made, and how many cards drawn, before progress is told and a newer run can begin. */
const STRETCH = { comparisons: 10_000, cards: 25 }
/** How many images are fetched at a time. */
const limit = pLimit(12)
const pen = new OffscreenCanvas(1, 1).getContext('2d')!
let latest = 0
let working: Promise<unknown> = Promise.resolve()

self.onmessage = ({ data }: MessageEvent<AlikeInput>): void => {
  if ('fonts' in data) return addFonts(data.fonts)
  if ('key' in data) return void waiting.set(data.key, data)
  latest = data.run
  working = working.catch(() => undefined).then(() => compareAll(data))
}

async function compareAll({ run, faces }: AlikeRun): Promise<void> {
  const outdated = (): boolean => latest !== run
  const tell = (share: number, more: Partial<AlikeOutput> = {}): void =>
    self.postMessage({ run, share, ...more } satisfies AlikeOutput)
  const groups = new Map<string, Groups>()
  for (const { key, group } of faces) groups.set(key, (groups.get(key) ?? new Set()).add(group))
  for (const kept of [waiting, drawn, looks]) for (const key of kept.keys()) if (!groups.has(key)) forget(key)

  const began = performance.now()
  const cards = [...waiting.values()]
  let done = 0
  await limit.map(cards, async (card) => {
    if (outdated()) return
    drawn.set(card.key, await draw(card))
    waiting.delete(card.key)
    if (++done % STRETCH.cards === 0) tell(done / cards.length / 2)
  })
  const drawing = performance.now() - began
  if (outdated()) return
  for (const [key, card] of drawn) {
    looks.set(key, looksOf(cardPixels(card)))
    card.close()
    drawn.delete(key)
  }

  done = 0
  for (const key of groups.keys()) {
    if (settled.has(key) || !looks.has(key)) continue
    for (const other of settled) settle(key, other)
    settled.add(key)
    done += settled.size
    if (done < STRETCH.comparisons) continue
    done = 0
    tell(0.5 + (settled.size / groups.size) ** 2 / 2)
    await new Promise((resolve) => setTimeout(resolve))
    if (outdated()) return
  }
  tell(1, { found: foundAmong(groups), drawing })
}

/** What is alike of cards that do not only lie on the same pair. */
function foundAmong(groups: ReadonlyMap<string, Groups>): AlikeFound {
  const keys = [...groups.keys()]
  const places = new Map(keys.map((key, place) => [key, place]))
  const found = [...known.values()].filter(
    ({ one, other }) => !onlyTwins(groups.get(one)!, groups.get(other)!),
  )
  return {
    keys,
    pairs: Uint32Array.from(found.flatMap(({ one, other }) => [places.get(one)!, places.get(other)!])),
    likeness: Float64Array.from(found.flatMap(({ likeness }) => VISIONS.map((vision) => likeness[vision]))),
  }
}

async function draw(card: AlikeCard): Promise<ImageBitmap> {
  const { width, height } = card
  if ('back' in card) {
    const back = await loadBack(card.back)
    drawBack(cleared(pen, width, height), back, width, height)
    back.image?.close()
  } else {
    const face = await loadFace(card.face)
    drawFace(cleared(pen, width, height), face, width, height)
    face.image?.close()
  }
  return pen.canvas.transferToImageBitmap()
}

function settle(one: string, other: string): void {
  const likeness = compare(looks.get(one)!, looks.get(other)!)
  if (VISIONS.some((vision) => likeness[vision] >= WORTH_TELLING))
    known.set(`${one} ${other}`, { one, other, likeness })
}

/** Whose a card is: pairs by id, or the back. */
type Groups = Set<string | null>

/** Two faces that only ever occur on the same pair belong together. */
const onlyTwins = (one: Groups, other: Groups): boolean =>
  one.size === 1 && other.size === 1 && [...one][0] === [...other][0]

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
  drawn.get(key)?.close()
  drawn.delete(key)
  looks.delete(key)
  settled.delete(key)
  for (const [pair, { one, other }] of known) if (one === key || other === key) known.delete(pair)
}
