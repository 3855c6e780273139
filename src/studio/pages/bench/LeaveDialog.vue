<script setup lang="ts">
import { ElButton } from 'element-plus'
import { useEventListener } from '@vueuse/core'
import { ref, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate } from 'vue-router'
import { downloadGame } from '../../parts/files/download.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { useBench } from '../../store/bench.ts'
import { storageProblem } from '../../store/db.ts'
import type { Clash } from '../../store/saving.ts'

/** Asks before a game is left whose last changes the browser did not keep; for a closed tab, the browser asks. */
const bench = useBench()
const open = ref(false)
const ELSEWHERE: Record<Clash, (title: string) => string> = {
  changed: (title) =>
    `Another tab has changed ${title} too, and you have not chosen yet which version stays. If you leave now, the other tab's does.`,
  binned: (title) =>
    `Another tab has put ${title} into the bin. If you leave now, it lies there without your last changes.`,
  deleted: (title) => `Another tab has deleted ${title}. If you leave now, it is lost.`,
}
let answer: (leaves: boolean) => void = () => undefined
async function mayLeave(): Promise<boolean> {
  await bench.flush()
  if (!bench.isUnsaved) return true
  open.value = true
  return new Promise((resolve) => (answer = resolve))
}
function leave(): void {
  answer(true)
  open.value = false
}
watch(open, (isOpen) => isOpen || answer(false))
onBeforeRouteLeave(mayLeave)
onBeforeRouteUpdate((to, from) => to.params.id === from.params.id || mayLeave())
useEventListener(window, 'beforeunload', (event) => {
  if (bench.isUnsaved || (storageProblem.value && bench.past.length)) event.preventDefault()
})
</script>

<template>
  <ModalDialog v-model="open" title="The last changes are not saved" :width="560">
    <p v-if="bench.state === 'clash'">
      {{ ELSEWHERE[bench.clash](bench.game!.title) }}
    </p>
    <p v-else>
      This browser did not save them ({{ bench.failure }}). If you leave {{ bench.game!.title }} now, they are
      lost. Saved to a file, it can be opened on the shelf again.
    </p>
    <template #buttons>
      <ElButton class="btn danger" @click="leave">Leave without them</ElButton>
      <ElButton class="btn" @click="downloadGame(bench.game!)">Save to a file</ElButton>
      <ElButton class="btn main" @click="open = false">Stay</ElButton>
    </template>
  </ModalDialog>
</template>
