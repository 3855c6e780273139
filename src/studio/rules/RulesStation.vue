<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  BOUNDS,
  type ClockMode,
  type ClockStart,
  type DuringLook,
  type LivesLostOn,
  type OnMatch,
  type OnMiss,
  type Then,
} from '../../core/game/settings.ts'
import SettingChoice from '../settings/SettingChoice.vue'
import SettingLimit from '../settings/SettingLimit.vue'
import SettingNumber from '../settings/SettingNumber.vue'
import { useBench } from '../store/bench.ts'
import BehindSentence from './BehindSentence.vue'
import LookSentence from './LookSentence.vue'
import MeaningAside from './MeaningAside.vue'
import PlayersSentence from './PlayersSentence.vue'
import RuleSearch from './RuleSearch.vue'
import StarsSentence from './StarsSentence.vue'
import TimingStrip from './TimingStrip.vue'

/** The rules of the open rung as six short paragraphs, in which every number and choice is edited in place. */
const bench = useBench()
const story = ref<HTMLElement>()
const settings = computed(() => bench.settings!)
const timed = computed(() => settings.value.clock.mode !== 'off')

const MODES: [ClockMode, string][] = [
  ['off', 'is not shown'],
  ['up', 'counts up'],
  ['down', 'counts down'],
]
const STARTS: [ClockStart, string][] = [
  ['first-flip', 'with the first flip'],
  ['deal', 'at the deal'],
]
const STANDS: ['false' | 'true', string][] = [
  ['false', 'runs on'],
  ['true', 'stands still'],
]
const DURING: [DuringLook, string][] = [
  ['wait', 'does nothing'],
  ['skip', 'ends it'],
  ['skip-and-flip', 'ends it and turns the next card'],
]
const MATCHED: [OnMatch, string][] = [
  ['stay', 'stay face up'],
  ['fade', 'stay, faded'],
  ['leave', 'leave the board'],
]
const MISSED: [OnMiss, string][] = [
  ['timed', 'turn back by themselves'],
  ['press', 'turn back at the next press'],
  ['button', 'turn back by a button'],
]
const LOST: [LivesLostOn, string][] = [
  ['miss', 'for each miss'],
  ['slip', 'for each slip'],
]
const FLOOR: ['true' | 'false', string][] = [
  ['true', 'never falls'],
  ['false', 'may fall'],
]
const THEN: [Then, string][] = [
  ['result', 'the result is shown'],
  ['deal-again', 'the cards are dealt again'],
  ['next-level', 'the next level begins'],
]
const SOUNDS: ['true' | 'false', string][] = [
  ['true', 'are on'],
  ['false', 'are off'],
]
</script>

