<script setup lang="ts">
import InTurn from '../../parts/timing/InTurn.vue'
import type { Game } from '../../../core/game/game.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import BoardMini from '../../parts/cards/BoardMini.vue'

/** What to add to a shipped page's address to open a level. */
defineProps<{ game: Game }>()
</script>

<template>
  <div>
    <p class="soft">
      Add <code>?level=ID</code> to the page's address, and <code>&amp;seed=TEXT</code> for one particular
      deal.
    </p>
    <ul>
      <li v-for="level in game.levels" :key="level.id">
        <InTurn><BoardMini :board="resolveLevel(game, level).board" :cell="4" /></InTurn>
        <strong>{{ level.name }}</strong>
        <code>?level={{ level.id }}</code>
      </li>
    </ul>
  </div>
</template>

<style scoped>
code {
  padding: 1px 5px;
  border-radius: 4px;
  background: var(--sand);
  font-size: 14px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(290px, 1fr));
  gap: 8px;
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 48px 1fr;
  align-items: center;
  gap: 0 10px;
  padding: 8px 12px;
  border-radius: var(--round-card);
  background: var(--paper);
}
li :deep(.mini) {
  grid-row: span 2;
  justify-self: center;
  color: #b9ad95;
}
li code {
  padding: 0;
  overflow-wrap: anywhere;
  background: none;
}
</style>
