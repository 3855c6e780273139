<script setup lang="ts">
import { computed } from 'vue'
import { gameFileName } from '../../../core/game/names.ts'
import { useBench } from '../../store/bench.ts'

/** How the rules are used in a program of one's own. */
const bench = useBench()
// apart from the lines: what looks for imports would take the name in them for one
const NAME = 'lucky-twin-engine'
const lines = computed(
  () => `npm install ./lucky-twin-engine.tgz

import { deal, press, readGame, resultOf, startRound } from '${NAME}'
import { readFileSync } from 'node:fs'

const game = readGame(readFileSync('${gameFileName(bench.game!)}', 'utf8')).value
const dealt = deal(game, '${bench.game!.levels[0]!.id}', 'any seed').value
const round = startRound(game, dealt).value
press(round, 3000, 0)
console.log(round.states[0], resultOf(round).flips)`,
)
</script>

<template>
  <div class="engine">
    <p>
      The rules that every shipped page plays by, as one module with types and without dependencies: read a
      game, deal it from a seed, play it, replay a record. Give it the game file of this game.
    </p>
    <pre tabindex="0" aria-label="Lines to begin with">{{ lines }}</pre>
    <p class="soft">Its README, which is docs/engine.md, has an example for each function.</p>
  </div>
</template>

<style scoped src="./code.css"></style>
<style scoped>
.engine {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
</style>
