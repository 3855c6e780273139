<script setup lang="ts">
import { ElTour, ElTourStep } from 'element-plus'
import { STATION_NAMES, STATIONS, type Station } from '../stations.ts'

/** A first walk along the bench: a stop at each station. */
const open = defineModel<boolean>({ required: true })

const WORDS: Record<Station, string> = {
  deck: 'Make pairs from pictures, your own images, words or letters. The light table shows them all, and which of them look too much alike.',
  deal: 'Say how large the board is, which pairs are on it and how they are dealt. See how fair that is.',
  rules: 'Read how a turn goes, sentence by sentence. Every underlined word can be changed where it stands.',
  play: 'Try the game, go back to any turn, and keep a game that went right as a check.',
  odds: 'Let simulated players play thousands of games: who wins, and which number makes it right.',
  ship: 'Take the game away as one file that anyone can play. Nothing is lost: your work is kept in this browser, and every step can be undone. The question mark shows all keys, and this walk again.',
}
const STOPS = STATIONS.map((station, place) => ({
  at: `nav a:nth-child(${place + 1})`,
  title: STATION_NAMES[station],
  words: WORDS[station],
}))
const targetOf = (at: string) => (): HTMLElement | null => document.querySelector(`.top ${at}`)
</script>

<template>
  <ElTour
    v-model="open"
    role="dialog"
    aria-label="A walk around the bench"
    append-to="#over"
    :mask="{ color: '#23243f8c' }"
    :gap="{ offset: 6, radius: 10 }"
  >
    <ElTourStep
      v-for="{ at, title, words } in STOPS"
      :key="at"
      :target="targetOf(at)"
      :description="words"
      placement="bottom"
    >
      <template #header
        ><h2>{{ title }}</h2></template
      >
    </ElTourStep>
  </ElTour>
</template>

<style>
@import 'element-plus/theme-chalk/el-tour.css' layer(element);

.el-tour__content {
  --el-tour-width: 360px;
  --el-tour-padding-primary: 18px;
  --el-tour-border-radius: var(--round-card);
  --el-tour-text-color: var(--ink);
  --el-tour-title-text-color: var(--ink);
  --el-tour-font-line-height: 1.5;
}
.el-tour__header {
  padding-bottom: 8px;
}
.el-tour__content:focus-visible {
  outline: none;
}
.el-tour__content h2 {
  font-size: 19px;
}
.el-tour__body {
  font: 16px/1.5 var(--body);
}
.el-tour__footer {
  align-items: center;
}
.el-tour-indicator {
  width: 8px;
  height: 8px;
  background: #c9bda6;
}
.el-tour-indicator.is-active {
  background: var(--lagoon);
}
.el-tour-buttons {
  display: flex;
  gap: 8px;
}
.el-tour-buttons .el-button {
  padding: 6px 16px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: var(--ink);
  font: 600 15px/1.4 var(--body);
}
.el-tour-buttons .el-button--primary {
  border-color: var(--ink);
  background: var(--ink);
  color: #fff;
}
</style>
