<script setup lang="ts">
import { ElButton } from 'element-plus'
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { storageProblem } from '../../store/db.ts'
import { isPartLost, partLost, SERVER_GONE } from '../../store/lost-parts.ts'

/** Says that a part of the app could not be loaded, and loads the page again as soon as the server answers. */
useEventListener(window, 'vite:preloadError', partLost)
const isSilent = ref(false)
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
  <div v-if="isPartLost" class="lost" role="alert">
    <p>
      {{
        isSilent
          ? SERVER_GONE
          : 'A part of Lucky Twin could not be loaded. If its server has stopped, start it again with npm start.'
      }}
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
.lost {
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
