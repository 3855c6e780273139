<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconKeep from '~icons/ph/bookmark-simple'
import IconOpen from '~icons/ph/folder-open'
import IconRemove from '~icons/ph/trash'
import IconSave from '~icons/ph/download-simple'
import { computed, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import type { Check } from '../../../core/play/record.ts'
import type { CheckOutcome } from '../../../core/game/check.ts'
import { findLevel } from '../../../core/settings/levels.ts'
import { useBench } from '../../store/bench.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import TextField from '../../parts/settings/TextField.vue'
import CheckRow from './CheckRow.vue'
import { stateOf } from './useChecks.ts'
import type { Tape } from '../../store/tapes.ts'

/** Kept tapes, and the checks of this game with their state. */
const props = defineProps<{
  name: string
  turns: number
  kept: readonly Tape[]
  checks: readonly Check[]
  checked: ReadonlyMap<string, CheckOutcome>
  /** how many checks have run so far, or null when all have */
  running: number | null
}>()
const emit = defineEmits<{
  rename: [tape: Tape | null, name: string]
  take: [tape: Tape]
  forget: [tape: Tape]
  save: []
  open: [file: File]
  keep: []
  show: [check: Check, turn: number]
  expect: [check: Check, key: string, value: unknown]
  accept: [check: Check]
  nameCheck: [check: Check, name: string]
  drop: [check: Check]
}>()
const picker = ref<InstanceType<typeof FilePicker>>()

const bench = useBench()
const levelName = (id: string): string => findLevel(bench.game!, id)?.name ?? id
const failing = computed(
  () => props.checks.filter((check) => stateOf(props.checked.get(check.id)) === 'fails').length,
)
const summary = computed(() => {
  if (!props.checks.length) return ''
  if (props.running !== null) return `${props.running} of ${props.checks.length} run`
  return failing.value
    ? `${failing.value} of ${props.checks.length} fail`
    : props.checks.length === 1
      ? 'it passes'
      : `all ${props.checks.length} pass`
})
</script>

<template>
  <section class="kept" aria-labelledby="tapes">
    <h2 id="tapes" class="hidden-text">Tapes and checks</h2>
    <div class="now">
      <TextField
        :model-value="name"
        label="Name of this tape"
        :maxlength="60"
        @change="emit('rename', null, $event)"
      />
      <span class="soft">{{ countWords(turns, 'turn') }}</span>
    </div>
    <div class="row">
      <ElButton class="btn main" :disabled="!turns" @click="emit('keep')">
        <IconKeep />Keep as a check
      </ElButton>
      <ElButton
        class="btn icon"
        data-tip="Save this tape as a record"
        aria-label="Save as a record"
        :disabled="!turns"
        @click="emit('save')"
      >
        <IconSave />
      </ElButton>
      <ElButton
        class="btn icon"
        data-tip="Open a record"
        aria-label="Open a record"
        @click="picker?.choose()"
      >
        <IconOpen />
      </ElButton>
      <FilePicker ref="picker" label="Record to open" accept=".json" @take="([file]) => emit('open', file)" />
    </div>
    <ul v-if="kept.length" class="list" aria-label="Kept tapes">
      <li v-for="(tape, i) in kept" :key="i" class="row">
        <ElButton class="plain" @click="emit('take', tape)">{{ tape.name }}</ElButton>
        <span class="soft"
          >{{ levelName(tape.level) }}, {{ tape.by ? `by ${tape.by.toLowerCase()}, ` : ''
          }}{{ countWords(tape.chips.length, 'turn') }}</span
        >
        <ElButton class="icon-btn" :aria-label="`Remove ${tape.name}`" @click="emit('forget', tape)">
          <IconRemove />
        </ElButton>
      </li>
    </ul>
    <h3>
      Checks <span class="soft" role="status">{{ summary }}</span>
    </h3>
    <p v-if="!checks.length" class="soft">
      Keep a game that went right as a check: it is played again after every change of the rules, and says
      when something comes out differently.
    </p>
    <ul v-else class="list" aria-label="Checks">
      <li v-for="check in checks" :key="check.id" :class="stateOf(checked.get(check.id))">
        <CheckRow
          :check="check"
          :checked="checked.get(check.id)"
          @show="emit('show', check, $event)"
          @expect="(key, value) => emit('expect', check, key, value)"
          @accept="emit('accept', check)"
          @rename="emit('nameCheck', check, $event)"
          @drop="emit('drop', check)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.kept {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 10px;
  height: 100%;
  overflow-y: auto;
  padding-right: 4px;
}
.now,
.row {
  display: flex;
  align-items: center;
  gap: 8px;
}
.now > :first-child,
.row .main,
.plain {
  flex: 1;
  min-width: 0;
}
.icon {
  padding: 0 10px;
}
.list {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.list > li {
  padding: 6px 8px;
  border: 1px solid var(--sand);
  border-radius: var(--round);
}
.plain {
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
.fails {
  background: var(--brick-pale);
}
</style>
