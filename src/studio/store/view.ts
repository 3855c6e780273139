import { defineStore } from 'pinia'
import { ref } from 'vue'
import { nextSeed } from '../../core/deal/seed.ts'
import type { SeedRule } from '../../core/game/settings.ts'

/** What is looked at, not what is edited: it is not saved and not undone. */
export const useView = defineStore('view', () => {
  /** the seed of the deal that is seen in Deal */
  const seed = ref('')
  const glass = ref(true)

  const seedFor = (rule: SeedRule): string =>
    nextSeed(rule, Date.now(), crypto.getRandomValues(new Uint32Array(1))[0]!)
  const dealAgain = (): void => void (seed.value = seedFor('every-play'))
  return { seed, glass, seedFor, dealAgain }
})
