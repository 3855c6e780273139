<script setup lang="ts">
import { ElButton, ElEmpty } from 'element-plus'
import IconBin from '~icons/ph/trash'
import { ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import type { StoredGame } from '../../store/db.ts'
import { DAYS_IN_BIN, useShelf } from '../../store/shelf.ts'

/** Removed games: restored, or deleted for good, which asks first. */
const open = defineModel<boolean>({ required: true })
const shelf = useShelf()
/** the game about to be deleted for good */
const doomed = ref<readonly StoredGame[]>([])

const DAY = 24 * 60 * 60 * 1000
function daysLeft({ removed }: StoredGame): string {
  const days = Math.max(1, Math.ceil((removed! + DAYS_IN_BIN * DAY - Date.now()) / DAY))
  return `${countWords(days, 'day')} left`
}
async function forget(): Promise<void> {
  const all = doomed.value
  doomed.value = []
  await shelf.forget(all)
}
</script>

<template>
  <ModalDialog v-model="open" title="The bin" :width="620">
    <p class="soft">Removed games stay here for {{ DAYS_IN_BIN }} days, with their undo steps.</p>
    <ul v-if="shelf.bin.length" class="list">
      <li v-for="box in shelf.bin" :key="box.key">
        <strong>{{ box.game.title }}</strong>
        <span class="soft">{{ daysLeft(box) }}</span>
        <ElButton class="btn" :aria-label="`Restore ${box.game.title}`" @click="shelf.takeBack(box)">
          Restore
        </ElButton>
        <ElButton
          class="icon-btn"
          :aria-label="`Delete ${box.game.title} for good`"
          data-tip="Delete for good"
          @click="doomed = [box]"
          ><IconBin
        /></ElButton>
      </li>
    </ul>
    <ElEmpty v-else description="The bin is empty.">
      <template #image><IconBin aria-hidden="true" /></template>
    </ElEmpty>
    <p v-if="doomed.length" class="ask" role="alert">
      <span
        >{{ doomed.length === 1 ? `"${doomed[0]!.game.title}"` : `All ${doomed.length} games` }} cannot be
        restored after this.</span
      >
      <ElButton class="btn" @click="doomed = []">Keep</ElButton>
      <ElButton class="btn danger" @click="forget">Delete for good</ElButton>
    </p>
    <template #buttons>
      <ElButton class="btn" :disabled="!shelf.bin.length" @click="doomed = shelf.bin">Empty the bin</ElButton>
      <ElButton class="btn main" @click="open = false">Done</ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.list {
  display: grid;
  gap: 6px;
  max-height: 46vh;
  margin: 12px 0 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  align-items: center;
  gap: 12px;
  padding: 8px 8px 8px 14px;
  border-radius: var(--round-card);
  background: var(--paper);
}
strong {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.ask {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 12px;
  padding: 8px 8px 8px 14px;
  border-radius: var(--round-card);
  background: var(--brick-pale);
}
.ask span {
  flex: 1;
}
</style>
