import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { TOO_ALIKE } from '../../../../core/deck/likeness.ts'
import { VISIONS, type Vision } from '../../../../core/deck/vision.ts'
import type { Game } from '../../../../core/game/game.ts'
import { backForWorker, faceForWorker, pageFonts } from '../../../workers/painting/for-workers.ts'
import type {
  AlikeCard,
  AlikeFound,
  AlikeInput,
  AlikeOutput,
  AlikeRun,
  Owner,
} from '../../../workers/painting/alike.worker.ts'
import { imagesOf } from '../../../workers/painting/load.ts'
import { workerError } from '../../../store/faults.ts'
import { nextTask } from '../../../store/next-task.ts'
import { smallestCard } from '../../../parts/cards/smallest-card.ts'

/** Two pairs of the deck, by id, that have faces alike; null stands for the back. */
export type Tie = { one: Owner; other: string; likeness: Record<Vision, number> }

/** How long to wait after an edit before the faces are compared, in ms. */
const PAUSE = 250
const NOTHING: AlikeFound = { owners: [], twos: new Uint32Array(), likeness: new Float64Array() }
/** How many cards are sent before the page gets a break. */
const AT_ONCE = 40

/**
 * Which pairs have faces too much alike, for everyone and for three kinds of colour blindness. Faces are drawn and
 * compared in a worker; unchanged faces are neither drawn nor compared again.
 */
export function useLookAlikes(game: () => Game) {
  const worker = new Worker(new URL('../../../workers/painting/alike.worker.ts', import.meta.url), {
    type: 'module',
  })
  worker.postMessage({ fonts: pageFonts() } satisfies AlikeInput)
  /** keys of faces whose cards the worker has; a key is short, and equal for faces that look the same */
  const sentIds = new Set<string>()
  const keys = new Map<string, string>()
  const answer = shallowRef<AlikeFound | null>(null)
  /** share done, or null when everything is known */
  const progress = ref<number | null>(null)
  const threshold = ref(TOO_ALIKE)
  let run = 0
  /** the cards and the threshold of the last request, and the last run that was answered */
  let question = ''
  let answered = 0
  let began = 0
  let timer = 0

  /** Faces are objects that never change; the key of each is written only once. */
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
    answer.value = data.found
    // for benchmarks: how long this took, in ms
    dispatchEvent(
      new CustomEvent('look-alikes', { detail: { drawing: data.drawing, all: performance.now() - began } }),
    )
  }

  // nothing is known then: the next edit asks again
  worker.onerror = (event) => {
    reportError(workerError(event))
    question = ''
    progress.value = null
  }

  async function compare(): Promise<void> {
    const { deck } = game()
    const { width, height } = smallestCard(game())
    const size = `${width}x${height}`
    const faces: AlikeRun['faces'] = []
    const fresh = new Map<string, () => Promise<AlikeCard>>()
    const add = (key: string, owner: Owner, card: () => Promise<AlikeCard>): void => {
      faces.push({ key, owner })
      if (!sentIds.has(key)) fresh.set(key, card)
    }
    for (const { id, name, a, b } of deck.pairs)
      for (const face of b ? [a, b] : [a]) {
        const key = keyOf(face, size)
        add(key, id, async () => ({ key, width, height, face: await faceForWorker(face, name) }))
      }
    const key = keyOf(deck.back, size)
    add(key, null, async () => ({ key, width, height, back: await backForWorker(deck.back) }))

    const list = `${threshold.value} ${faces.map(({ key, owner }) => `${key} ${owner}`).join()}`
    if (list === question) {
      if (answered === run) progress.value = null
      return
    }
    question = list
    const mine = ++run
    began = performance.now()
    let count = 0
    for (const [key, make] of fresh) {
      const card = await make()
      worker.postMessage(card satisfies AlikeInput, imagesOf(['face' in card ? card.face : card.back]))
      sentIds.add(key)
      if (++count % AT_ONCE) continue
      await nextTask()
      if (mine !== run) return
    }
    if (mine !== run) return
    // the worker drops what is not on the list, and so do we
    const wanted = new Set(faces.map(({ key }) => key))
    for (const key of sentIds) if (!wanted.has(key)) sentIds.delete(key)
    worker.postMessage({ run: mine, faces, threshold: threshold.value } satisfies AlikeRun)
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
  watch(threshold, () => void compare())
  onBeforeUnmount(() => {
    clearTimeout(timer)
    run++
    worker.terminate()
  })

  /** All two pairs whose faces are alike to some vision by at least the threshold, the most alike first. */
  const ties = computed<Tie[]>(() => {
    const { owners, twos, likeness: values } = answer.value ?? NOTHING
    const kinds = VISIONS.length
    const ties: Tie[] = []
    for (let i = 0; i < twos.length / 2; i++) {
      const likeness = {} as Tie['likeness']
      VISIONS.forEach((vision, v) => (likeness[vision] = values[i * kinds + v]!))
      ties.push({ one: owners[twos[2 * i]!] as Owner, other: owners[twos[2 * i + 1]!] as string, likeness })
    }
    return ties
  })

  return { ties, progress, threshold }
}
