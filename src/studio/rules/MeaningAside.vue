<script setup lang="ts">
import { computed } from 'vue'
import { openCells } from '../../core/deal/cells.ts'
import { par } from '../../core/odds/par.ts'
import { prepareDeal } from '../../core/deal/deal.ts'
import { costOf } from '../../core/odds/cost.ts'
import { matchPoints } from '../../core/play/points.ts'
import FindingsList from '../findings/FindingsList.vue'
import { writeNumber } from '../settings/numbers.ts'
import { useBench } from '../store/bench.ts'

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

/** What it costs, from the machine itself; null while the level cannot be dealt. */
const cost = computed(() => {
  const { deck } = bench.game!
  const dealer = prepareDeal(deck.pairs, settings.value)
  return dealer.ok && dealer.value.pairs > 0 ? costOf(settings.value, dealer.value) : null
})
const cannot = computed(() => {
  const at = bench.game!.levels.findIndex((level) => level === bench.level)
  return bench.findings.filter(
    ({ code, at: place }) => code === 'cannot-be-won' && place.startsWith(`levels[${at}].`),
  )
})
/** Where two players land on the scale of the stars, and the thresholds; null without stars. */
const scale = computed(() => {
  const { stars } = settings.value.score
  if (!stars || !cost.value) return null
  const { perfect, none } = cost.value
  const value = (one: { turns: number; time: number; score: number }): number => one[stars.by]
  const marks = [
    ...stars.at.map((at, i) => ({ at, words: '★'.repeat(i + 1), kind: 'star' })),
    ...(perfect ? [{ at: value(perfect), words: 'perfect memory', kind: 'player' }] : []),
    { at: value(none), words: 'no memory', kind: 'player' },
  ]
  const most = Math.max(...marks.map(({ at }) => at), 1)
  return marks.map((mark) => ({
    ...mark,
    left: `${(mark.at / most) * 100}%`,
    told: stars.by === 'time' ? seconds(mark.at) : Math.round(mark.at).toLocaleString('en'),
  }))
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
      </template>
    </dl>
    <FindingsList v-if="cannot.length" :findings="cannot" />
    <template v-if="scale">
      <h3>Where players land</h3>
      <ul class="scale">
        <li v-for="(mark, i) in scale" :key="i" :class="mark.kind">
          <span>{{ mark.words }}</span>
          <span class="track"><span class="dot" :style="{ left: mark.left }" /></span>
          <span class="value">{{ mark.told }}</span>
        </li>
      </ul>
    </template>
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
.scale {
  margin: 6px 0 18px;
  padding: 0;
  list-style: none;
  font-size: 13px;
}
.scale li {
  display: grid;
  grid-template-columns: 104px 1fr auto;
  align-items: center;
  gap: 10px;
  padding: 3px 0;
}
.track {
  position: relative;
  height: 4px;
  margin-right: 8px;
  border-radius: 2px;
  background: var(--sand);
}
.dot {
  position: absolute;
  top: -4px;
  width: 12px;
  height: 12px;
  margin-left: -4px;
  border-radius: 50%;
  background: var(--lagoon);
}
.star .dot {
  border-radius: 2px;
  background: var(--ink);
  transform: rotate(45deg);
}
.value {
  font-weight: 700;
  font-variant-numeric: tabular-nums;
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
