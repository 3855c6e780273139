<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconPlay from '~icons/ph/play'
import IconStop from '~icons/ph/stop'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { backOf } from '../../../core/game/backs.ts'
import { playTurns } from '../../../player/one-turn.ts'
import BackView from '../../parts/cards/BackView.vue'
import { pictureUrl } from '../../store/pictures.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { useBench } from '../../store/bench.ts'
import { LEAD, oneTurns, twoCards } from './one-turn.ts'

/** Two cards that play exactly the turn of the strip, a match and a miss alternately, over and over. */
const emit = defineEmits<{ time: [turn: number, at: number] }>()
const bench = useBench()
const host = ref<HTMLElement>()
const on = ref(false)
const turn = ref(-1)
const pace = ref<'1' | '2' | '4'>('1')
const PACES: ['1' | '2' | '4', string][] = [
  ['1', 'at normal speed'],
  ['2', 'at half speed'],
  ['4', 'at quarter speed'],
]
const turns = computed(() => oneTurns(bench.game!, bench.settings!))

let end: (() => void) | null = null
function stop(): void {
  end?.()
  end = null
  turn.value = -1
  emit('time', -1, 0)
}
function start(): void {
  stop()
  if (!on.value || !host.value || !turns.value.length) return
  const game = twoCards(bench.game!, bench.settings!)
  end = playTurns(
    host.value,
    { game, art: pictureUrl, turns: turns.value, speed: 1 / Number(pace.value) },
    (at, time) => {
      turn.value = at
      emit('time', at, time - LEAD)
    },
  )
}
// changes are played at once
watch([on, pace, turns, () => bench.settings!.look], start)
onBeforeUnmount(stop)
</script>

<template>
  <div class="try">
    <div class="row">
      <ElButton class="btn" :disabled="!turns.length" :aria-pressed="on" @click="on = !on">
        <component :is="on ? IconStop : IconPlay" aria-hidden="true" />{{ on ? 'Stop' : 'Try it' }}
      </ElButton>
      <ChoiceWord v-model="pace" label="Speed" :choices="PACES" />
    </div>
    <div class="table">
      <div ref="host" class="cards" aria-hidden="true" />
      <p v-if="turn < 0" class="rest">
        <template v-if="turns.length">
          <span v-for="card in 2" :key="card" class="back"
            ><BackView :back="backOf(bench.game!, bench.settings!)"
          /></span>
        </template>
        <template v-else>The deck has no pair to try it with yet.</template>
      </p>
      <p v-else class="which">{{ turn === 0 ? 'a match' : 'a miss' }}</p>
    </div>
  </div>
</template>

<style scoped>
.try {
  display: grid;
  grid-template-rows: auto 1fr;
  gap: 8px;
  min-height: 140px;
}
.row {
  display: flex;
  align-items: center;
  gap: 10px;
}
.table {
  position: relative;
  overflow: hidden;
  border-radius: var(--round-card);
  background: #383a63;
}
.cards {
  position: absolute;
  inset: 0;
}
.rest,
.which {
  position: absolute;
  margin: 0;
  color: #fffdf8;
}
.rest {
  inset: 8px;
  display: flex;
  justify-content: center;
  gap: 4px;
}
.back {
  overflow: hidden;
  border-radius: 8px;
  position: relative;
  height: 100%;
  aspect-ratio: 0.84;
}
.which {
  left: 12px;
  bottom: 8px;
  font-size: 14px;
}
</style>