<template>
  <div class="rules">
    <section ref="story" class="story" aria-labelledby="story">
      <header>
        <h2 id="story">
          {{ bench.level ? `${bench.level.name}, as it is played` : 'House rules, as every level is played' }}
        </h2>
        <RuleSearch :story="story" />
      </header>
      <ol>
        <li>
          <PlayersSentence />
          Before the start all cards lie face up for
          <SettingNumber
            section="turn"
            name="firstLook"
            label="First look"
            :bounds="BOUNDS.look"
            unit="seconds"
          />. The clock
          <SettingChoice section="clock" name="mode" label="Clock" :choices="MODES" />
          <template v-if="settings.clock.mode === 'down'">
            from
            <SettingNumber section="clock" name="limit" label="Limit" :bounds="BOUNDS.limit" unit="clock"
          /></template>
          and starts
          <SettingChoice section="clock" name="startsAt" label="The clock starts" :choices="STARTS" />.
        </li>
        <li>
          A player turns one card, then another. Twins lie open for
          <SettingNumber
            section="turn"
            name="matchLook"
            label="Look time of a match"
            :bounds="BOUNDS.look"
            unit="seconds"
          />, others for
          <SettingNumber
            section="turn"
            name="missLook"
            label="Look time of a miss"
            :bounds="BOUNDS.look"
            unit="seconds"
          />. A press in that time
          <SettingChoice
            section="turn"
            name="duringLook"
            label="A press during the look time"
            :choices="DURING"
          />, and the clock
          <SettingChoice
            section="clock"
            name="lookStopsClock"
            label="The clock during the look time"
            :choices="STANDS"
          />.
        </li>
        <li>
          Then twins
          <SettingChoice section="turn" name="onMatch" label="What becomes of twins" :choices="MATCHED" />;
          others
          <SettingChoice
            section="turn"
            name="onMiss"
            label="What becomes of missed cards"
            :choices="MISSED"
          />.
          <template v-if="timed">
            A match gives
            <SettingNumber
              section="clock"
              name="matchBonus"
              label="Clock bonus of a match"
              :bounds="BOUNDS.clockChange"
              unit="seconds"
            />
            to the player, a miss takes
            <SettingNumber
              section="clock"
              name="missPenalty"
              label="Clock penalty of a miss"
              :bounds="BOUNDS.clockChange"
              unit="seconds"
            />.
          </template>
          <template v-else>Without a clock there is no bonus or penalty of time.</template>
        </li>
        <li>
          A match scores
          <SettingNumber
            section="score"
            name="match"
            label="Points of a match"
            :bounds="BOUNDS.points"
            unit="points"
          />,
          <SettingNumber
            section="score"
            name="streakStep"
            label="More for each match in a row"
            :bounds="BOUNDS.streakStep"
            unit="more"
          />
          more for each further one in a row, up to
          <SettingNumber
            section="score"
            name="streakMax"
            label="Most for a streak"
            :bounds="BOUNDS.streakMax"
            unit="times"
          />. A lucky one scores
          <SettingNumber
            section="score"
            name="lucky"
            label="Points of luck"
            :bounds="BOUNDS.points"
            unit="points"
          />
          more. A miss takes
          <SettingNumber
            section="score"
            name="miss"
            label="Points a miss takes"
            :bounds="BOUNDS.points"
            unit="points"
          />, a slip of memory
          <SettingNumber
            section="score"
            name="slip"
            label="Points a slip takes"
            :bounds="BOUNDS.points"
            unit="points"
          />
          more; the score
          <SettingChoice
            section="score"
            name="floorAtZero"
            label="Whether the score may fall below zero"
            :choices="FLOOR"
          />
          below zero.
        </li>
        <li>
          The player has
          <SettingLimit
            name="lives"
            label="Lives"
            none="no lives to lose"
            words="lives"
            :start="3"
            :bounds="BOUNDS.lives"
          />
          <template v-if="settings.limits.lives !== null">
            and loses one
            <SettingChoice
              section="limits"
              name="livesLostOn"
              label="Lives are lost"
              :choices="LOST" /></template
          >; there is
          <SettingLimit
            name="turns"
            label="Turn limit"
            none="no limit to the turns"
            words="turns at most"
            :start="30"
            :bounds="BOUNDS.turns"
          />.
        </li>
        <li>
          When the game is decided,
          <SettingChoice section="finish" name="then" label="What comes at the end" :choices="THEN" /> after
          <SettingNumber
            section="finish"
            name="wait"
            label="Wait at the end"
            :bounds="BOUNDS.wait"
            unit="seconds"
          />. A win adds
          <SettingNumber
            section="score"
            name="perSecondLeft"
            label="Points for each second left"
            :bounds="BOUNDS.points"
            unit="points"
          />
          for each second left and
          <SettingNumber
            section="score"
            name="perLifeLeft"
            label="Points for each life left"
            :bounds="BOUNDS.points"
            unit="points"
          />
          for each life. <StarsSentence />
        </li>
      </ol>
      <h3>How it looks and sounds</h3>
      <p class="look">
        <LookSentence /> <BehindSentence /> Sounds
        <SettingChoice section="look" name="sounds" label="Sounds" :choices="SOUNDS" />.
      </p>
    </section>
    <MeaningAside class="meaning" />
    <TimingStrip class="strip" />
  </div>
</template>

<style scoped>
.rules {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  grid-template-rows: minmax(0, 1fr) auto;
  height: 100%;
}
.story {
  overflow-y: auto;
  padding: 24px 36px 20px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
  max-width: 760px;
}
.story :deep([data-found]) {
  outline: 2px solid var(--lagoon);
  outline-offset: 2px;
  border-radius: 4px;
}
h2 {
  font-size: 25px;
}
ol {
  display: grid;
  gap: 11px;
  max-width: 760px;
  margin: 14px 0 0;
  padding: 0;
  counter-reset: paragraph;
  list-style: none;
}
h3 {
  max-width: 760px;
  margin-top: 18px;
  padding: 14px 0 0 36px;
  border-top: 1px solid var(--line);
}
li,
.look {
  position: relative;
  max-width: 760px;
  margin: 0;
  padding-left: 36px;
  font-size: 17px;
  line-height: 1.85;
}
li {
  counter-increment: paragraph;
}
li::before {
  content: counter(paragraph);
  position: absolute;
  left: 0;
  top: 5px;
  width: 23px;
  border-radius: 6px;
  background: var(--sand);
  font-size: 13px;
  font-weight: 700;
  line-height: 23px;
  text-align: center;
}
.strip {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .rules {
    display: block;
    overflow-y: auto;
  }
}
</style>
