<script setup lang="ts" generic="S extends Section">
import { computed } from 'vue'
import type { Section, Settings } from '../../core/game/settings.ts'
import { useBench } from '../store/bench.ts'
import NumberWord from './NumberWord.vue'
import type { Unit } from './numbers.ts'
import OwnTab from './OwnTab.vue'

/** A number of the open rung's settings, with its "own" tab. */
const props = defineProps<{
  section: S
  name: keyof Settings[S] & string
  label: string
  bounds: readonly [number, number]
  unit?: Unit
}>()
const bench = useBench()
const value = computed(() => bench.settings![props.section][props.name] as number)
const set = (next: number): void =>
  bench.set(props.section, { [props.name]: next } as Partial<Settings[S]>, `change "${props.label}"`)
</script>

<template>
  <span class="setting"
    ><NumberWord
      :model-value="value"
      :label="label"
      :bounds="bounds"
      :unit="unit"
      @update:model-value="set" /><OwnTab :section="section" :names="[name]"
  /></span>
</template>

<style scoped>
.setting {
  white-space: nowrap;
}
</style>
