<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Face } from '../../../core/deck/pair.ts'
import { facePicture, SMALL } from '../../workers/painting/face-picture.ts'

/**
 * A face in a list, decoration only: a picture that is drawn once, where FaceView would draw the card itself each time.
 */
const props = defineProps<{ face: Face }>()
const picture = ref('')
watch(
  () => props.face,
  async (face) => {
    const drawn = await facePicture(face)
    if (face === props.face) picture.value = drawn
  },
  { immediate: true },
)
</script>

<template>
  <span
    class="small-face"
    :style="{ width: `${SMALL}px`, height: `${SMALL}px`, backgroundImage: picture && `url(${picture})` }"
    aria-hidden="true"
  />
</template>

<style scoped>
.small-face {
  display: block;
  border-radius: 5px;
  background-size: cover;
}
</style>
