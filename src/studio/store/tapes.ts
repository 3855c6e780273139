import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { Chip } from '../../core/play/tape.ts'
import type { PlayedGame } from '../../core/play/record.ts'
import { useBench } from './bench.ts'

/** A game on tape: what was played, its turns, and a name; `by`: the name of the watched mind, '' for you. */
export type Tape = PlayedGame & { until: number; name: string; by: string; chips: Chip[] }

/**
 * The games played of the document on the bench, for as long as it is open: tapes, the last first, and how many were
 * started.
 */
export const useTapeStore = defineStore('tapes', () => {
  const bench = useBench()
  const tapes = shallowRef<readonly Tape[]>([])
  const begun = ref(1)
  watch(
    () => bench.key,
    () => {
      tapes.value = []
      begun.value = 1
    },
    { flush: 'sync' },
  )
  return { kept: tapes, begun }
})
