<script setup lang="ts">
import { ElColorPicker } from 'element-plus'
import 'element-plus/theme-chalk/el-color-picker.css'
import { computed } from 'vue'
import { PATTERNS } from '../../core/deck/back.ts'
import type { Back } from '../../core/game/game.ts'
import BackView from '../cards/BackView.vue'
import { useBench } from '../store/bench.ts'

/** The back of every card, on one large card. */
const bench = useBench()
const back = computed(() => bench.game!.deck.back)
const TWO_COLOURS: [ink: string, paper: string, name: string][] = [
  ['#d9673c', '#fdeee2', 'apricot'],
  ['#1f7f80', '#e3f1ee', 'lagoon'],
  ['#403f6d', '#e9e6f4', 'night'],
  ['#7a5a2f', '#f5ead6', 'walnut'],
  ['#8c2f4b', '#fae6ea', 'wine'],
]

function change(next: Partial<Back>, about = ''): void {
  bench.edit('change the back', (game) => void Object.assign(game.deck.back, next), about)
}
</script>

<template>
  <section aria-labelledby="back-title">
    <h2 id="back-title">The back</h2>
    <p class="soft">What every card shows while it lies face down.</p>
    <div class="large"><BackView :back="back" /></div>
    <h3 id="patterns">Pattern</h3>
    <div class="patterns" role="group" aria-labelledby="patterns">
      <button
        v-for="pattern in PATTERNS"
        :key="pattern"
        class="pattern"
        type="button"
        :aria-pressed="back.pattern === pattern"
        @click="change({ pattern })"
      >
        <span class="small"><BackView :back="{ ...back, pattern }" /></span>{{ pattern }}
      </button>
    </div>
    <h3 id="inks">Two colours</h3>
    <div class="inks" role="group" aria-labelledby="inks">
      <button
        v-for="[ink, paper, name] in TWO_COLOURS"
        :key="ink"
        class="ink"
        type="button"
        :aria-label="name"
        :title="name"
        :aria-pressed="back.ink === ink && back.paper === paper"
        :style="{ background: ink, borderColor: paper }"
        @click="change({ ink, paper })"
      />
    </div>
    <div class="row">
      <span>Own colours</span>
      <ElColorPicker
        :model-value="back.ink"
        color-format="hex"
        aria-label="Ground of the back"
        @change="(ink) => ink && change({ ink }, 'ink')"
      />
      <ElColorPicker
        :model-value="back.paper"
        color-format="hex"
        aria-label="Lines and edge of the back"
        @change="(paper) => paper && change({ paper }, 'paper')"
      />
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 20px;
}
h3 {
  margin: 16px 0 8px;
}
.large {
  width: 148px;
  height: 176px;
  margin: 16px auto 4px;
  border-radius: 12px;
  box-shadow: 0 6px 18px #23243f33;
}
.large :deep(.back-view) {
  border-width: 7px;
}
.patterns {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.pattern {
  display: grid;
  justify-items: center;
  gap: 4px;
  padding: 8px 2px 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: inherit;
  font: 500 13px var(--body);
  cursor: pointer;
}
.pattern:hover {
  background: var(--paper);
}
.pattern[aria-pressed='true'] {
  border-color: var(--lagoon);
  box-shadow: 0 0 0 2px #1f7f8040;
}
.small {
  width: 42px;
  height: 50px;
  border-radius: 6px;
}
.inks {
  display: flex;
  gap: 10px;
}
.ink {
  width: 40px;
  height: 40px;
  border: 5px solid;
  border-radius: 9px;
  box-shadow: 0 0 0 1px var(--line);
  cursor: pointer;
}
.ink[aria-pressed='true'] {
  box-shadow: 0 0 0 3px var(--lagoon);
}
.row {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 14px;
  color: var(--ink-soft);
}
.row span {
  flex: 1;
}
</style>
