<script setup lang="ts">
import { computed } from 'vue'
import { openCells } from '../../../core/board/cells.ts'
import type { StarsBy } from '../../../core/settings/settings.ts'
import { par } from '../../../core/odds/par.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import { useBench } from '../../store/bench.ts'
import { useStars } from './useStars.ts'

/** "Stars go by score: 700, 1,100, 1,500." */
const bench = useBench()
const { stars, bounds, setAt } = useStars()
const CHOICES: [StarsBy | 'none', string][] = [
  ['none', 'are not given'],
  ['score', 'go by score'],
  ['turns', 'go by turns'],
  ['time', 'go by time'],
]
const unit = computed(() =>
  stars.value?.by === 'time' ? 'clock' : stars.value?.by === 'score' ? 'points' : 'count',
)

function choose(by: StarsBy | 'none'): void {
  bench.set('score', { stars: by === 'none' ? null : { by, at: start(by) } }, 'change the stars')
}
/** Thresholds to begin with: three, two and about one time and a third of what a perfect memory needs. */
function start(by: StarsBy): [number, number, number] {
  const { board, score } = bench.settings!
  const pairs = openCells(board).length / 2
  const turns = par(Math.floor(pairs)).turns
  if (by === 'turns') return [Math.round(turns * 2.2), Math.round(turns * 1.6), Math.round(turns * 1.2)]
  if (by === 'time')
    return [Math.round(turns * 6) * 1000, Math.round(turns * 4.5) * 1000, Math.round(turns * 3.2) * 1000]
  return [
    Math.round(pairs * score.match * 0.8),
    Math.round(pairs * score.match * 1.1),
    Math.round(pairs * score.match * 1.5),
  ]
}
const NAMES = ['One star', 'Two stars', 'Three stars']
</script>

<template>
  Stars
  <span class="stars"
    ><ChoiceWord
      :model-value="stars?.by ?? 'none'"
      label="What stars go by"
      :choices="CHOICES"
      @update:model-value="choose"
    /><template v-if="stars">: </template></span
  >
  <template v-if="stars">
    <span v-for="(value, i) in stars.at" :key="i" class="stars"
      ><NumberWord
        :model-value="value"
        :label="NAMES[i]!"
        :bounds="bounds(i)"
        :unit="unit"
        @update:model-value="(next) => setAt(i, next)"
      />{{ i < 2 ? ', ' : '' }}</span
    > </template
  ><OwnTab section="score" :names="['stars']" />.
</template>

<style scoped>
.stars {
  white-space: nowrap;
}
</style>
