<script setup lang="ts">
import { computed } from 'vue'
import { openCells } from '../../../core/board/cells.ts'
import { par } from '../../../core/odds/par.ts'
import { matchPoints } from '../../../core/play/points.ts'
import { isDealing } from '../../../core/findings/finding.ts'
import FindingsList from '../../parts/findings/FindingsList.vue'
import { useFindings } from '../../parts/findings/store.ts'
import { percent, writeNumber } from '../../parts/settings/numbers.ts'
import { useBench } from '../../store/bench.ts'
import { useFigures } from '../../workers/jobs/useFigures.ts'
import StarScale from './StarScale.vue'

/** What the rules of this rung mean, in figures that follow from them. */
const bench = useBench()
const checks = useFindings()
const settings = computed(() => bench.settings!)
const pairs = computed(() => Math.floor(openCells(settings.value.board).length / 2))
const luck = computed(() => par(Math.min(200, pairs.value)).lucky)

/** From the machine itself; null while the level cannot be dealt, or no figures are there yet. */
const { figures, working } = useFigures('ruleFigures', () => ({
  pairs: bench.game!.deck.pairs,
  settings: settings.value,
}))
const cost = computed(() => figures.value?.cost ?? null)
const lasting = computed(() => figures.value?.lasting ?? null)

const waits = computed(
  () => settings.value.turn.duringLook === 'wait' && settings.value.turn.onMiss === 'timed',
)
/** nobody waits for the last match */
const waiting = computed(() => {
  if (!cost.value) return 0
  const { missLook, matchLook } = settings.value.turn
  return (cost.value.perfect.turns - pairs.value) * missLook + (pairs.value - 1) * matchLook
})
const stands = computed(() => settings.value.clock.mode !== 'off' && settings.value.clock.lookStopsClock)
const takesOff = computed(() => settings.value.clock.mode === 'up' && settings.value.clock.matchBonus > 0)

/** The findings of these rules; Deal shows those of the dealing. */
const matches = computed(() => {
  const at = bench.game!.levels.findIndex((level) => level === bench.level)
  return checks.ofRung(at < 0 ? null : at).filter((finding) => !isDealing(finding))
})
const streak = computed(() =>
  Array.from({ length: 6 }, (_, i) => matchPoints(settings.value.score, i + 1, false)),
)
const tallest = computed(() => Math.max(1, ...streak.value))
const seconds = (ms: number): string => writeNumber(Math.round(ms / 100) * 100, 'seconds')
/** Never all or nothing where it is not. */
const likely = (share: number): string =>
  share > 0 && share < 0.01 ? '< 1 %' : share < 1 && share > 0.99 ? '> 99 %' : percent(share)
const pointsText = (points: number): string => Math.round(points).toLocaleString('en')
</script>

<template>
  <aside class="aside" tabindex="0" aria-labelledby="meaning">
    <h2 id="meaning">What that means</h2>
    <!-- first, since the figures below come and go as they are worked out -->
    <FindingsList v-if="matches.length" :findings="matches" />
    <p v-if="working" class="soft later" role="status">Working it out …</p>
    <dl :aria-busy="working">
      <template v-if="cost">
        <div v-if="cost.perfect.exactTurns">
          <dt>{{ cost.perfect.turns.toFixed(1) }} turns</dt>
          <dd>
            is par for {{ pairs }} pairs: what a perfect memory needs; on average
            {{ luck.toFixed(1) }} matches are luck
          </dd>
        </div>
        <div v-else>
          <dt>{{ cost.perfect.turns.toFixed(1) }} turns</dt>
          <dd>
            is about what a perfect memory needs here: the mean of {{ cost.perfect.games }} simulated games
          </dd>
        </div>
      </template>
      <div v-if="waits">
        <dt>{{ seconds(settings.turn.missLook) }}</dt>
        <dd>is how long a miss makes the player wait</dd>
      </div>
      <template v-if="cost">
        <div v-if="waits">
          <dt>{{ seconds(waiting) }}</dt>
          <dd>
            is what a perfect memory spends looking at judged cards<template
              v-if="settings.clock.mode === 'down' && !stands"
              >, of {{ writeNumber(settings.clock.limit, 'clock') }}</template
            ><template v-if="stands">; the clock stands still meanwhile</template>
          </dd>
        </div>
        <div>
          <dt>{{ seconds(cost.leastTime) }}</dt>
          <dd>
            is the least time in which this board can be won<template v-if="settings.clock.mode === 'down'"
              >, of {{ writeNumber(settings.clock.limit, 'clock') }}</template
            ><template v-if="takesOff"
              >, by a clock from which each match takes {{ seconds(settings.clock.matchBonus) }} off</template
            >
          </dd>
        </div>
        <div>
          <dt>{{ pointsText(cost.highest.score) }}</dt>
          <dd>
            is {{ cost.highest.exact ? 'the highest score' : 'a bound that no score passes'
            }}{{ settings.players.names.length > 1 ? ', of all players together' : '' }}; a perfect memory
            makes about {{ pointsText(cost.perfect.score) }}
          </dd>
        </div>
        <div v-if="lasting">
          <dt>{{ likely(lasting.share) }}</dt>
          <dd>
            of a perfect memory's games are won before the lives run out<template v-if="lasting.games"
              >, in {{ lasting.games }} simulated games</template
            >
          </dd>
        </div>
      </template>
    </dl>
    <StarScale v-if="cost && settings.score.stars" :cost="cost" />
    <h3>A streak</h3>
    <ol class="bars keeps-colours">
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
