<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { readMind, writeMind } from '../../../core/files/mind-file.ts'
import { problemLine } from '../../../core/result.ts'
import { READY_MINDS, type Mind } from '../../../core/settings/mind.ts'
import { newId } from '../../../core/settings/new-id.ts'
import { withoutMind } from '../../../core/settings/seats.ts'
import { BOUNDS, LENGTHS } from '../../../core/settings/bounds.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import TextField from '../../parts/settings/TextField.vue'
import FilePicker from '../../parts/files/FilePicker.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { download } from '../../parts/files/download.ts'
import { useDone } from '../../parts/toast/useDone.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { plain } from '../../workers/jobs/for-worker.ts'
import ExampleGame from './ExampleGame.vue'

/**
 * One mind: what it remembers and how fast it presses, beside its game on eight cards. Standard minds can be viewed and
 * copied; the game's own can be edited.
 */
const props = defineProps<{ mind: Mind | null; minds: readonly Mind[] }>()
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const { say } = useToasts()
const tell = useDone()
const picker = ref<InstanceType<typeof FilePicker>>()

const draft = ref<Mind>(plain(READY_MINDS[2]!))
/** the game's own mind being edited; null for a new one, or a standard one */
const own = computed(() => bench.game!.minds?.find(({ id }) => id === draft.value.id) ?? null)
const isReady = computed(() => READY_MINDS.some(({ id }) => id === draft.value.id))
function begin(mind: Mind | null): void {
  if (mind) draft.value = plain(mind)
  else copy(READY_MINDS[2]!, 'My players')
}
function copy(mind: Mind, name: string): void {
  draft.value = {
    ...plain(mind),
    name,
    id: newId(
      name,
      props.minds.map(({ id }) => id),
      'mind',
    ),
  }
}
watch(open, (is) => is && begin(props.mind), { immediate: true })

const memory = computed(() => draft.value.memory)
const HOLDS: [string, string][] = [
  ['some', 'at most'],
  ['all', 'any number of cards'],
]
const holds = computed({
  get: () => (memory.value.hold === null ? 'all' : 'some'),
  set: (next) => (memory.value.hold = next === 'all' ? null : 7),
})
const LOOKS: [string, string][] = [
  ['yes', 'looks at each card for'],
  ['no', 'does not look'],
]
const looks = computed({
  get: () => (memory.value.glance === 0 ? 'no' : 'yes'),
  set: (next) => (memory.value.glance = next === 'no' ? 0 : 450),
})

function keep(): void {
  const newMind = plain(draft.value)
  const isNew = !own.value
  bench.edit(isNew ? `add the mind "${newMind.name}"` : `edit the mind "${newMind.name}"`, (game) => {
    const minds = game.minds ?? []
    game.minds = isNew ? [...minds, newMind] : minds.map((one) => (one.id === newMind.id ? newMind : one))
  })
  open.value = false
}
function remove(): void {
  const { id, name } = draft.value
  bench.replace(withoutMind(bench.game!, id), `remove the mind "${name}"`)
  open.value = false
  tell(`${name} is removed`)
}
async function openMind([file]: [File, ...File[]]): Promise<void> {
  const mind = readMind(await file.text())
  if (!mind.ok) return say(`${file.name}: ${problemLine(mind.problem)}`, { tone: 'wrong' })
  const taken = props.minds.some(({ id }) => id === mind.value.id)
  if (taken) copy(mind.value, mind.value.name)
  else draft.value = mind.value
}
const save = (): void => download(`${draft.value.id}.mind.json`, writeMind(draft.value), 'application/json')
</script>

<template>
  <ModalDialog
    v-model="open"
    :title="isReady ? draft.name : own ? 'A mind of this game' : 'A new mind'"
    :width="760"
  >
    <fieldset :disabled="isReady">
      <p v-if="!isReady" class="named">
        It is called
        <TextField
          :model-value="draft.name"
          label="Name of the mind"
          :maxlength="LENGTHS.name"
          @change="(name) => name.trim() && (draft.name = name.trim())"
        />
      </p>
      <p v-else class="soft">Every game has this mind, with round figures. Copy it to change them.</p>
      <div :inert="isReady">
        <p>
          It remembers
          <NumberWord v-model="memory.notice" label="Noticed" :bounds="BOUNDS.chance" unit="more" /> of the
          cards of a miss, holds
          <ChoiceWord v-model="holds" label="How many cards it holds" :choices="HOLDS" /><template
            v-if="memory.hold !== null"
          >
            {{ ' ' }}
            <NumberWord v-model="memory.hold" label="Cards held" :bounds="BOUNDS.hold" /> cards</template
          >, and loses
          <NumberWord v-model="memory.fade" label="Lost each turn" :bounds="BOUNDS.chance" unit="more" /> of
          them each turn. It presses a neighbour of the card that it means
          <NumberWord v-model="memory.blur" label="Pressed beside" :bounds="BOUNDS.chance" unit="more" /> of
          the time.
        </p>
        <p>
          At a first look it
          <ChoiceWord v-model="looks" label="What it does at a first look" :choices="LOOKS" /><template
            v-if="memory.glance > 0"
          >
            {{ ' ' }}
            <NumberWord
              v-model="memory.glance"
              label="Look at a card"
              :bounds="[1, BOUNDS.glance[1]]"
              unit="seconds" /></template
          >. It thinks
          <NumberWord
            v-model="draft.pace.first"
            label="Before the first card"
            :bounds="BOUNDS.thought"
            unit="seconds"
          />
          before the first card of a turn and
          <NumberWord
            v-model="draft.pace.second"
            label="Before the second card"
            :bounds="BOUNDS.thought"
            unit="seconds"
          />
          before the second, as a median; the spread is
          <NumberWord v-model="draft.pace.spread" label="Spread" :bounds="BOUNDS.spread" unit="ratio" />.
        </p>
      </div>
    </fieldset>
    <h3>On eight cards</h3>
    <p class="soft">
      Cards with the same letter are twins. Ringed: pressed in this turn. Filled: remembered after it.
    </p>
    <ExampleGame :mind="draft" />
    <template #buttons>
      <ElButton v-if="own" class="btn" @click="remove">Remove it</ElButton>
      <ElButton class="btn" @click="picker?.choose()">From a file…</ElButton>
      <ElButton class="btn" @click="save">Save as a file</ElButton>
      <ElButton v-if="isReady" class="btn main" @click="copy(draft, `${draft.name} copy`)">Copy it</ElButton>
      <ElButton v-else class="btn main" @click="keep">{{
        own ? 'Save changes' : 'Add it to this game'
      }}</ElButton>
    </template>
    <FilePicker ref="picker" label="A mind from a file" accept=".json,application/json" @take="openMind" />
  </ModalDialog>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
p {
  margin: 0 0 8px;
  font-size: 16px;
  line-height: 1.8;
}
.soft {
  font-size: 14px;
  line-height: 1.4;
}
.named {
  display: flex;
  gap: 10px;
  white-space: nowrap;
}
h3 {
  margin: 10px 0 2px;
  font-size: 17px;
}
</style>
