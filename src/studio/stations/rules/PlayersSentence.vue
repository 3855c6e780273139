<script setup lang="ts">
import { computed } from 'vue'
import { BOUNDS, LENGTHS } from '../../../core/settings/settings.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import TextField from '../../parts/settings/TextField.vue'
import { useBench } from '../../store/bench.ts'

/** "Two players take turns, Ann and Ben; after a match the same player goes again." */
const bench = useBench()
const names = computed(() => bench.settings!.players.names)
const COUNTS = [
  'One player plays',
  'Two players take turns',
  'Three players take turns',
  'Four players take turns',
]
const CHOICES: [string, string][] = COUNTS.map((words, i) => [String(i + 1), words])

function setCount(text: string): void {
  const count = Math.max(BOUNDS.players[0], Math.min(BOUNDS.players[1], Number(text)))
  const next = Array.from({ length: count }, (_, i) => names.value[i] ?? `Player ${i + 1}`)
  bench.set('players', { names: next }, 'change the players', 'single')
}
function rename(at: number, text: string): void {
  const name = text.trim()
  if (!name || name === names.value[at]) return
  bench.set(
    'players',
    { names: names.value.map((old, i) => (i === at ? name : old)) },
    'rename a player',
    'single',
  )
}
</script>

<template>
  <span :data-setting="names.length > 1 ? 'players.names' : 'players.names players.matchGoesAgain'"
    ><ChoiceWord
      :model-value="String(names.length)"
      label="How many players"
      :choices="CHOICES"
      @update:model-value="setCount" /></span
  ><OwnTab section="players" :names="['names']" />
  <template v-if="names.length > 1">
    at one table:
    <span v-for="(name, i) in names" :key="i" class="name"
      ><TextField
        :model-value="name"
        :label="`Name of player ${i + 1}`"
        :maxlength="LENGTHS.player"
        @change="rename(i, $event)"
      /><template v-if="i === names.length - 1">.</template></span
    >
    After a match
    <SettingChoice section="players" name="matchGoesAgain" />. Clock, lives and turns are those of the table;
    points are each player's own</template
  >.<IdleOwn v-if="names.length === 1" section="players" :names="['matchGoesAgain']" />
</template>

<style scoped>
.name {
  display: inline-block;
  margin-right: 4px;
  white-space: nowrap;
  vertical-align: middle;
}
.name :deep(.text-field) {
  width: 110px;
}
</style>
