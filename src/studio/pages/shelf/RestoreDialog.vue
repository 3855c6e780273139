<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { problemLine } from '../../../core/result.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { difference } from '../../store/difference.ts'
import type { RestoredGame } from '../../store/db.ts'
import { whyNotKept } from '../../store/saving.ts'
import { DAYS_IN_BIN, isTooOld, useShelf } from '../../store/shelf.ts'
import { Cancelled } from '../../workers/jobs/job.ts'
import type { Backup } from '../../../core/files/backup-file.ts'
import { takeSettings } from './backups.ts'

/** What a backup would add or replace, to check and choose before anything is done. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ backup: Backup }>()
const emit = defineEmits<{ done: [count: number] }>()
const shelf = useShelf()

type RestoreChoice = 'leave' | 'add' | 'replace'
const rows = computed(() =>
  props.backup.games.map((row, at) => {
    const there = [...shelf.boxes, ...shelf.bin].find(({ key }) => key === row.key)
    const { game } = row
    if (!game.ok) return { ...row, at, there, state: 'broken' as const, note: problemLine(game.problem) }
    if (!there) return { ...row, at, there, state: 'new' as const, note: newNote(row.removed) }
    if (!difference(there.game, game.value).length)
      return { ...row, at, there, state: 'same' as const, note: 'the same as here' }
    const when = new Date(there.touched).toLocaleString()
    return { ...row, at, there, state: 'other' as const, note: `here it was changed last on ${when}` }
  }),
)
const newNote = (removed?: number): string =>
  !removed
    ? 'new'
    : isTooOld(removed)
      ? `new; it was in the bin for more than ${DAYS_IN_BIN} days, and comes back to the shelf`
      : 'new, in the bin'
const choices = ref<RestoreChoice[]>([])
watch(
  () => props.backup,
  () =>
    (choices.value = rows.value.map(({ state }) =>
      state === 'new' ? 'add' : state === 'other' ? 'replace' : 'leave',
    )),
  { immediate: true },
)
const WAYS: Record<'new' | 'same' | 'other', [RestoreChoice, string][]> = {
  new: [
    ['add', 'add it'],
    ['leave', 'leave it out'],
  ],
  same: [
    ['leave', 'leave it as it is'],
    ['add', 'add it as a copy'],
  ],
  other: [
    ['replace', 'replace the one here'],
    ['add', 'add it beside that'],
    ['leave', 'leave it out'],
  ],
}
const count = computed(() => choices.value.filter((how) => how !== 'leave').length)
const problem = ref('')
/** how much is done, 0 to 1; null if nothing is being restored */
const share = ref<number | null>(null)
const STEP = 0.05
let stop = new AbortController()
function cancel(): void {
  if (share.value === null) open.value = false
  else stop.abort(new Cancelled())
}
watch(open, (isOpen) => isOpen || stop.abort(new Cancelled()))
onBeforeUnmount(() => stop.abort(new Cancelled()))

/** Each step draws the whole list anew, so there are few. */
function tell(done: number): void {
  if (done - share.value! >= STEP) share.value = done
}

async function restore(): Promise<void> {
  stop = new AbortController()
  share.value = 0
  problem.value = ''
  const games = rows.value.flatMap(({ at, key, touched, removed, game }): RestoredGame[] => {
    const how = choices.value[at]!
    if (how === 'leave' || !game.ok) return []
    return [{ key, touched, ...(removed ? { removed } : {}), game: game.value, how }]
  })
  try {
    await shelf.restore(games, tell, stop.signal)
    takeSettings(props.backup.settings)
    open.value = false
    emit('done', games.length)
  } catch (error) {
    if (!(error instanceof Cancelled))
      problem.value = `Nothing is restored: the browser refused (${whyNotKept(error as Error)})`
  }
  share.value = null
}
</script>

<template>
  <ModalDialog v-model="open" title="Restore a backup" :width="760">
    <p class="soft">
      Made on {{ new Date(backup.made).toLocaleString() }}. A game that is replaced goes into the bin, so
      nothing is lost.
    </p>
    <ul class="list" aria-label="Games in the backup">
      <li v-for="row in rows" :key="row.at" :class="row.state">
        <strong>{{ row.name }}</strong>
        <span :class="row.state === 'broken' ? 'bad' : 'soft'">{{ row.note }}</span>
        <ChoiceWord
          v-if="row.state !== 'broken'"
          v-model="choices[row.at]!"
          :label="`What happens to ${row.name}`"
          :choices="WAYS[row.state]"
        />
        <span v-else class="bad">cannot be read</span>
      </li>
    </ul>
    <p v-if="backup.leftOut.length" class="soft">
      Settings of the studio that cannot be read are left out: {{ backup.leftOut.join(', ') }}.
    </p>
    <ElProgress
      v-if="share !== null"
      :percentage="100 * share"
      :show-text="false"
      aria-label="Restoring games"
    />
    <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
    <template #buttons>
      <ElButton class="btn" @click="cancel">Cancel</ElButton>
      <ElButton class="btn main" :disabled="share !== null || count === 0" @click="restore">
        {{ count === 0 ? 'Nothing to restore' : `Restore ${countWords(count, 'game')}` }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.list {
  display: grid;
  gap: 6px;
  max-height: 50vh;
  margin: 12px 0 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr) auto;
  align-items: center;
  gap: 14px;
  padding: 8px 14px;
  border-radius: var(--round-card);
  background: var(--paper);
}
strong {
  overflow: hidden;
  text-overflow: ellipsis;
}
.bad {
  color: var(--brick);
  overflow-wrap: anywhere;
}
</style>
