<script setup lang="ts">
import { computed } from 'vue'
import type { Odds } from '../../../core/odds/odds-of.ts'
import { seconds } from '../../parts/settings/numbers.ts'

/** What a game of a mind is like, on average. */
const props = defineProps<{ name: string; odds: Odds }>()
const facts = computed(() => {
  const { turns, time, waited, slips } = props.odds
  return [
    [turns.mean.toFixed(1), `turns and ${seconds(time.mean)}: an average game by ${props.name}`],
    [seconds(waited.mean), 'of it are spent looking at judged cards'],
    [slips.mean.toFixed(1), 'misses are slips: cards that were seen before'],
  ] as const
})
</script>

<template>
  <section aria-labelledby="game">
    <h2 id="game">A game</h2>
    <dl>
      <div v-for="[figure, words] in facts" :key="words">
        <dt>{{ figure }}</dt>
        <dd>{{ words }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped src="./aside.css"></style>
