<script setup lang="ts">
import { computed } from 'vue'
import type { Back } from '../../../core/settings/back.ts'
import { backBackground } from '../../../core/deck/back-look.ts'
import { drawnBack, soundness } from '../../store/sound-images.ts'
import { pictureUrl } from '../../store/pictures.ts'

/** A card's back; its size comes from the element around it. */
const props = defineProps<{ back: Back }>()
const style = computed(() => ({
  background: (soundness.value, backBackground(drawnBack(props.back), pictureUrl)),
  borderColor: props.back.paper,
}))
</script>

<template>
  <span class="back-view" :style="style" aria-hidden="true" />
</template>

<style scoped>
.back-view {
  display: block;
  width: 100%;
  height: 100%;
  border: 3px solid;
  border-radius: inherit;
  box-shadow: 0 0 0 1px #23243f1f;
}
</style>
