<script setup lang="ts">
import { computed } from 'vue'
import { openCells } from '../../core/deal/cells.ts'
import { par } from '../../core/odds/par.ts'
import { prepareDeal } from '../../core/deal/deal.ts'
import { costOf } from '../../core/odds/cost.ts'
import { livesLast, livesNeeded } from '../../core/odds/lives.ts'
import { matchPoints } from '../../core/play/points.ts'
import FindingsList from '../findings/FindingsList.vue'
import { writeNumber } from '../settings/numbers.ts'
import { useBench } from '../store/bench.ts'
import StarScale from './StarScale.vue'

/** What the rules of this rung come to, in figures that follow from them. */
const bench = useBench()
const settings = computed(() => bench.settings!)
const pairs = computed(() => Math.floor(openCells(settings.value.board).length / 2))
const perfect = computed(() => par(Math.min(200, pairs.value)))
const waits = computed(
  () => settings.value.turn.duringLook === 'wait' && settings.value.turn.onMiss === 'timed',
)
const misses = computed(() => perfect.value.turns - pairs.value)
const waiting = computed(
  () => misses.value * settings.value.turn.missLook + pairs.value * settings.value.turn.matchLook,
)

const dealer = computed(() => {
  const made = prepareDeal(bench.game!.deck.pairs, settings.value)
  return made.ok && made.value.pairs > 0 ? made.value : null
})
/** What it costs, from the machine itself; null while the level cannot be dealt. */
const cost = computed(() => dealer.value && costOf(settings.value, dealer.value))
/** In how many games of a perfect memory the lives are enough; null without lives. */
const lasting = computed(() => {
  const needed = dealer.value && livesNeeded(settings.value, dealer.value)
  return needed && { won: livesLast(needed, settings.value.limits.lives!), of: needed.length }
})
const cannot = computed(() => {
  const at = bench.game!.levels.findIndex((level) => level === bench.level)
  return bench.findings.filter(
    ({ code, at: place }) =>
      (code === 'cannot-be-won' || code === 'needs-luck') && place.startsWith(`levels[${at}].`),
  )
})
const streak = computed(() =>
  Array.from({ length: 6 }, (_, i) => matchPoints(settings.value.score, i + 1, false)),
)
const tallest = computed(() => Math.max(1, ...streak.value))
const seconds = (ms: number): string => writeNumber(Math.round(ms / 100) * 100, 'seconds')
</script>

<template>
  <aside class="aside" tabindex="0" aria-labelledby="meaning">
    <h2 id="meaning">What that means</h2>
    <dl>
      <div>
        <dt>{{ perfect.turns.toFixed(1) }} turns</dt>
        <dd>
          is par for {{ pairs }} pairs: what a perfect memory needs on average,
          {{ perfect.lucky.toFixed(2) }} of its matches by luck
        </dd>
      </div>
      <div v-if="waits">
        <dt>{{ seconds(settings.turn.missLook) }}</dt>
        <dd>is the wait that a miss costs the player</dd>
      </div>
      <div v-if="waits">
        <dt>{{ seconds(waiting) }}</dt>
        <dd>
          <template v-if="settings.clock.mode === 'down'"
            >of the {{ writeNumber(settings.clock.limit, 'clock') }} go</template
          ><template v-else>go</template>
          to looking at judged cards, for a perfect memory
        </dd>
      </div>
      <template v-if="cost">
        <div>
          <dt>{{ seconds(cost.leastTime) }}</dt>
          <dd>
            is the least time in which this board can be won<template v-if="settings.clock.mode === 'down'"
              >, of {{ writeNumber(settings.clock.limit, 'clock') }}</template
            >
          </dd>
        </div>
        <div>
          <dt>{{ cost.highestScore.toLocaleString('en') }}</dt>
          <dd>
            is the highest score<template v-if="cost.perfect"
              >; a perfect memory makes about
              {{ Math.round(cost.perfect.score).toLocaleString('en') }}</template
            >
          </dd>
        </div>
        <div v-if="lasting">
          <dt>{{ lasting.won }} of {{ lasting.of }}</dt>
          <dd>games of a perfect memory are won before the lives are gone</dd>
        </div>
      </template>
    </dl>
    <FindingsList v-if="cannot.length" :findings="cannot" />
    <StarScale v-if="cost && settings.score.stars" :cost="cost" />
    <h3>A streak</h3>
    <ol class="bars">
      <li v-for="(points, i) in streak" :key="i">
        <span class="points">{{ points }}</span>
        <span class="bar" :style="{ height: `${(points / tallest) * 72}px` }" />
      </li>
    </ol>
    <p class="soft">points for six matches in a row</p>
  </aside>
</template>

<style scoped>
.aside {
  overflow-y: auto;
  padding: 24px 24px 20px;
  border-left: 1px solid var(--line);
}
dl {
  margin: 8px 0 18px;
}
dl div {
  display: grid;
  grid-template-columns: 88px 1fr;
  gap: 10px;
  padding: 8px 0;
  border-bottom: 1px solid var(--sand);
}
dt {
  font: 700 17px/1.3 var(--head);
}
dd {
  margin: 0;
  font-size: 14px;
  line-height: 1.4;
}
.bars {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 6px;
  align-items: end;
  height: 100px;
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
.bars li {
  display: grid;
  justify-items: center;
  align-content: end;
  gap: 2px;
}
.points {
  font-size: 13px;
}
.bar {
  width: 100%;
  border-radius: 4px 4px 0 0;
  background: var(--lagoon);
}
@media (max-width: 760px) {
  .aside {
    border-left: 0;
  }
}
</style>
