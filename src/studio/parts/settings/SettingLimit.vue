<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import NumberWord from './NumberWord.vue'
import OwnTab from './OwnTab.vue'
import { useSetting } from './useSetting.ts'

/**
 * An optional limit: "5 lives", or, where a level removes that of the house rules, "no lives to lose". At 0 it is
 * removed.
 */
const props = defineProps<{ name: 'lives' | 'turns'; none: string; words: string }>()
const { words: setting, value } = useSetting(
  () => 'limits',
  () => props.name,
)
const least = computed(() => setting.value.bounds![0])
const count = computed({
  get: () => value.value ?? 0,
  set: (next) => (value.value = next < least.value ? null : next),
})
</script>

<template>
  <span class="limit" :data-setting="`limits.${name}`">
    <template v-if="value !== null">
      <NumberWord v-model="count" :label="setting.label" :bounds="[0, setting.bounds![1]]" />
      {{ words }}
    </template>
    <ElButton v-else class="none" :data-tip="`Set a limit: ${least} or more`" @click="value = least">
      {{ none }}
    </ElButton>
    <OwnTab section="limits" :names="[name]" />
  </span>
</template>

<style scoped>
.limit {
  white-space: nowrap;
}
.none {
  height: auto;
  min-height: 0;
  padding: 0 2px 1px;
  border: 0;
  border-bottom: 2px dotted var(--lagoon);
  border-radius: 4px 4px 0 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 700;
  line-height: 1.4;
}
.none:hover {
  background: var(--lagoon-pale);
}
</style>
