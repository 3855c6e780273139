<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { inTurn } from '../timing/turns.ts'
import { chartOn, type Chart, type ChartOption } from './chart.ts'

/** A chart that fills the element around it; `label` describes it to screen readers. */
const props = defineProps<{ option: ChartOption; label: string }>()
const box = ref<HTMLElement>()
let chart: Chart | null = null
useResizeObserver(box, () => chart?.resize())
function draw(): void {
  chart = chartOn(box.value!)
  chart.setOption(props.option)
}
let giveUp = (): void => undefined
onMounted(() => (giveUp = inTurn(draw)))
watch(
  () => props.option,
  (option) => chart?.setOption(option, { notMerge: true, lazyUpdate: true }),
)
onBeforeUnmount(() => {
  giveUp()
  chart?.dispose()
})
</script>

<template>
  <div ref="box" class="chart keeps-colours" role="img" :aria-label="label" />
</template>

<style scoped>
.chart {
  width: 100%;
  height: 100%;
}
</style>
