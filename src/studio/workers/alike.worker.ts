import { likeness, looksOf, WORTH_TELLING, type Look } from '../../core/deck/likeness.ts'
import { VISIONS, type Vision } from '../../core/deck/vision.ts'
import { cardPixels } from './card-pixels.ts'

/** A card that is new, as it is drawn; its key stands for it. */
export type AlikeCard = { key: string; card: ImageBitmap }
/** All cards that are to be compared, by key; those that are new have come before. Cards of the same group are not compared. */
export type AlikeRun = { run: number; faces: { key: string; group: string }[] }
export type Alike = { one: string; other: string; likeness: Record<Vision, number> }
export type AlikeOutput = { run: number; share: number; found?: Alike[] }

/** What is known stays known: only pairs with a new face are compared. */
const looks = new Map<string, Record<Vision, Look>>()
const known = new Map<string, Record<Vision, number>>()
/** How many comparisons are made before progress is told and a newer run can begin. */
const STRETCH = 4000
let latest = 0

self.onmessage = ({ data }: MessageEvent<AlikeCard | AlikeRun>): void => {
  if ('run' in data) return void compareAll(data)
  looks.set(data.key, looksOf(cardPixels(data.card)))
  data.card.close()
}

async function compareAll(data: AlikeRun): Promise<void> {
  latest = data.run
  const groups = new Map<string, Set<string>>()
  for (const { key, group } of data.faces) groups.set(key, (groups.get(key) ?? new Set()).add(group))
  const keys = [...groups.keys()].filter((key) => looks.has(key))
  for (const key of looks.keys()) if (!groups.has(key)) forget(key)
  const all = (keys.length * (keys.length - 1)) / 2
  const found: Alike[] = []
  let done = 0
  for (let i = 0; i < keys.length; i++)
    for (let j = i + 1; j < keys.length; j++) {
      const [one, other] = [keys[i]!, keys[j]!]
      if (++done % STRETCH === 0) {
        self.postMessage({ run: data.run, share: done / all } satisfies AlikeOutput)
        await new Promise((resolve) => setTimeout(resolve))
        if (latest !== data.run) return
      }
      if (onlyTwins(groups.get(one)!, groups.get(other)!)) continue
      const pair = one < other ? `${one} ${other}` : `${other} ${one}`
      let values = known.get(pair)
      if (!values) {
        values = compare(looks.get(one)!, looks.get(other)!)
        known.set(pair, values)
      }
      if (VISIONS.some((vision) => values[vision] >= WORTH_TELLING))
        found.push({ one, other, likeness: values })
    }
  self.postMessage({ run: data.run, share: 1, found } satisfies AlikeOutput)
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
  for (const pair of known.keys()) if (pair.split(' ').includes(key)) known.delete(pair)
}
