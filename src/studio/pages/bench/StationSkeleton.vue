<script setup lang="ts">
import { ElSkeleton } from 'element-plus'
</script>

<template>
  <div class="waiting" role="status" aria-label="Opening">
    <ElSkeleton animated :rows="8" />
  </div>
</template>

<style scoped>
.waiting {
  max-width: 900px;
  padding: 40px;
}
</style>
