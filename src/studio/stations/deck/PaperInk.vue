<script setup lang="ts">
import { ElColorPicker } from 'element-plus'
import { FACE_INK, FACE_PAPER } from '../../../core/deck/face.ts'

/**
 * The two colours of a face; `inked` is false if its ink shows nowhere. `of` is added to the names: "Paper of all of
 * them".
 */
defineProps<{ paper?: string; ink?: string; inked?: boolean; of?: string }>()
defineEmits<{ paper: [colour: string | null]; ink: [colour: string | null] }>()
</script>

<template>
  <span class="colours">
    <ElColorPicker
      :persistent="false"
      append-to="#over"
      :model-value="paper ?? FACE_PAPER"
      color-format="hex"
      :aria-label="`Paper${of ?? ''}`"
      @change="$emit('paper', $event)"
    />
    <ElColorPicker
      :persistent="false"
      append-to="#over"
      :model-value="ink ?? FACE_INK"
      color-format="hex"
      :aria-label="`Ink${of ?? ''}`"
      :disabled="!inked"
      @change="$emit('ink', $event)"
    />
  </span>
</template>

<style scoped>
.colours {
  display: flex;
  gap: 8px;
}
</style>
