<script setup lang="ts" generic="S extends Section">
import { computed } from 'vue'
import type { Section, Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import ChoiceWord from './ChoiceWord.vue'
import OwnTab from './OwnTab.vue'
import { settingWords } from './setting-words.ts'

/** A choice of the open rung's settings, with its "own" tab. Yes and no are chosen as 'true' and 'false'. */
const props = defineProps<{ section: S; name: keyof Settings[S] & string }>()
const bench = useBench()
const words = computed(() => settingWords(props.section, props.name))
const value = computed(() => String(bench.settings![props.section][props.name]))
function set(next: string): void {
  const plain = next === 'true' ? true : next === 'false' ? false : next
  bench.set(props.section, { [props.name]: plain } as Partial<Settings[S]>, `change "${words.value.label}"`)
}
</script>

<template>
  <span class="setting"
    ><ChoiceWord
      :model-value="value"
      :label="words.label"
      :choices="words.choices!"
      @update:model-value="set" /><OwnTab :section="section" :names="[name]"
  /></span>
</template>

<style scoped>
.setting {
  white-space: nowrap;
}
</style>
