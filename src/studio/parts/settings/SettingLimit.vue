<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { useBench } from '../../store/bench.ts'
import NumberWord from './NumberWord.vue'
import OwnTab from './OwnTab.vue'
import { settingWords } from './setting-words.ts'

/** A limit that may be there or not: "5 lives", or "no lives to lose". */
const props = defineProps<{
  name: 'lives' | 'turns'
  none: string
  words: string
  /** with what it begins when it is switched on */
  start: number
}>()
const bench = useBench()
const told = computed(() => settingWords('limits', props.name))
const value = computed(() => bench.settings!.limits[props.name])
const set = (next: number | null): void =>
  bench.set('limits', { [props.name]: next }, `change "${told.value.label}"`)
</script>

<template>
  <span class="limit">
    <template v-if="value !== null">
      <NumberWord :model-value="value" :label="told.label" :bounds="told.bounds!" @update:model-value="set" />
      <ElButton class="switch" :title="`Take the limit away: ${none}`" @click="set(null)">
        {{ words }}
      </ElButton>
    </template>
    <ElButton v-else class="switch" :title="`Set a limit: ${start} ${words}`" @click="set(start)">
      {{ none }}
    </ElButton>
    <OwnTab section="limits" :names="[name]" />
  </span>
</template>

<style scoped>
.limit {
  white-space: nowrap;
}
.switch {
  padding: 0 2px 1px;
  border: 0;
  border-bottom: 2px dotted var(--lagoon);
  border-radius: 4px 4px 0 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 700;
  line-height: 1.4;
  cursor: pointer;
}
.switch:hover {
  background: var(--lagoon-pale);
}
.number-word + .switch {
  margin-left: 5px;
}
</style>
