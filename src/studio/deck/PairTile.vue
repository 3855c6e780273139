<script setup lang="ts">
import type { Pair } from '../../core/game/game.ts'
import FaceView from '../cards/FaceView.vue'

/** A pair as two cards that lean on each other; an identical one shows its twin as a turned-away shadow. */
defineProps<{ pair: Pair; chosen: boolean; alike: boolean; reached: boolean }>()
defineEmits<{ choose: [event: MouseEvent] }>()
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
      <span class="cards" :class="{ related: pair.b }">
        <span class="card twin" :class="{ away: !pair.b }"><FaceView :face="pair.b ?? pair.a" /></span>
        <span class="card"><FaceView :face="pair.a" /></span>
      </span>
      <span class="name">{{ pair.name }}</span>
      <span v-if="alike" class="alike">alike</span>
    </button>
  </li>
</template>

<style scoped>
li {
  contain: strict;
}
.tile {
  position: relative;
  display: grid;
  justify-items: center;
  gap: 8px;
  width: 100%;
  padding: 12px 8px 8px;
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
  position: relative;
  width: 112px;
  height: 80px;
}
.card {
  position: absolute;
  top: 0;
  left: 0;
  width: 66px;
  height: 79px;
  border-radius: 8px;
  background: var(--card);
  box-shadow: 0 0 0 1px #d5cab4;
  transform: rotate(-4deg);
}
.related {
  width: 130px;
}
.card.twin {
  left: 47px;
  transform: rotate(5deg);
}
.related .twin {
  left: 64px;
}
.away :deep(.lt-face) {
  opacity: 0.3;
}
.away {
  background: #efeae0;
}
.name {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
