<script setup lang="ts">
import { computed } from 'vue'
import type { StarsBy } from '../../../core/settings/settings.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import { useBench } from '../../store/bench.ts'
import { firstStars } from './clauses.ts'
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
  const next = by === 'none' ? null : { by, at: firstStars(by, bench.settings!) }
  bench.set('score', { stars: next }, 'change the stars')
}
const NAMES = ['One star', 'Two stars', 'Three stars']
</script>

<template>
  Stars
  <span class="stars" data-setting="score.stars"
    ><ChoiceWord
      :model-value="stars?.by ?? 'none'"
      label="What stars depend on"
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
