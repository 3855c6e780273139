<script setup lang="ts">
import { ElButton } from 'element-plus'
import { BEGINNINGS } from '../../../core/game/beginnings.ts'
import type { Game } from '../../../core/game/game.ts'
import SmallTable from './SmallTable.vue'

/** Whole games to start from, each shown as its table; one press puts it on the shelf and opens it for play. */
defineEmits<{ make: [game: Game] }>()
const ways = BEGINNINGS.map((way) => ({ ...way, game: way.make() }))
</script>

<template>
  <section class="ways" aria-labelledby="ways">
    <h2 id="ways">Ways to begin</h2>
    <p class="soft">Complete games: play one right away, then change what you like.</p>
    <div class="all">
      <div v-for="(way, i) in ways" :key="way.title" class="way panel">
        <SmallTable :game="way.game" :pair="3 * i" />
        <div class="words">
          <h3>{{ way.title }}</h3>
          <p class="soft">{{ way.words }}</p>
          <ElButton class="btn" :aria-label="`Begin with ${way.title}`" @click="$emit('make', way.make())">
            Begin with it
          </ElButton>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ways {
  margin-top: 36px;
}
h2 {
  font-size: 21px;
}
.all {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 24px;
  margin-top: 14px;
}
.way {
  display: flex;
  flex-direction: column;
  overflow: hidden;
  box-shadow: var(--shadow);
}
.words {
  display: flex;
  flex: 1;
  flex-direction: column;
  align-items: start;
  gap: 4px;
  padding: 12px 16px 16px;
}
.btn {
  margin-top: auto;
}
</style>
