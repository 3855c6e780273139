<script setup lang="ts">
import { computed } from 'vue'
import { mindsOf } from '../../../core/settings/seats.ts'
import { BOUNDS, LENGTHS } from '../../../core/settings/bounds.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import TextField from '../../parts/settings/TextField.vue'
import { useBench } from '../../store/bench.ts'

/** "Two players take turns: a person, Ann, and the everyday mind, Ben; after a match the same player goes again." */
const bench = useBench()
const players = computed(() => bench.settings!.players)
const names = computed(() => players.value.names)
const COUNTS = [
  'One player plays',
  'Two players take turns',
  'Three players take turns',
  'Four players take turns',
]
const CHOICES: [string, string][] = COUNTS.map((words, i) => [String(i + 1), words])
const PERSON = ''
const minds = computed(() => mindsOf(bench.game!))
const seats = computed(() =>
  names.value.map((name, at) => {
    const isLastPerson = names.value.every((_, other) => other === at || players.value.minds[other])
    const choices: [string, string][] = [
      [PERSON, 'a person'],
      ...minds.value.map((mind): [string, string] => [mind.id, `the mind ${mind.name.toLowerCase()}`]),
    ]
    // at least one person has to play
    return {
      name,
      mind: players.value.minds[at] ?? PERSON,
      choices: isLastPerson ? choices.slice(0, 1) : choices,
    }
  }),
)
const defaultName = (at: number): string => `Player ${at + 1}`

function setCount(text: string): void {
  const count = Math.max(BOUNDS.players[0], Math.min(BOUNDS.players[1], Number(text)))
  const next = Array.from({ length: count }, (_, i) => names.value[i] ?? defaultName(i))
  const { minds: seated } = players.value
  // somebody who plays alone is a person
  const remaining = count === 1 ? [] : seated.slice(0, count)
  const patch = seated.length > remaining.length ? { names: next, minds: remaining } : { names: next }
  bench.set('players', patch, 'change the players', 'single')
}
function setMind(at: number, id: string): void {
  const mind = minds.value.find((one) => one.id === id)
  const isGiven =
    names.value[at] === defaultName(at) || minds.value.some(({ name }) => name === names.value[at])
  const name = mind ? mind.name.slice(0, LENGTHS.player) : defaultName(at)
  const next = names.value.map((_, seat) =>
    seat === at ? (mind?.id ?? null) : (players.value.minds[seat] ?? null),
  )
  bench.set(
    'players',
    {
      minds: next.some((one) => one !== null) ? next : [],
      ...(isGiven ? { names: names.value.map((old, seat) => (seat === at ? name : old)) } : {}),
    },
    'change who plays',
    'single',
  )
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
  <span
    :data-setting="
      names.length > 1
        ? 'players.names players.offersRival'
        : 'players.names players.minds players.matchGoesAgain'
    "
    ><ChoiceWord
      :model-value="String(names.length)"
      label="How many players"
      :choices="CHOICES"
      @update:model-value="setCount" /></span
  ><OwnTab section="players" :names="['names']" />
  <template v-if="names.length > 1">
    at one table:
    <span data-setting="players.minds"
      ><span v-for="(seat, i) in seats" :key="i" class="seat"
        ><ChoiceWord
          :model-value="seat.mind"
          :label="`Who is player ${i + 1}`"
          :choices="seat.choices"
          @update:model-value="setMind(i, $event)" />,
        <TextField
          :model-value="seat.name"
          :label="`Name of player ${i + 1}`"
          :maxlength="LENGTHS.player"
          @change="rename(i, $event)" /></span></span
    ><OwnTab section="players" :names="['minds']" />. After a match
    <SettingChoice section="players" name="matchGoesAgain" />. Clock, lives and turns are those of the table;
    points are each player's own.<IdleOwn section="players" :names="['offersRival']"
  /></template>
  <template v-else
    >, <SettingChoice section="players" name="offersRival" />.<IdleOwn
      section="players"
      :names="['minds', 'matchGoesAgain']"
  /></template>
</template>

<style scoped>
.seat {
  display: inline-block;
  margin-right: 4px;
  white-space: nowrap;
  vertical-align: middle;
}
.seat :deep(.text-field) {
  width: 110px;
}
</style>
