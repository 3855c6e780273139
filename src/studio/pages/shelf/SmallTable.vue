<script setup lang="ts">
import { computed } from 'vue'
import { cellName } from '../../../core/board/cells.ts'
import type { Face } from '../../../core/deck/pair.ts'
import { backOf } from '../../../core/game/backs.ts'
import type { Game } from '../../../core/game/game.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import BackView from '../../parts/cards/BackView.vue'
import FaceView from '../../parts/cards/FaceView.vue'

/**
 * The first level's table, small: its cards face down, except a card of this pair, its twin, and one of the next pair.
 * Decoration only.
 */
const props = defineProps<{ game: Game; pair: number }>()
const settings = computed(() => resolveLevel(props.game, props.game.levels[0]))
const ratio = computed(() => settings.value.layout.ratio)

const cells = computed((): ({ face: Face | null; name: string } | null)[] => {
  const { rows, columns, gaps } = settings.value.board
  const [first, second] = props.game.deck.pairs.slice(props.pair)
  // a pair in two corners of the board's middle, and one card more beside it
  const middle = Math.floor((rows - 1) / 2) * columns
  const states = new Map([
    [middle + 1, { face: first!.a, name: first!.name }],
    [middle + columns + columns - 2, { face: first!.b ?? first!.a, name: first!.name }],
    [middle + columns, { face: second!.a, name: second!.name }],
  ])
  return Array.from({ length: rows * columns }, (_, i) =>
    gaps.includes(cellName(i, columns)) ? null : (states.get(i) ?? { face: null, name: '' }),
  )
})
</script>

<template>
  <div class="small-table" aria-hidden="true" :style="{ background: settings.look.table }">
    <div
      class="board"
      :style="{
        gridTemplateColumns: `repeat(${settings.board.columns}, 1fr)`,
        aspectRatio: (settings.board.columns * ratio) / settings.board.rows,
      }"
    >
      <template v-for="(cell, i) in cells" :key="i">
        <span v-if="cell" class="card">
          <FaceView v-if="cell.face" :face="cell.face" :name="cell.name" :ratio="ratio" />
          <BackView v-else :back="backOf(game, settings)" />
        </span>
        <span v-else />
      </template>
    </div>
  </div>
</template>

<style scoped>
.small-table {
  display: grid;
  place-items: center;
  height: 176px;
  padding: 14px;
}
.board {
  display: grid;
  gap: 5px;
  height: 100%;
  max-width: 100%;
}
.card {
  overflow: hidden;
  border-radius: 5px;
  background: var(--card);
}
</style>
