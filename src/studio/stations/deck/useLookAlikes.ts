import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { TOO_ALIKE } from '../../../core/deck/likeness.ts'
import { VISIONS, type Vision } from '../../../core/deck/vision.ts'
import type { Game } from '../../../core/game/game.ts'
import { backForWorker, faceForWorker, pageFonts } from '../../workers/painting/for-workers.ts'
import type {
  AlikeCard,
  AlikeFound,
  AlikeInput,
  AlikeOutput,
  AlikeRun,
} from '../../workers/painting/alike.worker.ts'
import { imagesOf } from '../../workers/painting/load-image.ts'
import { smallestCard } from './smallest-card.ts'

/** Whose a face is: a pair's, by id, or the back of the cards. */
type Owner = string | null
/** Two pairs of the deck, by id, that have faces alike; null stands for the back. */
export type Tie = { one: Owner; other: string; likeness: Record<Vision, number> }

/** How long edits are waited out before the faces are compared, in ms. */
const PAUSE = 250
const NOTHING: AlikeFound = { keys: [], pairs: new Uint32Array(), likeness: new Float64Array() }
/** How many cards are sent before the page may breathe. */
const AT_ONCE = 40

/**
 * Which pairs have faces too much alike, for everyone and for three kinds of colour blindness. Faces are drawn and compared in a
 * worker; what has not changed is neither drawn nor compared again.
 */
export function useLookAlikes(game: () => Game) {
  const worker = new Worker(new URL('../../workers/painting/alike.worker.ts', import.meta.url), {
    type: 'module',
  })
  worker.postMessage({ fonts: pageFonts() } satisfies AlikeInput)
  /** keys of faces whose cards the worker has; a key is short, and the same for faces that look the same */
  const sent = new Set<string>()
  const keys = new Map<string, string>()
  const owners = shallowRef(new Map<string, Set<Owner>>())
  const found = shallowRef<AlikeFound | null>(null)
  /** share done, or null when all is known */
  const progress = ref<number | null>(null)
  const threshold = ref(TOO_ALIKE)
  let run = 0
  /** the cards that were asked for last, and the run that has been answered last */
  let asked = ''
  let asking = new Map<string, Set<Owner>>()
  let answered = 0
  let began = 0
  let timer = 0

  /** Faces are objects that never change; what each looks like is written out only once. */
  const numbers = new WeakMap<object, string>()
  const keyOf = (face: object, size: string): string => {
    let number = numbers.get(face)
    if (!number) {
      const text = JSON.stringify({ ...face, alt: undefined })
      number = keys.get(text) ?? String(keys.size)
      keys.set(text, number)
      numbers.set(face, number)
    }
    return `${number}@${size}`
  }

  worker.onmessage = ({ data }: MessageEvent<AlikeOutput>) => {
    if (data.run !== run) return
    progress.value = data.found ? null : data.share
    if (!data.found) return
    answered = data.run
    owners.value = asking
    found.value = data.found
    // for those who measure: how long this took, in ms
    dispatchEvent(
      new CustomEvent('look-alikes', { detail: { drawing: data.drawing, all: performance.now() - began } }),
    )
  }

  async function compare(): Promise<void> {
    const { deck } = game()
    const { width, height } = smallestCard(game())
    const size = `${width}x${height}`
    const faces: AlikeRun['faces'] = []
    const fresh = new Map<string, () => Promise<AlikeCard>>()
    const owned = new Map<string, Set<Owner>>()
    const add = (key: string, group: Owner, card: () => Promise<AlikeCard>): void => {
      faces.push({ key, group })
      owned.set(key, (owned.get(key) ?? new Set()).add(group))
      if (!sent.has(key)) fresh.set(key, card)
    }
    for (const { id, name, a, b } of deck.pairs)
      for (const face of b ? [a, b] : [a]) {
        const key = keyOf(face, size)
        add(key, id, async () => ({ key, width, height, face: await faceForWorker(face, name) }))
      }
    const key = keyOf(deck.back, size)
    add(key, null, async () => ({ key, width, height, back: await backForWorker(deck.back) }))

    const list = faces.map(({ key, group }) => `${key} ${group}`).join()
    if (list === asked) {
      if (answered === run) progress.value = null
      return
    }
    asked = list
    const mine = ++run
    began = performance.now()
    let count = 0
    for (const [key, make] of fresh) {
      const card = await make()
      worker.postMessage(card satisfies AlikeInput, imagesOf(['face' in card ? card.face : card.back]))
      sent.add(key)
      if (++count % AT_ONCE) continue
      await new Promise((resolve) => setTimeout(resolve))
      if (mine !== run) return
    }
    if (mine !== run) return
    // the worker forgets what is not on the list, and so do we
    for (const key of sent) if (!owned.has(key)) sent.delete(key)
    asking = owned
    worker.postMessage({ run: mine, faces } satisfies AlikeRun)
  }

  watch(
    () => [game().deck, game().levels, game().house],
    () => {
      clearTimeout(timer)
      progress.value ??= 0
      timer = window.setTimeout(() => void compare(), PAUSE)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    clearTimeout(timer)
    run++
    worker.terminate()
  })

  /** Every two pairs whose faces are alike to some vision by the threshold or more, the likest first. */
  const ties = computed<Tie[]>(() => {
    const byPair = new Map<string, Tie>()
    const { keys, pairs, likeness: values } = found.value ?? NOTHING
    const kinds = VISIONS.length
    for (let i = 0; i < pairs.length / 2; i++) {
      if (!hasFrom(values, i * kinds, kinds, threshold.value)) continue
      const own = values.subarray(i * kinds, (i + 1) * kinds)
      const likeness = Object.fromEntries(VISIONS.map((vision, v) => [vision, own[v]!])) as Tie['likeness']
      for (const a of owners.value.get(keys[pairs[2 * i]!]!) ?? [])
        for (const b of owners.value.get(keys[pairs[2 * i + 1]!]!) ?? []) {
          if (a !== b) note(byPair, a, b, likeness)
        }
    }
    // the very same face on two pairs has one key, and is never compared with itself
    const same = { everyone: 1, protan: 1, deutan: 1, tritan: 1 }
    for (const groups of owners.value.values()) {
      const ids = [...groups]
      for (let i = 0; i < ids.length; i++)
        for (let j = i + 1; j < ids.length; j++) note(byPair, ids[i]!, ids[j]!, same)
    }
    const all = [...byPair.values()]
    const most = new Map(all.map((tie) => [tie, Math.max(...Object.values(tie.likeness))]))
    return all.sort((a, b) => most.get(b)! - most.get(a)!)
  })
  function note(ties: Map<string, Tie>, a: Owner, b: Owner, values: Record<Vision, number>): void {
    const isFirst = b !== null && (a === null || a < b)
    const [one, other] = (isFirst ? [a, b] : [b, a]) as [Owner, string]
    const before = ties.get(`${one} ${other}`)
    const likeness = before
      ? (Object.fromEntries(
          VISIONS.map((vision) => [vision, Math.max(before.likeness[vision], values[vision])]),
        ) as Record<Vision, number>)
      : values
    ties.set(`${one} ${other}`, { one, other, likeness })
  }

  return { ties, progress, threshold }
}

/** Whether one of `count` values from this place on is the threshold or more. */
function hasFrom(values: Float64Array, place: number, count: number, threshold: number): boolean {
  for (let i = place; i < place + count; i++) if (values[i]! >= threshold) return true
  return false
}
