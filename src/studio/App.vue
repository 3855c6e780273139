<script setup lang="ts">
import { ElConfigProvider } from 'element-plus'
import { RouterView } from 'vue-router'
import { storageProblem } from './store/db.ts'
import { ELEMENT_WORDS } from './parts/look/element-words.ts'
import FaultBar from './parts/look/FaultBar.vue'
import { refuseStrayFiles } from './parts/files/stray-files.ts'
import TipHost from './parts/look/TipHost.vue'
import { showToasts } from './parts/toast/showToasts.ts'

showToasts()
refuseStrayFiles()
</script>

<template>
  <p v-if="storageProblem" class="storage" role="alert">{{ storageProblem }}</p>
  <FaultBar />
  <ElConfigProvider :locale="ELEMENT_WORDS">
    <RouterView />
    <TipHost />
  </ElConfigProvider>
</template>

<style scoped>
.storage {
  padding: 8px 20px;
  background: var(--brick-pale);
  color: var(--brick);
  font-weight: 600;
}
</style>
