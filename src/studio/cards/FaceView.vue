<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import type { Face } from '../../core/game/game.ts'
import { CARD_RATIO, type CardShape } from '../../core/game/settings.ts'
import { faceElement } from '../../player/face.ts'
import '../../player/player.css'
import { pictureUrl } from './pictures.ts'

/** A card's front as players have it: drawn by the player's own function. Its size comes from the element around it. */
const props = withDefaults(defineProps<{ face: Face; shape?: CardShape }>(), { shape: 'portrait' })
const box = ref<HTMLElement>()
const draw = (): void =>
  box.value?.replaceChildren(faceElement(props.face, pictureUrl, CARD_RATIO[props.shape], 'async'))
onMounted(draw)
watch(() => [props.face, props.shape], draw)
</script>

<template>
  <span ref="box" class="face-view" aria-hidden="true" />
</template>

<style scoped>
.face-view {
  position: relative;
  display: block;
  width: 100%;
  height: 100%;
  border-radius: inherit;
}
</style>
