<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import type { Pair } from '../../core/game/game.ts'
import { pairPicture } from './pair-picture.ts'

/** A pair as two cards that lean on each other; an identical one shows its twin as a turned-away shadow. */
const props = defineProps<{ pair: Pair; chosen: boolean; alike: boolean; reached: boolean }>()
defineEmits<{ choose: [event: MouseEvent] }>()
const cards = ref<HTMLElement>()
const draw = (): void => cards.value?.replaceChildren(pairPicture(props.pair))
onMounted(draw)
watch(() => [props.pair.a, props.pair.b], draw)
</script>

<template>
  <li :data-pair="pair.id">
    <button
      class="tile"
      :class="{ chosen }"
      type="button"
      :aria-pressed="chosen"
      :tabindex="reached ? 0 : -1"
      @click="$emit('choose', $event)"
    >
      <span ref="cards" class="cards" />
      <span class="name">{{ pair.name }}</span>
      <span v-if="alike" class="alike">alike</span>
    </button>
  </li>
</template>

<style scoped>
.tile {
  position: relative;
  display: grid;
  justify-items: center;
  gap: 2px;
  width: 100%;
  height: 100%;
  align-content: start;
  padding: 6px 8px 8px;
  border: 2px solid transparent;
  border-radius: var(--round-card);
  background: none;
  color: inherit;
  font: 600 14px/1.3 var(--body);
  cursor: pointer;
}
.tile:hover {
  background: #ffffffb0;
}
.tile.chosen {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
}
.tile:focus-visible {
  outline-offset: -2px;
}
.alike {
  position: absolute;
  top: 2px;
  right: 4px;
  padding: 0 7px;
  border-radius: 8px;
  background: var(--apricot-pale);
  color: #7c3214;
  font-size: 12px;
  line-height: 1.6;
}
.cards {
  height: 92px;
}
.cards :deep(img) {
  display: block;
  width: 140px;
  height: 92px;
}
.name {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
