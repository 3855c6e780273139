import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { FRAMES, type Frame, type FrameName } from '../../core/board/frames.ts'
import { nextSeed } from '../../core/deal/seed.ts'
import type { SeedRule } from '../../core/settings/settings.ts'

export const LENSES = ['faces', 'backs', 'threads', 'steps', 'measures'] as const
export type Lens = (typeof LENSES)[number]
export type FrameChoice = 'free' | FrameName | 'own'

/** What is viewed, not what is edited: it is not saved and not undone. */
export const useView = defineStore('view', () => {
  /** the seed of the deal shown in Deal */
  const seed = ref('')
  /** the seed that Play deals when it opens, '' for none */
  const playSeed = ref('')
  /** the id of the mind to watch when Play opens, '' for none */
  const playedBy = ref('')
  const lens = ref<Lens>('faces')
  const frameChoice = ref<FrameChoice>('free')
  const ownFrame = ref({ width: 412, height: 915 })
  const safe = ref(0)
  /** the screen on which the board is checked; null if the board just fills the table */
  const frame = computed<Frame | null>(() => {
    if (frameChoice.value === 'free') return null
    const { width, height } = frameChoice.value === 'own' ? ownFrame.value : FRAMES[frameChoice.value]
    return { width, height, safe: safe.value }
  })

  const seedFor = (rule: SeedRule): string =>
    nextSeed(rule, Date.now(), crypto.getRandomValues(new Uint32Array(1))[0]!)
  const dealAgain = (): void => void (seed.value = seedFor('every-play'))
  return { seed, playSeed, playedBy, lens, frameChoice, ownFrame, safe, frame, seedFor, dealAgain }
})
