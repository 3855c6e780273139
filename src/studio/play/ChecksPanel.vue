<script setup lang="ts">
import IconKeep from '~icons/ph/bookmark-simple'
import IconOpen from '~icons/ph/folder-open'
import IconRemove from '~icons/ph/trash'
import IconSave from '~icons/ph/download-simple'
import { computed, ref } from 'vue'
import type { Check } from '../../core/play/record.ts'
import { passed, type Checked } from '../../core/play/check.ts'
import FilePicker from '../look/FilePicker.vue'
import TextField from '../settings/TextField.vue'
import type { Tape } from './useTapes.ts'

/** Tapes kept beside the one on the table, and the checks of this game with how they stand now. */
const props = defineProps<{
  name: string
  turns: number
  kept: readonly Tape[]
  checks: readonly Check[]
  checked: ReadonlyMap<string, Checked>
  /** how many checks are run by now, or null when all are */
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
const unfolded = ref<string | null>(null)
const picker = ref<InstanceType<typeof FilePicker>>()

const stateOf = (check: Check): 'waits' | 'holds' | 'fails' => {
  const one = props.checked.get(check.id)
  return !one ? 'waits' : passed(one) ? 'holds' : 'fails'
}
const failing = computed(() => props.checks.filter((check) => stateOf(check) === 'fails').length)
const summary = computed(() => {
  if (!props.checks.length) return ''
  if (props.running !== null) return `${props.running} of ${props.checks.length} run`
  return failing.value
    ? `${failing.value} of ${props.checks.length} fail`
    : props.checks.length === 1
      ? 'it holds'
      : `all ${props.checks.length} hold`
})
const text = (value: unknown): string =>
  value === undefined ? 'not played' : typeof value === 'string' ? value : JSON.stringify(value)

/** What is expected, edited as text: a number, or a word. */
function expectation(check: Check, key: string, event: Event): void {
  const typed = (event.target as HTMLInputElement).value.trim()
  const number = Number(typed)
  emit('expect', check, key, typed !== '' && Number.isFinite(number) ? number : typed)
}
const EDITED = ['outcome', 'turns', 'score', 'matches', 'misses', 'timeUsed'] as const
</script>

<template>
  <section class="kept" aria-labelledby="tapes">
    <h2 id="tapes">Tapes and checks</h2>
    <div class="now">
      <TextField
        :model-value="name"
        label="Name of this tape"
        :maxlength="60"
        @change="emit('rename', null, $event)"
      />
      <span class="soft">{{ turns }} {{ turns === 1 ? 'turn' : 'turns' }}</span>
    </div>
    <div class="row">
      <button class="btn main" type="button" :disabled="!turns" @click="emit('keep')">
        <IconKeep />Keep as a check
      </button>
      <button
        class="btn icon"
        type="button"
        title="Save this tape as a record"
        aria-label="Save as a record"
        :disabled="!turns"
        @click="emit('save')"
      >
        <IconSave />
      </button>
      <button
        class="btn icon"
        type="button"
        title="Open a record"
        aria-label="Open a record"
        @click="picker?.choose()"
      >
        <IconOpen />
      </button>
      <FilePicker ref="picker" label="Record to open" accept=".json" @take="([file]) => emit('open', file)" />
    </div>
    <ul v-if="kept.length" class="list" aria-label="Kept tapes">
      <li v-for="(tape, i) in kept" :key="i" class="row">
        <button class="plain" type="button" @click="emit('take', tape)">{{ tape.name }}</button>
        <span class="soft">{{ tape.level }}, {{ tape.chips.length }}</span>
        <button
          class="icon-btn"
          type="button"
          :aria-label="`Forget ${tape.name}`"
          @click="emit('forget', tape)"
        >
          <IconRemove />
        </button>
      </li>
    </ul>
    <h3>
      Checks <span class="soft" role="status">{{ summary }}</span>
    </h3>
    <p v-if="!checks.length" class="soft">
      A game that went right can be kept: it is played again after every change of the rules, and tells when
      something comes out another way.
    </p>
    <ul v-else class="list" aria-label="Checks">
      <li v-for="check in checks" :key="check.id" :class="stateOf(check)">
        <div class="row">
          <span class="state">{{ { waits: '…', holds: '✓ holds', fails: '✗ fails' }[stateOf(check)] }}</span>
          <button
            class="plain"
            type="button"
            :aria-expanded="unfolded === check.id"
            @click="unfolded = unfolded === check.id ? null : check.id"
          >
            {{ check.name }}
          </button>
          <button
            class="btn small"
            type="button"
            :aria-label="`Show ${check.name} on the tape`"
            @click="emit('show', check, checked.get(check.id)?.turn || Infinity)"
          >
            Show
          </button>
        </div>
        <template v-if="stateOf(check) === 'fails'">
          <p v-if="checked.get(check.id)!.problem" class="wrong">
            {{ checked.get(check.id)!.problem!.message }}
          </p>
          <table v-else>
            <thead>
              <tr>
                <th scope="col"><span class="hidden-text">what</span></th>
                <th scope="col">expected</th>
                <th scope="col">now</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in checked.get(check.id)!.wrong" :key="one.key">
                <th scope="row">{{ one.key }}</th>
                <td>{{ text(one.expected) }}</td>
                <td>{{ text(one.actual) }}</td>
              </tr>
            </tbody>
          </table>
          <button
            v-if="!checked.get(check.id)!.problem"
            class="btn small"
            type="button"
            @click="emit('accept', check)"
          >
            Expect it as it is now
          </button>
        </template>
        <div v-if="unfolded === check.id" class="edit">
          <label
            >name
            <input
              :value="check.name"
              maxlength="120"
              @change="emit('nameCheck', check, ($event.target as HTMLInputElement).value)"
          /></label>
          <label v-for="key in EDITED" :key="key"
            >{{ key }}
            <input :value="check.expect[key] ?? ''" @change="expectation(check, key, $event)" />
          </label>
          <button class="btn small" type="button" @click="emit('drop', check)"><IconRemove />Remove</button>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.kept {
  display: grid;
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
.state {
  font-size: 13px;
  font-weight: 700;
  white-space: nowrap;
}
.holds .state {
  color: var(--lagoon-deep);
}
.fails {
  background: var(--brick-pale);
}
.fails .state,
.wrong {
  color: var(--brick);
}
.small {
  height: 28px;
  padding: 0 10px;
  font-size: 13px;
}
table {
  width: 100%;
  margin: 6px 0;
  border-collapse: collapse;
  font-size: 13px;
}
th,
td {
  padding: 2px 4px;
  text-align: left;
  vertical-align: top;
  overflow-wrap: anywhere;
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
.edit input {
  min-width: 0;
  height: 28px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: inherit;
  font: inherit;
}
</style>
