<script setup lang="ts">
import { ElButton } from 'element-plus'
import type { Section } from '../../../core/settings/settings.ts'
import { computed } from 'vue'
import { settingWords } from './setting-words.ts'
import { useBench } from '../../store/bench.ts'

/** Stands beside a setting that this level sets itself; one press returns it to the house rules. */
const props = defineProps<{ section: Section; names: readonly string[] }>()
const bench = useBench()
const owned = computed(() => props.names.filter((name) => bench.owns(props.section, name)))
const labels = computed(() => owned.value.map((name) => settingWords(props.section, name).label).join(', '))
const giveBack = (): void => bench.giveBack(props.section, ...owned.value)
</script>

<template>
  <ElButton
    v-if="owned.length"
    class="own"
    data-tip="This level's own. Press to follow the house rules again."
    :aria-label="`${labels}: own, set for this level; follow the house rules again`"
    @click="giveBack"
  >
    own
  </ElButton>
</template>
