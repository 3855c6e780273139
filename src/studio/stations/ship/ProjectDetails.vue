<script setup lang="ts">
import FilesList from './FilesList.vue'

/** What a project to go on with is, and what is in it. */
defineProps<{ files: Record<string, Uint8Array> | null }>()
</script>

<template>
  <div class="project">
    <p>
      A small TypeScript project to take apart: the rules as readable source, a table in plain DOM that is
      yours to change, this game with its pictures, and its kept checks as tests. With Node 20.19 or newer:
    </p>
    <pre tabindex="0" aria-label="Lines to begin with">
npm install
npm start
npm test</pre>
    <template v-if="files">
      <h3>Contains</h3>
      <FilesList :files="files" />
    </template>
  </div>
</template>

<style scoped src="./code.css"></style>
<style scoped>
.project {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  width: 100%;
}
</style>
