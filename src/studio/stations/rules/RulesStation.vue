<script setup lang="ts">
import { computed, ref } from 'vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import SettingLimit from '../../parts/settings/SettingLimit.vue'
import SettingNumber from '../../parts/settings/SettingNumber.vue'
import { useBench } from '../../store/bench.ts'
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
          <SettingNumber section="turn" name="firstLook" />. The clock
          <SettingChoice section="clock" name="mode" />
          <template v-if="settings.clock.mode === 'down'">
            from
            <SettingNumber section="clock" name="limit"
          /></template>
          and starts
          <SettingChoice section="clock" name="startsAt" />.
        </li>
        <li>
          A player turns one card, then another. Pairs stay open for
          <SettingNumber section="turn" name="matchLook" />, misses for
          <SettingNumber section="turn" name="missLook" />. A press during this pause
          <SettingChoice section="turn" name="duringLook" />, and the clock
          <SettingChoice section="clock" name="lookStopsClock" />.
        </li>
        <li>
          Then twins
          <SettingChoice section="turn" name="onMatch" />; others
          <SettingChoice section="turn" name="onMiss" />.
          <template v-if="timed">
            A match gives
            <SettingNumber section="clock" name="matchBonus" />
            to the player, a miss takes
            <SettingNumber section="clock" name="missPenalty" />.
          </template>
          <template v-else>No time bonus or penalty without a clock.</template>
        </li>
        <li>
          A match scores
          <SettingNumber section="score" name="match" />,
          <SettingNumber section="score" name="streakStep" />
          more for each further one in a row, up to
          <SettingNumber section="score" name="streakMax" />. A pair found by luck scores
          <SettingNumber section="score" name="lucky" />
          more. A miss takes
          <SettingNumber section="score" name="miss" />, a miss on a card already seen (a <em>slip</em>)
          <SettingNumber section="score" name="slip" />
          more; the score
          <SettingChoice section="score" name="floorAtZero" />
          below zero.
        </li>
        <li>
          The player has
          <SettingLimit name="lives" none="no lives to lose" words="lives" :start="3" />
          <template v-if="settings.limits.lives !== null">
            and loses one
            <SettingChoice section="limits" name="livesLostOn" /></template
          >; there is
          <SettingLimit name="turns" none="no limit to the turns" words="turns at most" :start="30" />.
        </li>
        <li>
          When the game is decided,
          <SettingChoice section="finish" name="then" /> after <SettingNumber section="finish" name="wait" />.
          A win adds
          <SettingNumber section="score" name="perSecondLeft" />
          for each second left and
          <SettingNumber section="score" name="perLifeLeft" />
          for each life. <StarsSentence />
        </li>
      </ol>
      <h3>How it looks and sounds</h3>
      <p class="look">
        <LookSentence /> <BehindSentence /> Sounds <SettingChoice section="look" name="sounds" />.
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
