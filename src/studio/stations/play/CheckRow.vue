<script setup lang="ts">
import { ElButton, ElTable, ElTableColumn } from 'element-plus'
import IconRemove from '~icons/ph/trash'
import { computed, ref } from 'vue'
import type { Check } from '../../../core/play/record.ts'
import type { CheckOutcome } from '../../../core/game/check.ts'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import TextField from '../../parts/settings/TextField.vue'
import { stateOf } from './useChecks.ts'

/** A kept check: its state, both sides if it fails, and its expectations, to edit. */
const props = defineProps<{ check: Check; checked: CheckOutcome | undefined }>()
const emit = defineEmits<{
  show: [turn: number]
  expect: [key: string, value: unknown]
  accept: []
  rename: [name: string]
  drop: []
}>()
const unfolded = ref(false)
const state = computed(() => stateOf(props.checked))
const WORDS = { waits: '…', holds: '✓ passes', fails: '✗ fails' }
const text = (value: unknown): string =>
  value === undefined ? 'not played' : typeof value === 'string' ? value : JSON.stringify(value)
const differing = computed(() =>
  props.checked!.wrong.map(({ key, expected, actual }) => ({
    key,
    expected: text(expected),
    actual: text(actual),
  })),
)

/** An expectation, edited as text: a number, or a word. */
function expectation(key: string, typed: string): void {
  const number = Number(typed)
  emit('expect', key, typed !== '' && Number.isFinite(number) ? number : typed)
}
const EDITED = ['outcome', 'turns', 'score', 'matches', 'misses', 'timeUsed'] as const
</script>

<template>
  <div class="row">
    <span class="state" :class="state">{{ WORDS[state] }}</span>
    <ElButton class="plain" :aria-expanded="unfolded" @click="unfolded = !unfolded">
      {{ check.name }}
    </ElButton>
    <ElButton
      class="btn small"
      :aria-label="`Show ${check.name} on the tape`"
      @click="emit('show', checked?.turn || Infinity)"
    >
      Show
    </ElButton>
  </div>
  <template v-if="state === 'fails'">
    <p v-if="checked!.problem" class="wrong">
      {{ checked!.problem!.message }}
    </p>
    <ElTable v-else :data="differing" size="small">
      <ElTableColumn prop="key" label="what" />
      <ElTableColumn prop="expected" label="expected" />
      <ElTableColumn prop="actual" label="now" />
    </ElTable>
    <ElButton v-if="!checked!.problem" class="btn small" @click="emit('accept')">
      Accept the new result
    </ElButton>
  </template>
  <div v-if="unfolded" class="edit">
    <label
      >name
      <TextField
        :model-value="check.name"
        label="name"
        :maxlength="LENGTHS.name"
        @change="emit('rename', $event)"
    /></label>
    <label v-for="key in EDITED" :key="key"
      >{{ key }}
      <TextField
        :model-value="String(check.expect[key] ?? '')"
        :label="key"
        :maxlength="20"
        @change="expectation(key, $event)"
      />
    </label>
    <ElButton class="btn small" @click="emit('drop')"><IconRemove />Remove</ElButton>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 8px;
}
.plain {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  padding: 4px 0;
  border: 0;
  background: none;
  color: inherit;
  font: 600 15px var(--body);
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.state {
  font-size: 13px;
  font-weight: 700;
  white-space: nowrap;
}
.state.holds {
  color: var(--lagoon-deep);
}
.state.fails,
.wrong {
  color: var(--brick);
}
.small {
  height: 28px;
  padding: 0 10px;
  font-size: 13px;
}
.edit {
  display: grid;
  gap: 6px;
  padding-top: 6px;
}
.edit label {
  display: grid;
  grid-template-columns: 80px 1fr;
  align-items: center;
  font-size: 13px;
}
.edit .text-field {
  --el-input-height: 28px;
}
</style>
