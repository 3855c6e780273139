<script setup lang="ts">
import { ElButton } from 'element-plus'
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { storageProblem } from '../../store/db.ts'
import { fault, isPartLost, partLost, SERVER_GONE, noteFault } from '../../store/faults.ts'

/**
 * Says that a part of the app could not be loaded, or that it failed; loads the page again as soon as the server
 * answers.
 */
useEventListener(window, 'vite:preloadError', partLost)
useEventListener(window, 'error', ({ error }) => noteFault(error))
useEventListener(window, 'unhandledrejection', ({ reason }) => noteFault(reason))
const isSilent = ref(false)
const words = computed(() => {
  if (isSilent.value) return SERVER_GONE
  return isPartLost.value
    ? 'A part of Lucky Twin could not be loaded. If its server has stopped, start it again with npm start.'
    : `Lucky Twin made a mistake, and may not go on as it should: ${fault.value}.`
})
async function loadAgain(): Promise<void> {
  try {
    await fetch('/healthz')
    location.reload()
  } catch {
    isSilent.value = true
  }
}
</script>

<template>
  <div v-if="isPartLost || fault" class="fault" role="alert">
    <p>
      {{ words }}
      {{
        storageProblem
          ? 'What you made here ends when the page is loaded again: save it as a file first.'
          : 'Your games are kept.'
      }}
    </p>
    <ElButton class="btn" @click="loadAgain">Load again</ElButton>
  </div>
</template>

<style scoped>
.fault {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  padding: 8px 20px;
  background: var(--brick-pale);
  color: var(--brick);
  font-weight: 600;
}
</style>
