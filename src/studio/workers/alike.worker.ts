import { likeness, looksOf, WORTH_TELLING, type Look } from '../../core/deck/likeness.ts'
import { VISIONS, type Vision } from '../../core/deck/vision.ts'
import { cardPixels } from './card-pixels.ts'

/** A card that is new, as it is drawn; its key stands for it. */
export type AlikeCard = { key: string; card: ImageBitmap }
/** All cards that are to be compared, by key; those that are new have come before. Cards of the same group are not compared. */
export type AlikeRun = { run: number; faces: { key: string; group: string }[] }
export type Alike = { one: string; other: string; likeness: Record<Vision, number> }
export type AlikeOutput = { run: number; share: number; found?: Alike[] }

const looks = new Map<string, Record<Vision, Look>>()
/** Cards that have been compared with each other: only a new one is compared with these. Of what was found only what is worth telling is kept. */
const settled = new Set<string>()
const known = new Map<string, Alike>()
/** How many comparisons are made before progress is told and a newer run can begin. */
const STRETCH = 4000
let latest = 0

self.onmessage = ({ data }: MessageEvent<AlikeCard | AlikeRun>): void => {
  if ('run' in data) return void compareAll(data)
  looks.set(data.key, looksOf(cardPixels(data.card)))
  data.card.close()
}

async function compareAll({ run, faces }: AlikeRun): Promise<void> {
  latest = run
  const groups = new Map<string, Set<string>>()
  for (const { key, group } of faces) groups.set(key, (groups.get(key) ?? new Set()).add(group))
  for (const key of looks.keys()) if (!groups.has(key)) forget(key)
  let done = 0
  for (const key of groups.keys()) {
    if (settled.has(key) || !looks.has(key)) continue
    for (const other of settled) settle(key, other)
    settled.add(key)
    done += settled.size
    if (done < STRETCH) continue
    done = 0
    self.postMessage({ run, share: (settled.size / groups.size) ** 2 } satisfies AlikeOutput)
    await new Promise((resolve) => setTimeout(resolve))
    if (latest !== run) return
  }
  const found = [...known.values()].filter(
    ({ one, other }) => !onlyTwins(groups.get(one)!, groups.get(other)!),
  )
  self.postMessage({ run, share: 1, found } satisfies AlikeOutput)
}

function settle(one: string, other: string): void {
  const likeness = compare(looks.get(one)!, looks.get(other)!)
  if (VISIONS.some((vision) => likeness[vision] >= WORTH_TELLING))
    known.set(`${one} ${other}`, { one, other, likeness })
}

/** Two faces that only ever occur on the same pair belong together. */
const onlyTwins = (one: Set<string>, other: Set<string>): boolean =>
  one.size === 1 && other.size === 1 && [...one][0] === [...other][0]

const compare = (one: Record<Vision, Look>, other: Record<Vision, Look>): Record<Vision, number> => ({
  everyone: likeness(one.everyone, other.everyone),
  protan: likeness(one.protan, other.protan),
  deutan: likeness(one.deutan, other.deutan),
  tritan: likeness(one.tritan, other.tritan),
})

function forget(key: string): void {
  looks.delete(key)
  settled.delete(key)
  for (const [pair, { one, other }] of known) if (one === key || other === key) known.delete(pair)
}
