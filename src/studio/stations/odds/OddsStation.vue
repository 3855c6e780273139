<script setup lang="ts">
import { ElButton, ElCheckbox, ElSegmented } from 'element-plus'
import IconAgain from '~icons/ph/arrows-clockwise'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import InTurn from '../../parts/timing/InTurn.vue'
import { isOfMinds } from '../../../core/findings/finding.ts'
import { GAMES } from '../../../core/odds/games.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import FindingsList from '../../parts/findings/FindingsList.vue'
import { useFindings } from '../../parts/findings/store.ts'
import { onceTrue } from '../../parts/timing/onceTrue.ts'
import { useBench } from '../../store/bench.ts'
import { useView } from '../../store/view.ts'
import { AXES, type Axis } from './odds-words.ts'
import GamePanel from './GamePanel.vue'
import SensitivityPanel from './SensitivityPanel.vue'
import LuckPanel from './LuckPanel.vue'
import MindCards from './MindCards.vue'
import SolveSentence from './SolveSentence.vue'
import { useOddsSubject } from './useOddsSubject.ts'
import { useGames } from './useGames.ts'
import { useMinds } from './useMinds.ts'
import { isOneOf, isText, useChoice } from '../../parts/settings/useChoice.ts'

/** How simulated players do on the open level, and which number makes it right. */
const bench = useBench()
const view = useView()
const checks = useFindings()
const router = useRouter()
const { subject, isOld, byItself, ask } = useOddsSubject()
const { minds, playing, toggle } = useMinds()
const games = useGames(subject, () => playing.value.map(({ mind }) => mind))
const { played, old, problem, working, done } = games

const findings = computed(() =>
  checks.ofRung(bench.game!.levels.findIndex(({ id }) => id === subject.value.level.id)).filter(isOfMinds),
)
const axis = useChoice<Axis>('odds-axis', 'time', isOneOf(AXES))
/** only the axes that apply to the level */
const axes = computed(() =>
  AXES.filter((one) => {
    const { score } = subject.value.settings
    if (one === 'stars') return score.stars !== null
    return one !== 'score' || rows.value.some(({ played: { odds } }) => odds.score.mean !== 0)
  }),
)
const shownAxis = computed(() => (axes.value.includes(axis.value) ? axis.value : 'time'))
const rows = computed(() =>
  playing.value.flatMap(({ mind, colour }) => {
    const one = played.value.get(mind.id)
    return one ? [{ id: mind.id, name: mind.name, colour, played: one }] : []
  }),
)
/** the panels beside the games wait until the games are there */
const ready = computed(() => !working.value && !problem.value && rows.value.length > 0)
const count = computed(() =>
  Math.max(0, ...rows.value.map(({ id, played: { odds } }) => (old.value.has(id) ? 0 : odds.games))),
)
const complete = computed(() => done.value >= 1)
const fewer = computed(() => ready.value && rows.value.some(({ played: { odds } }) => odds.games < GAMES))

const who = useChoice('odds-who', 'everyday', isText)
const mind = computed(
  () => minds.value.find((one) => one.mind.id === who.value)?.mind ?? minds.value[2]!.mind,
)
/** its games, if it is switched on */
const ofMind = computed(() => (ready.value ? played.value.get(mind.value.id) : undefined))
/** the next better mind that is shown, for comparison */
const better = computed(() => {
  const at = playing.value.findIndex((one) => one.mind.id === mind.value.id)
  return playing.value[at > 0 ? at - 1 : at + 1]?.mind ?? null
})

function setLimit(value: number, byKey: boolean): void {
  const [section, patch] =
    shownAxis.value === 'time'
      ? (['clock', { limit: value }] as const)
      : (['limits', { turns: value }] as const)
  const label = shownAxis.value === 'time' ? 'change the time limit' : 'change the turn limit'
  bench.set(section, patch, label, byKey ? 'joined' : 'single', subject.value.level.id)
  ask()
}
function watchPlay(id: string): void {
  view.playedBy = id
  void router.push({ params: { station: 'play', level: subject.value.level.id } })
}
// the chart code loads while the first games are played
const GamesView = defineAsyncComponent(() => import('./GamesView.vue'))
const LadderCurve = defineAsyncComponent(() => import('./LadderCurve.vue'))
// loaded on demand
const MindSlip = defineAsyncComponent(() => import('./MindSlip.vue'))
const FitDialog = defineAsyncComponent(() => import('./FitDialog.vue'))
const fitting = ref(false)
const wasFitting = onceTrue(fitting)
const slip = ref(false)
const wasSlip = onceTrue(slip)
const editing = ref<Mind | null>(null)
function edit(one: Mind | null): void {
  editing.value = one
  slip.value = true
}
</script>

