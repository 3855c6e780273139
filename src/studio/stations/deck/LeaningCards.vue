<script setup lang="ts">
import type { Pair } from '../../../core/deck/pair.ts'
import { faceWords } from '../../../core/deck/face.ts'
import FaceView from '../../parts/cards/FaceView.vue'

/** A pair as two large cards that lean on each other; for a related one, a press chooses the side to edit. */
defineProps<{ pair: Pair }>()
const side = defineModel<'a' | 'b'>('side', { required: true })
</script>

<template>
  <div class="cards">
    <button
      class="card"
      :class="{ on: side === 'a' && pair.b }"
      type="button"
      :aria-label="`First face: ${faceWords(pair.a, pair.name)}`"
      @click="side = 'a'"
    >
      <FaceView :face="pair.a" :name="pair.name" />
    </button>
    <button
      v-if="pair.b"
      class="card"
      :class="{ on: side === 'b' }"
      type="button"
      :aria-label="`Second face: ${faceWords(pair.b, pair.name)}`"
      @click="side = 'b'"
    >
      <FaceView :face="pair.b" :name="pair.name" />
    </button>
    <span v-else class="card twin"><FaceView :face="pair.a" :name="pair.name" /></span>
  </div>
</template>

<style scoped>
.cards {
  position: relative;
  height: 160px;
  margin: 14px 0 18px;
}
.card {
  position: absolute;
  top: 4px;
  left: 4px;
  z-index: 1;
  width: 122px;
  height: 145px;
  padding: 0;
  border: 0;
  border-radius: 10px;
  background: var(--card);
  box-shadow:
    0 0 0 1px #ddd3c0,
    0 4px 12px #23243f26;
  transform: rotate(-3.5deg);
  cursor: pointer;
}
.card + .card {
  left: 132px;
  z-index: 0;
  transform: rotate(4deg);
}
.card.on {
  box-shadow:
    0 0 0 3px var(--lagoon),
    0 4px 12px #23243f26;
}
span.card.twin {
  left: 100px;
  background: #efeae0;
  cursor: default;
}
.twin :deep(.lt-face) {
  filter: saturate(0.25);
  opacity: 0.4;
}
</style>
