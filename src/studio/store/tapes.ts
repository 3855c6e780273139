import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { Chip } from '../../core/play/tape.ts'
import type { Played } from '../../core/play/record.ts'
import { useBench } from './bench.ts'

/** A game on tape: what was played, its turns, and a name to find it by; `by`: the name of the mind that was watched, '' for you. */
export type Tape = Played & { until: number; name: string; by: string; chips: Chip[] }

/** What was played of the game on the bench, as long as it lies there: tapes, the last first, and how many were begun. */
export const useTapeStore = defineStore('tapes', () => {
  const bench = useBench()
  const kept = shallowRef<readonly Tape[]>([])
  const begun = ref(1)
  watch(
    () => bench.key,
    () => {
      kept.value = []
      begun.value = 1
    },
    { flush: 'sync' },
  )
  return { kept, begun }
})
