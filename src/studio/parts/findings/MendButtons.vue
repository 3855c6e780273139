<script setup lang="ts">
import { ElButton } from 'element-plus'
import type { Mend } from '../../../core/findings/mends.ts'
import { useBench } from '../../store/bench.ts'

/** A button for each mend; a press is one edit of the open game. */
defineProps<{ mends: readonly Mend[] }>()
const bench = useBench()
</script>

<template>
  <ElButton
    v-for="mend in mends"
    :key="mend.label"
    class="btn"
    @click="bench.replace(mend.to(bench.game!), `mend: ${mend.label}`)"
    >{{ mend.label }}</ElButton
  >
</template>
