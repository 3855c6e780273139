<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Face } from '../../../core/deck/pair.ts'
import { DEFAULTS } from '../../../core/settings/settings.ts'
import { faceElement } from '../../../player/face.ts'
import '../../../player/player.css'
import { drawnFace, giveUp, soundness } from '../../store/sound-images.ts'
import { drawnInTime } from '../../workers/painting/drawn-in-time.ts'
import { pictureUrl } from '../../store/pictures.ts'

/**
 * A card's front as players have it: drawn by the player's own function. Its size comes from the element around it. An
 * own image that cannot be drawn gives way to a sign with its name.
 */
const props = withDefaults(defineProps<{ face: Face; ratio?: number; name?: string }>(), {
  ratio: DEFAULTS.layout.ratio,
  name: '',
})
const box = ref<HTMLElement>()
let stopWaiting = (): void => undefined

function draw(): void {
  stopWaiting()
  const picture = drawnFace(props.face, props.name)
  const element = faceElement(picture, pictureUrl, props.ratio, 'async')
  box.value?.replaceChildren(element)
  const image = element.querySelector('img')
  if (picture.kind === 'image' && image) stopWaiting = drawnInTime(image, () => giveUp(picture.src))
}
onMounted(draw)
onBeforeUnmount(() => stopWaiting())
watch(() => [props.face, props.ratio, props.face.kind === 'image' && soundness.value], draw)
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
