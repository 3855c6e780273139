<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { Face } from '../../core/game/game.ts'
import { signedPoints, type Chip } from '../../core/play/tape.ts'
import FaceView from '../cards/FaceView.vue'

/** One chip a turn: two small faces, how it was judged, points and seconds; a press puts the table where that turn left it. */
const props = defineProps<{
  chips: readonly Chip[]
  /** turns that lie behind the table as it stands */
  at: number
  faceOf: (cell: number) => Face | null
  nameOf: (cell: number) => string
}>()
defineEmits<{ jump: [turn: number] }>()
const strip = ref<HTMLElement>()

const SIGNS = { found: '●', lucky: '✦', slip: '↺', fresh: '○' } as const
const points = (chip: Chip): string => (chip.points ? signedPoints(chip.points) : '')
const seconds = (ms: number): string => `${(ms / 1000).toFixed(1)} s`
/** What the faces say to the eye. */
const told = (chip: Chip): string =>
  `Turn ${chip.turn}: ${props.nameOf(chip.first)} and ${props.nameOf(chip.second)}, ${chip.match ? 'a match' : 'a miss'}, `

watch(
  () => [props.at, props.chips.length],
  async () => {
    await nextTick()
    strip.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
)
</script>

<template>
  <ol ref="strip" class="tape" aria-label="Tape">
    <li>
      <button
        class="chip deal"
        type="button"
        :aria-current="at === 0 ? 'step' : undefined"
        @click="$emit('jump', 0)"
      >
        deal
      </button>
    </li>
    <li v-for="chip in chips" :key="chip.turn">
      <button
        class="chip"
        :class="[chip.how, { match: chip.match, ahead: chip.turn > at }]"
        type="button"
        :aria-current="chip.turn === at ? 'step' : undefined"
        @click="$emit('jump', chip.turn)"
      >
        <span class="hidden-text">{{ told(chip) }}</span>
        <span class="faces">
          <span v-for="cell in [chip.first, chip.second]" :key="cell" class="face">
            <FaceView v-if="faceOf(cell)" :face="faceOf(cell)!" shape="square" />
          </span>
        </span>
        <span class="how"
          ><span aria-hidden="true">{{ SIGNS[chip.how] }}&nbsp;</span>{{ chip.how }}&#32;</span
        >
        <span class="facts">{{ [points(chip), seconds(chip.took)].filter(Boolean).join(' · ') }}</span>
      </button>
    </li>
    <li v-if="!chips.length" class="empty">
      Each turn leaves a chip here. Press one, and the table stands as it stood then.
    </li>
  </ol>
</template>

<style scoped>
.tape {
  display: flex;
  gap: 6px;
  margin: 0;
  padding: 4px 2px;
  overflow-x: auto;
  list-style: none;
}
.chip {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 1px;
  min-width: 88px;
  height: 78px;
  padding: 4px 8px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: inherit;
  font: 500 13px/1.25 var(--body);
  cursor: pointer;
}
.chip.match {
  border-bottom: 3px solid var(--lagoon);
}
.chip.lucky {
  border-bottom: 3px solid #e7a51d;
}
.chip.slip {
  border-bottom: 3px dashed var(--brick);
}
.chip.ahead {
  background: var(--paper);
  border-style: dashed;
}
.chip[aria-current] {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
.chip.deal {
  min-width: 52px;
  font-weight: 700;
}
.faces {
  display: flex;
  gap: 4px;
}
.face {
  width: 28px;
  height: 28px;
  border-radius: 5px;
  box-shadow: 0 0 0 1px #d5cab4;
}
.how {
  font-weight: 700;
}
.facts {
  color: var(--ink-soft);
  font-size: 12px;
  white-space: nowrap;
}
.empty {
  align-self: center;
  padding: 0 10px;
  color: var(--ink-soft);
}
</style>
