<script setup lang="ts">
import { computed } from 'vue'
import { pairOf } from '../../../core/deck/card.ts'
import { exampleOf } from '../../../core/odds/example.ts'
import { cellName } from '../../../core/board/cells.ts'
import type { Mind } from '../../../core/settings/mind.ts'

/**
 * A mind's game on the same eight cards: each turn as a small board, the pressed cards ringed, the remembered ones
 * filled.
 */
const props = defineProps<{ mind: Mind }>()
const game = computed(() => exampleOf(props.mind))
const LETTERS = 'ABCD'
const HOW = {
  found: 'found',
  lucky: 'found by luck',
  glimpsed: 'found',
  slip: 'missed a card it had seen',
  fresh: 'a miss',
} as const
/** by turn, the cells matched before it */
const turns = computed(() => {
  const matchedCells = new Set<number>()
  return game.value.turns.map((turn) => {
    const before = new Set(matchedCells)
    const isMatch = turn.how !== 'slip' && turn.how !== 'fresh'
    if (isMatch) for (const cell of [turn.first, turn.second]) matchedCells.add(cell)
    const names = [turn.first, turn.second].map((cell) => cellName(cell, game.value.columns)).join(' and ')
    return { ...turn, before, words: `${names}: ${HOW[turn.how]}` }
  })
})
</script>

<template>
  <ol class="example" aria-label="The same eight cards, turn by turn">
    <li v-for="(turn, i) in turns" :key="i">
      <span class="board" aria-hidden="true">
        <i
          v-for="(card, cell) in game.cells"
          :key="cell"
          :class="{
            gone: turn.before.has(cell),
            pressed: cell === turn.first || cell === turn.second,
            held: turn.remembered.includes(cell),
          }"
          >{{ LETTERS[pairOf(card)] }}</i
        >
      </span>
      <span>{{ turn.words }}</span>
    </li>
    <li v-if="!game.complete" class="soft">… and so on</li>
  </ol>
</template>

<style scoped>
.example {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 8px 12px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 13px;
  line-height: 1.25;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 8px;
  align-items: center;
}
.board {
  display: grid;
  grid-template-columns: repeat(4, 16px);
  gap: 2px;
}
.board i {
  display: grid;
  place-items: center;
  height: 18px;
  border-radius: 3px;
  background: var(--sand);
  color: var(--ink-soft);
  font: 600 12px/1 var(--body);
}
.board .held {
  background: var(--lagoon);
  color: #fff;
}
.board .pressed {
  box-shadow: 0 0 0 2px var(--apricot);
}
.board .gone {
  opacity: 0.25;
}
</style>
