<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { Face } from '../../../core/deck/pair.ts'
import { signedPoints, type Chip } from '../../../core/play/tape.ts'
import SmallFace from '../../parts/cards/SmallFace.vue'
import { useInSight } from './useInSight.ts'
import { seconds } from '../../parts/settings/numbers.ts'

/**
 * One chip for each turn: two small faces, its judgement, points and seconds; a press puts the table where that turn
 * left it.
 */
const props = defineProps<{
  chips: readonly Chip[]
  /** turns already played on the table */
  at: number
  faceOf: (cell: number) => Face | null
  nameOf: (cell: number) => string
}>()
defineEmits<{ jump: [turn: number] }>()
const strip = ref<HTMLElement>()

const SIGNS = { found: '●', lucky: '✦', glimpsed: '◐', slip: '↺', fresh: '○' } as const
const points = (chip: Chip): string => (chip.points ? signedPoints(chip.points) : '')
/** What the faces show, in words. */
const titleOf = (chip: Chip): string =>
  `Turn ${chip.turn}: ${props.nameOf(chip.first)} and ${props.nameOf(chip.second)}, ${chip.match ? 'a match' : 'a miss'}, `

/** px from one chip to the next, and from the edge to the first: the chip of the deal is there. */
const CHIP = 106
const DEAL = 60
const { places, before, after, bring } = useInSight(strip, {
  count: () => props.chips.length,
  size: CHIP,
  lead: DEAL,
  across: true,
})
const inSight = computed(() => places.value.flatMap((place) => props.chips[place] ?? []))
watch(
  () => [props.at, props.chips.length],
  async () => {
    await nextTick()
    if (props.at > 0) bring(props.at - 1)
    else strip.value?.scrollTo({ left: 0 })
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
    <li v-if="before" aria-hidden="true" class="unseen" :style="{ width: `${before}px` }" />
    <li
      v-for="chip in inSight"
      :key="chip.turn"
      :aria-posinset="chip.turn + 1"
      :aria-setsize="chips.length + 1"
    >
      <button
        class="chip"
        :class="[chip.how, { match: chip.match, ahead: chip.turn > at }]"
        type="button"
        :aria-current="chip.turn === at ? 'step' : undefined"
        @click="$emit('jump', chip.turn)"
      >
        <span class="hidden-text">{{ titleOf(chip) }}</span>
        <span class="faces">
          <template v-for="cell in [chip.first, chip.second]" :key="cell">
            <SmallFace v-if="faceOf(cell)" class="face" :face="faceOf(cell)!" />
          </template>
        </span>
        <span class="how"
          ><span aria-hidden="true">{{ SIGNS[chip.how] }}&nbsp;</span>{{ chip.how }}&#32;</span
        >
        <span class="facts">{{ [points(chip), seconds(chip.took)].filter(Boolean).join(' · ') }}</span>
      </button>
    </li>
    <li v-if="after" aria-hidden="true" class="unseen" :style="{ width: `${after}px` }" />
    <li v-if="!chips.length" class="empty">
      Each turn leaves a chip here. Press one to put the table back to that turn.
    </li>
  </ol>
</template>

<style scoped>
.tape {
  display: flex;
  height: 100px;
  margin: 0;
  padding: 4px 2px;
  overflow: auto hidden;
  contain: strict;
  list-style: none;
  scrollbar-width: thin;
}
.unseen {
  flex: none;
}
.chip {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 1px;
  width: 100px;
  height: 78px;
  margin-right: 6px;
  padding: 4px 6px;
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
  width: 52px;
  font-weight: 700;
}
.faces {
  display: flex;
  gap: 4px;
}
.face {
  box-shadow: 0 0 0 1px #d5cab4;
}
.how {
  font-weight: 700;
}
.facts {
  color: var(--ink-soft);
  max-width: 100%;
  overflow: hidden;
  font-size: 12px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.empty {
  align-self: center;
  padding: 0 10px;
  color: var(--ink-soft);
}
</style>
