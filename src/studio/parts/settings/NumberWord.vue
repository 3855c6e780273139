<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { readNumber, STEP, writeNumber, type Unit } from './numbers.ts'

/**
 * A number in a sentence: type it, or step it with the arrow keys or the wheel. A value out of bounds is refused with a
 * message.
 */
const props = withDefaults(
  defineProps<{
    modelValue: number
    label: string
    bounds: readonly [number, number]
    unit?: Unit
    whole?: boolean
  }>(),
  { unit: 'count', whole: true },
)
/** units with fractions */
const PARTS: readonly Unit[] = ['more', 'times', 'ratio', 'mm']
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()

const text = ref('')
const problem = ref('')
const show = (): void => {
  text.value = writeNumber(props.modelValue, props.unit)
  problem.value = ''
}
watch(() => [props.modelValue, props.unit], show, { immediate: true })
/** Without the newer CSS the width follows the length of the text. */
const fits = CSS.supports('field-sizing', 'content')
const width = computed(() => (fits ? 'auto' : `${Math.max(2, text.value.length) + 0.6}ch`))
const range = computed(
  () => `${writeNumber(props.bounds[0], props.unit)} to ${writeNumber(props.bounds[1], props.unit)}`,
)

function take(value: number | null): void {
  const number = value !== null && props.whole && !PARTS.includes(props.unit) ? Math.round(value) : value
  if (number === null || number < props.bounds[0] || number > props.bounds[1])
    problem.value = `${props.label}: ${range.value}`
  else if (number === props.modelValue) show()
  else {
    problem.value = ''
    emit('update:modelValue', number)
  }
}
function stepBy(direction: number): void {
  const next = +(props.modelValue + direction * STEP[props.unit]).toFixed(4)
  take(Math.min(props.bounds[1], Math.max(props.bounds[0], next)))
}
/** The wheel steps only the number being edited; elsewhere it scrolls. */
function turnWheel(event: WheelEvent): void {
  if (event.target !== document.activeElement) return
  event.preventDefault()
  stepBy(event.deltaY < 0 ? 1 : -1)
}
/** How long it is told, in ms, why a number was not taken that somebody typed and left. */
const TOLD = 4000
const { start: forgetSoon, stop: keepTelling } = useTimeoutFn(() => (problem.value = ''), TOLD, {
  immediate: false,
})
function leave(): void {
  if (!problem.value) return
  text.value = writeNumber(props.modelValue, props.unit)
  forgetSoon()
}
</script>

<template>
  <span class="number-word">
    <ElInput
      v-model="text"
      inputmode="decimal"
      container-role="spinbutton"
      autocomplete="off"
      :aria-label="label"
      :aria-valuenow="modelValue"
      :aria-valuetext="writeNumber(modelValue, unit)"
      :aria-valuemin="bounds[0]"
      :aria-valuemax="bounds[1]"
      :aria-invalid="problem !== ''"
      :data-tip="`${label}: ${range}`"
      @change="take(readNumber(text, unit))"
      @blur="leave"
      @focus="(keepTelling(), ($event.target as HTMLInputElement).select())"
      @keydown.up.exact.prevent="stepBy(1)"
      @keydown.down.exact.prevent="stepBy(-1)"
      @keydown.enter.prevent="take(readNumber(text, unit))"
      @keydown.esc="show"
      @wheel="turnWheel"
    />
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.number-word {
  position: relative;
  white-space: nowrap;
}
.number-word :deep(.el-input) {
  width: auto;
  vertical-align: baseline;
  font: inherit;
  line-height: 1.4;
}
.number-word :deep(.el-input__wrapper) {
  padding: 0;
  background: none;
  box-shadow: none;
}
.number-word :deep(.el-input__inner) {
  width: v-bind(width);
  min-width: 1.9em;
  height: auto;
  padding: 0 4px 1px;
  border-bottom: 2px solid var(--lagoon);
  border-radius: 4px 4px 0 0;
  background: #eef4f1;
  color: inherit;
  font: inherit;
  font-weight: 700;
  line-height: 1.4;
  text-align: center;
  field-sizing: content;
}
.number-word :deep(.el-input__inner:hover) {
  background: var(--lagoon-pale);
}
.number-word :deep(.el-input__inner:focus-visible) {
  outline: 2px solid var(--lagoon);
}
.number-word :deep(.el-input__inner[aria-invalid='true']) {
  border-color: var(--brick);
  background: var(--brick-pale);
}
.problem {
  position: absolute;
  top: calc(100% + 5px);
  left: 0;
  z-index: 20;
  /* what it lies over can be pressed */
  pointer-events: none;
  padding: 4px 10px;
  border-radius: var(--round);
  background: var(--brick);
  color: #fff;
  font: 600 14px/1.4 var(--body);
}
</style>
