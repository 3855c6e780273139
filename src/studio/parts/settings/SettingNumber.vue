<script setup lang="ts" generic="S extends Section">
import { computed } from 'vue'
import type { Section, Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import NumberWord from './NumberWord.vue'
import OwnTab from './OwnTab.vue'
import { settingWords } from './setting-words.ts'

/** A number of the open rung's settings, with its "own" tab. */
const props = defineProps<{ section: S; name: keyof Settings[S] & string }>()
const bench = useBench()
const words = computed(() => settingWords(props.section, props.name))
const value = computed(() => bench.settings![props.section][props.name] as number)
const set = (next: number): void =>
  bench.set(props.section, { [props.name]: next } as Partial<Settings[S]>, `change "${words.value.label}"`)
</script>

<template>
  <span class="setting"
    ><NumberWord
      :model-value="value"
      :label="words.label"
      :bounds="words.bounds!"
      :unit="words.unit"
      @update:model-value="set" /><OwnTab :section="section" :names="[name]"
  /></span>
</template>

<style scoped>
.setting {
  white-space: nowrap;
}
</style>