<template>
  <div class="odds">
    <div class="main-column">
      <header>
        <h2>{{ subject.level.name }}, {{ count.toLocaleString('en') }} games a mind</h2>
        <span class="soft" role="status">
          <template v-if="working">{{ Math.round(done * 100) }} %</template>
          <template v-else-if="isOld">the rules have changed</template>
          <template v-else-if="fewer">fewer if they are long</template>
        </span>
        <ElSegmented v-model="axis" :options="axes" aria-label="Axis" />
        <ElButton v-if="working" class="btn" @click="games.cancel">Stop</ElButton>
        <ElButton
          v-else
          class="btn"
          :disabled="!isOld && complete"
          :data-tip="!isOld && complete ? 'The same games would give the same figures' : ''"
          @click="isOld ? ask() : games.again()"
          ><IconAgain />Again</ElButton
        >
        <ElCheckbox v-model="byItself" data-tip="Play the games again after every change">auto</ElCheckbox>
      </header>
      <FindingsList v-if="findings.length" :findings="findings" />
      <MindCards
        :minds="minds"
        :full="(bench.game!.minds?.length ?? 0) >= BOUNDS.minds[1]"
        @toggle="toggle"
        @edit="edit"
        @add="edit(null)"
        @fit="fitting = true"
      />
      <div v-if="problem" class="problem" role="alert">
        <p>This level cannot be dealt, so nobody can play it: {{ problem }}</p>
        <p class="soft">Deal shows where, and offers a way out.</p>
      </div>
      <GamesView
        v-else-if="rows.length"
        class="games-card"
        :rows="rows"
        :axis="shownAxis"
        :settings="subject.settings"
        :old="isOld || old.size > 0"
        @limit="setLimit"
        @watch="watchPlay"
      />
      <p v-else class="soft wait" role="status">The first games are being played …</p>
      <InTurn v-if="!problem"
        ><SolveSentence
          v-model:who="who"
          :subject="subject"
          :minds="minds.map((one) => one.mind)"
          :ready="ready"
      /></InTurn>
      <InTurn><LadderCurve :subject="subject" :minds="playing" :who="mind.id" :ready="ready" /></InTurn>
    </div>
    <aside class="aside" tabindex="0" aria-label="What it hangs on, luck and deals">
      <template v-if="!problem">
        <InTurn><SensitivityPanel :subject="subject" :mind="mind" :ready="ready" /></InTurn>
        <InTurn><GamePanel v-if="ofMind" :name="mind.name" :odds="ofMind.odds" /></InTurn>
        <InTurn><LuckPanel :subject="subject" :mind="mind" :other="better" :ready="ready" /></InTurn>
      </template>
    </aside>
    <MindSlip v-if="wasSlip" v-model="slip" :mind="editing" :minds="minds.map((one) => one.mind)" />
    <FitDialog
      v-if="wasFitting"
      v-model="fitting"
      :minds="minds.map((one) => one.mind)"
      :full="(bench.game!.minds?.length ?? 0) >= BOUNDS.minds[1]"
      @made="toggle"
    />
  </div>
</template>

<style scoped>
.odds {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  height: 100%;
}
.main-column {
  display: grid;
  gap: 12px;
  align-content: start;
  overflow-y: auto;
  padding: 14px 18px 18px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
}
header h2 {
  font-size: 21px;
}
header .soft {
  flex: 1;
}
header .el-button {
  margin: 0;
}
.games-card {
  padding: 14px 12px 6px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
}
.wait {
  display: grid;
  place-items: center;
  height: 200px;
}
.problem {
  padding: 12px 16px;
  border-radius: var(--round-card);
  background: var(--brick-pale);
}
.problem p {
  margin: 0;
}
.aside {
  display: grid;
  gap: 22px;
  align-content: start;
  overflow-y: auto;
  padding: 18px;
  border-left: 1px solid var(--line);
}
@media (max-width: 760px) {
  .odds {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    overflow-y: auto;
  }
  .main-column,
  .aside {
    overflow-y: visible;
  }
  .aside {
    border-top: 1px solid var(--line);
    border-left: 0;
  }
}
</style>
