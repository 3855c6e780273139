<script setup lang="ts">
import { RouterLink } from 'vue-router'
</script>

<template>
  <main class="nowhere">
    <h1>There is nothing here</h1>
    <p class="soft">The game you are looking for may have been removed, or it is kept in another browser.</p>
    <RouterLink class="btn main" to="/">To the shelf</RouterLink>
  </main>
</template>

<style scoped>
.nowhere {
  display: grid;
  gap: 16px;
  place-content: center;
  justify-items: center;
  min-height: 80vh;
  padding: 24px;
  text-align: center;
}
</style>
