<script setup lang="ts">
import { ElButton } from 'element-plus'
import NumberWord from './NumberWord.vue'
import OwnTab from './OwnTab.vue'
import { useSetting } from './useSetting.ts'

/** A limit that may be there or not: "5 lives", or "no lives to lose". */
const props = defineProps<{
  name: 'lives' | 'turns'
  none: string
  words: string
  /** with what it begins when it is switched on */
  start: number
}>()
const { words: told, value } = useSetting(
  () => 'limits',
  () => props.name,
)
</script>

<template>
  <span class="limit">
    <template v-if="value !== null">
      <NumberWord v-model="value" :label="told.label" :bounds="told.bounds!" />
      <ElButton class="switch" :data-tip="`Remove the limit: ${none}`" @click="value = null">
        {{ words }}
      </ElButton>
    </template>
    <ElButton v-else class="switch" :data-tip="`Set a limit: ${start} ${words}`" @click="value = start">
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
