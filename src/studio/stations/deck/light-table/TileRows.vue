<script setup lang="ts">
import { ref } from 'vue'
import type { Pair } from '../../../../core/deck/pair.ts'
import { vPairPicture } from './pair-picture.ts'
import { tileName } from './tile-name.ts'
import { useTileDrag, type DropPlace } from './useTileDrag.ts'

/**
 * Some rows of tiles: a layer of its own, so that it is not painted again while it scrolls. A tile is a pair as two
 * cards that lean on each other. There are hundreds, so a tile is one element with a background and a bare text, and no
 * component: each extra element, clip or layer is painted anew as the table scrolls, and everything kept for it is
 * visited when memory is cleaned up.
 */
const props = defineProps<{
  pairs: readonly Pair[]
  perRow: number
  /** the rows it has room for; its tiles may come later */
  rows: number
  fixed: boolean
  chosen: ReadonlySet<string>
  alike: ReadonlySet<string>
  /** the one that the Tab key reaches, by id */
  reached: string | null | undefined
}>()
const emit = defineEmits<{ over: [place: DropPlace]; end: [id: string | null] }>()

const table = ref<HTMLElement>()
useTileDrag(
  table,
  () => props.fixed,
  (place) => emit('over', place),
  (id) => emit('end', id),
)

/** A name that does not fit is shown in full elsewhere. */
const whole = ({ name }: Pair): string | undefined => (tileName(name) === name ? undefined : name)
</script>

<template>
  <div ref="table" class="rows" role="presentation" :style="{ '--per-row': perRow, '--rows': rows }">
    <div
      v-for="pair in pairs"
      :key="pair.id"
      v-memo="[pair, chosen.has(pair.id), alike.has(pair.id), pair.id === reached]"
      v-pair-picture="pair"
      class="tile"
      :class="{ chosen: chosen.has(pair.id), alike: alike.has(pair.id) }"
      role="option"
      :data-pair="pair.id"
      :data-tip="whole(pair)"
      :aria-label="whole(pair)"
      :aria-selected="chosen.has(pair.id)"
      :tabindex="pair.id === reached ? 0 : -1"
    >
      {{ tileName(pair.name) }}
    </div>
  </div>
</template>

<style scoped>
.rows {
  display: grid;
  grid-template-columns: repeat(var(--per-row), minmax(0, 1fr));
  grid-template-rows: repeat(var(--rows), 130px);
  grid-auto-rows: 130px;
  gap: 10px;
  contain: content;
  will-change: transform;
}
.tile {
  padding: 102px 10px 0;
  border: 2px solid transparent;
  border-radius: var(--round-card);
  background: no-repeat 50% 6px / 140px 92px;
  font: 600 14px/1.3 var(--body);
  text-align: center;
  white-space: nowrap;
  cursor: pointer;
}
.tile:hover {
  background-color: #ffffffb0;
}
.tile.chosen {
  border-color: var(--lagoon);
  background-color: var(--lagoon-pale);
}
.tile:focus-visible {
  outline-offset: -2px;
}
.tile.alike::after {
  content: 'alike';
  display: block;
  width: max-content;
  /* drawn up by its margin: with a position of its own it would be a layer */
  margin: -120px -8px 0 auto;
  padding: 0 7px;
  border-radius: 8px;
  background: var(--apricot-pale);
  color: #7c3214;
  font-size: 12px;
  line-height: 1.6;
}
</style>
