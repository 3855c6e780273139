<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Face } from '../../core/game/game.ts'
import { facePicture, SMALL } from './face-picture.ts'

/** A face in a list, or with `filling` on a small card, for the eye only: a picture that is drawn once, where FaceView would draw the card itself each time. */
const props = defineProps<{ face: Face; filling?: boolean }>()
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
    :class="{ filling }"
    :style="{ '--small': `${SMALL}px`, backgroundImage: picture && `url(${picture})` }"
    aria-hidden="true"
  />
</template>

<style scoped>
/* where it fills a card, the card's own paper goes on around it */
.small-face {
  display: block;
  width: var(--small);
  height: var(--small);
  border-radius: 5px;
  background-size: cover;
}
.filling {
  width: 100%;
  height: 100%;
  border-radius: inherit;
  background-position: center;
  background-repeat: no-repeat;
  background-size: contain;
}
</style>
