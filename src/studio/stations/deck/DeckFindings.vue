<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { lookAlikeFindings } from '../../../core/findings/look-alikes.ts'
import FindingsList from '../../parts/findings/FindingsList.vue'
import { useFindings } from '../../parts/findings/store.ts'
import { useBench } from '../../store/bench.ts'
import type { Tie } from './light-table/useLookAlikes.ts'

/** Findings on the deck: those of the checks, and the look-alikes; `seen` are the ties that the table shows. */
const props = defineProps<{ ties: readonly Tie[]; seen: readonly Tie[] }>()
const emit = defineEmits<{ choose: [ids: string[]] }>()
const bench = useBench()
const checks = useFindings()

const both = computed(() => props.seen.flatMap(({ one, other }) => (one === null ? [] : [[one, other]]))[0])
const findings = computed(() => [
  ...checks.all.filter(({ where }) => where.section === 'deck'),
  ...lookAlikeFindings(bench.game!, props.ties),
])
</script>

<template>
  <FindingsList :findings="findings">
    <template #default="{ finding }">
      <ElButton v-if="finding.code === 'look-alikes' && both" class="btn" @click="emit('choose', both)">
        Choose both
      </ElButton>
    </template>
  </FindingsList>
</template>
