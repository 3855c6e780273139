<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { problemLine } from '../../../core/result.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { difference } from '../../store/difference.ts'
import { useShelf } from '../../store/shelf.ts'
import { takeSettings, type Backup } from './backups.ts'

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
    if (!there)
      return { ...row, at, there, state: 'new' as const, note: row.removed ? 'new, in the bin' : 'new' }
    if (!difference(there.game, game.value).length)
      return { ...row, at, there, state: 'same' as const, note: 'the same as here' }
    const when = new Date(there.touched).toLocaleString()
    return { ...row, at, there, state: 'other' as const, note: `here it was changed last on ${when}` }
  }),
)
const chosen = ref<RestoreChoice[]>([])
watch(
  () => props.backup,
  () =>
    (chosen.value = rows.value.map(({ state }) =>
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
const count = computed(() => chosen.value.filter((how) => how !== 'leave').length)
const busy = ref(false)
const problem = ref('')
async function restore(): Promise<void> {
  busy.value = true
  problem.value = ''
  const todo = rows.value.map((row) => ({ row, how: chosen.value[row.at]! }))
  let done = 0
  try {
    for (const { row, how } of todo) {
      if (how === 'leave' || !row.game.ok) continue
      const { key, touched, removed, game } = row
      await shelf.restore({ key, touched, ...(removed ? { removed } : {}), game: game.value }, how)
      done++
    }
    takeSettings(props.backup.settings)
    open.value = false
    emit('done', done)
  } catch (error) {
    problem.value = `${done} of ${count.value} are restored; then the browser refused: ${(error as Error).message}`
  }
  busy.value = false
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
          v-model="chosen[row.at]!"
          :label="`What happens to ${row.name}`"
          :choices="WAYS[row.state]"
        />
        <span v-else class="bad">cannot be read</span>
      </li>
    </ul>
    <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
    <template #buttons>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="busy || count === 0" @click="restore">
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
