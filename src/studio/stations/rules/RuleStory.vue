<script setup lang="ts">
import { computed } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import SettingLimit from '../../parts/settings/SettingLimit.vue'
import SettingNumber from '../../parts/settings/SettingNumber.vue'
import { useBench } from '../../store/bench.ts'
import AndMenu from './AndMenu.vue'
import PlayersSentence from './PlayersSentence.vue'
import RuleClause from './RuleClause.vue'
import StarsSentence from './StarsSentence.vue'
import { pressTells } from './clauses.ts'

/**
 * The rules of the open rung as six short paragraphs. Rules that are off are not shown; "and…" after a paragraph adds
 * them.
 */
const bench = useBench()
const settings = computed(() => bench.settings!)
const timed = computed(() => settings.value.clock.mode !== 'off')
const tells = computed(() => pressTells(settings.value))
const scores = computed(() =>
  (['match', 'lucky', 'miss', 'slip', 'perSecondLeft', 'perLifeLeft'] as const).some(
    (key) => settings.value.score[key] > 0,
  ),
)
const limited = computed(() => settings.value.limits.lives !== null || settings.value.limits.turns !== null)
</script>

<template>
  <ol>
    <li>
      <InTurn>
        <PlayersSentence />
        {{ ' ' }}
        <RuleClause name="firstLook"
          >Before the start all cards are face up for
          <SettingNumber section="turn" name="firstLook" />.</RuleClause
        >
        <RuleClause name="clock"
          >The clock <SettingChoice section="clock" name="mode" /><template v-if="timed"
            ><template v-if="settings.clock.mode === 'down'">
              from <SettingNumber section="clock" name="limit"
            /></template>
            and starts <SettingChoice section="clock" name="startsAt" /></template
          >.</RuleClause
        >
        <AndMenu :paragraph="1" about="the start" />
      </InTurn>
    </li>
    <li>
      <InTurn>
        A player turns one card, then another.
        <RuleClause name="onOpen"
          >A press on the one open card <SettingChoice section="turn" name="onOpen" />.</RuleClause
        >
        <RuleClause name="matchLook"
          >Pairs stay open for <SettingNumber section="turn" name="matchLook" />.</RuleClause
        >
        <RuleClause name="missLook"
          >Misses stay open for <SettingNumber section="turn" name="missLook" />.</RuleClause
        >
        <RuleClause name="duringLook"
          >A press {{ settings.turn.onMiss === 'button' ? 'while a pair is open' : 'during this pause' }}
          <SettingChoice section="turn" name="duringLook" /><template v-if="!tells"
            >, which has no effect with these rules</template
          >.</RuleClause
        >
        <RuleClause name="lookStopsClock"
          >During this pause the clock <SettingChoice section="clock" name="lookStopsClock" /><template
            v-if="!timed"
            >, where there is one</template
          >.</RuleClause
        >
        <AndMenu :paragraph="2" about="a turn" />
      </InTurn>
    </li>
    <li>
      <InTurn>
        Then twins <SettingChoice section="turn" name="onMatch" />; others
        <SettingChoice section="turn" name="onMiss" />.
        <RuleClause name="matchBonus"
          >A match gives <SettingNumber section="clock" name="matchBonus" /> to the player<template
            v-if="!timed"
            >, where there is a clock</template
          >.</RuleClause
        >
        <RuleClause name="missPenalty"
          >A miss takes <SettingNumber section="clock" name="missPenalty" /> off the clock<template
            v-if="!timed"
            >, where there is one</template
          >.</RuleClause
        >
        <AndMenu :paragraph="3" about="what follows a turn" />
      </InTurn>
    </li>
    <li>
      <InTurn>
        <template v-if="!scores">No points are counted. </template>
        <RuleClause name="match">A match scores <SettingNumber section="score" name="match" />.</RuleClause>
        <RuleClause name="streak"
          >Each further one in a row scores <SettingNumber section="score" name="streakStep" /> more, up to
          <SettingNumber section="score" name="streakMax" />.</RuleClause
        >
        <RuleClause name="lucky"
          >A pair found by luck scores <SettingNumber section="score" name="lucky" /> more.</RuleClause
        >
        <RuleClause name="miss">A miss takes <SettingNumber section="score" name="miss" />.</RuleClause>
        <RuleClause name="slip"
          >A miss on a card already seen (a <em>slip</em>) takes
          <SettingNumber section="score" name="slip" /><template v-if="settings.score.miss > 0">
            more</template
          >.</RuleClause
        >
        <RuleClause name="floor"
          >The score <SettingChoice section="score" name="floorAtZero" /> below zero.</RuleClause
        >
        <AndMenu :paragraph="4" about="points" />
      </InTurn>
    </li>
    <li>
      <InTurn>
        <RuleClause name="lives"
          >The player has <SettingLimit name="lives" none="no lives to lose" words="lives" /><template
            v-if="settings.limits.lives !== null"
          >
            and loses one <SettingChoice section="limits" name="livesLostOn" /></template
          >.</RuleClause
        >
        <RuleClause name="turns"
          >There {{ settings.limits.turns === 1 || settings.limits.turns === null ? 'is' : 'are' }}
          <SettingLimit name="turns" none="no limit to the turns" words="turns at most" />.</RuleClause
        >
        <template v-if="!limited"
          >The game goes on until all pairs are found{{
            settings.clock.mode === 'down' ? ' or the time is up' : ''
          }}.
        </template>
        <AndMenu :paragraph="5" about="limits" />
      </InTurn>
    </li>
    <li>
      <InTurn>
        When the game is decided,
        <RuleClause name="wait">after <SettingNumber section="finish" name="wait" /></RuleClause>
        <SettingChoice section="finish" name="then" /><template
          v-if="settings.finish.rounds === 'one' && settings.finish.then !== 'result'"
          >, but not where only one round is played</template
        >.
        <RuleClause name="perSecondLeft"
          >A win adds <SettingNumber section="score" name="perSecondLeft" /> for each second left<template
            v-if="settings.clock.mode !== 'down'"
            >, where a clock counts down</template
          >.</RuleClause
        >
        <RuleClause name="perLifeLeft"
          >A win adds <SettingNumber section="score" name="perLifeLeft" /> for each life left<template
            v-if="settings.limits.lives === null"
            >, where there are lives</template
          >.</RuleClause
        >
        <RuleClause name="stars"><StarsSentence /></RuleClause>
        <RuleClause name="rounds">Then <SettingChoice section="finish" name="rounds" />.</RuleClause>
        <AndMenu :paragraph="6" about="the end" />
      </InTurn>
    </li>
  </ol>
</template>

<style scoped>
ol {
  display: grid;
  gap: 11px;
  max-width: 760px;
  margin: 14px 0 0;
  padding: 0;
  counter-reset: paragraph;
  list-style: none;
}
li {
  position: relative;
  max-width: 760px;
  padding-left: 36px;
  font-size: 17px;
  line-height: 1.85;
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
</style>
