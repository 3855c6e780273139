<script setup lang="ts">
import { computed, ref } from 'vue'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { CARD_RATIOS } from '../../../core/settings/settings.ts'
import ChoiceWord from './ChoiceWord.vue'
import NumberWord from './NumberWord.vue'
import OwnTab from './OwnTab.vue'
import { useSetting } from './useSetting.ts'

/** The shape of cards that are as large as fits: a named one, or any ratio of width to height. */
type Shape = keyof typeof CARD_RATIOS
const { words, value: ratio } = useSetting(
  () => 'layout',
  () => 'ratio',
)
const CHOICES: [Shape | 'own', string][] = [
  ...(Object.keys(CARD_RATIOS) as Shape[]).map((name): [Shape, string] => [name, name]),
  ['own', 'a shape of their own'],
]
const shapeName = computed(() =>
  (Object.keys(CARD_RATIOS) as Shape[]).find((name) => CARD_RATIOS[name] === ratio.value),
)
/** chosen, although the number is still that of a named shape */
const isOwnChosen = ref(false)
const shape = computed(() => (isOwnChosen.value ? 'own' : (shapeName.value ?? 'own')))
function take(next: Shape | 'own'): void {
  isOwnChosen.value = next === 'own'
  if (next !== 'own') ratio.value = CARD_RATIOS[next]
}
</script>

<template>
  <span class="shape"
    ><ChoiceWord :model-value="shape" :label="words.label" :choices="CHOICES" @update:model-value="take" />
    <template v-if="shape === 'own'"
      >,
      <NumberWord v-model="ratio" label="Width divided by height" :bounds="BOUNDS.ratio" unit="ratio" /> times
      as wide as high</template
    ><OwnTab section="layout" :names="['ratio']"
  /></span>
</template>
