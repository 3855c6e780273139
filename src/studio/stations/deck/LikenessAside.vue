<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import { computed } from 'vue'
import type { Vision } from '../../../core/deck/vision.ts'
import SmallFace from '../../parts/cards/SmallFace.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useBench } from '../../store/bench.ts'
import type { Tie } from './light-table/useLookAlikes.ts'

/** Which pairs are easily mistaken for each other, or for the selected one; and how that is measured. */
const props = defineProps<{
  ties: readonly Tie[]
  chosen: string | null
  progress: number | null
  vision: Vision
  /** width in px of the card on which faces are compared */
  size: number
}>()
const threshold = defineModel<number>('threshold', { required: true })
defineEmits<{ choose: [id: string | null] }>()
const bench = useBench()
const SHOWN = 5

const pairOf = (id: string | null) => bench.game!.deck.pairs.find((pair) => pair.id === id)
const relevant = computed(() =>
  props.ties.filter(
    ({ one, other }) => props.chosen === null || one === props.chosen || other === props.chosen,
  ),
)
/** some pairs are alike to other eyes only */
const seenBy = computed(() => (props.vision === 'everyone' ? 'to most eyes' : `to ${props.vision} eyes`))
const rows = computed(() =>
  relevant.value.slice(0, SHOWN).map(({ one, other, likeness }) => ({
    one,
    other: props.chosen === other ? one : other,
    pairs: (props.chosen === null ? [one, other] : [props.chosen === other ? one : other]).map((id) => ({
      id,
      name: id === null ? 'The back' : (pairOf(id)?.name ?? ''),
      face: pairOf(id)?.a,
    })),
    percent: Math.floor(likeness[props.vision] * 100),
  })),
)
</script>

<template>
  <section class="alike" aria-labelledby="alike-title">
    <h3 id="alike-title">{{ chosen === null ? 'Look-alikes' : 'Easily mistaken for' }}</h3>
    <ElProgress
      v-if="progress !== null"
      :percentage="progress * 100"
      :show-text="false"
      aria-label="Comparing faces"
    />
    <ul v-else-if="rows.length">
      <li v-for="tie in rows" :key="`${tie.one} ${tie.other}`">
        <ElButton @click="$emit('choose', tie.pairs.at(-1)!.id)">
          <span v-for="pair in tie.pairs" :key="pair.id ?? 'back'" class="who">
            <SmallFace v-if="pair.face" class="card" :face="pair.face" />{{ pair.name }}
          </span>
        </ElButton>
        <b>{{ tie.percent }} %</b>
      </li>
      <li v-if="relevant.length > SHOWN" class="soft">and {{ relevant.length - SHOWN }} more</li>
    </ul>
    <p v-else class="soft">
      {{ chosen === null ? `No two faces are too much alike ${seenBy}.` : `No other face ${seenBy}.` }}
    </p>
    <p class="soft how">
      Mark as look-alikes from
      <NumberWord
        :model-value="Math.round(threshold * 100)"
        label="Likeness in percent"
        :bounds="[50, 100]"
        @update:model-value="(percent) => (threshold = percent / 100)"
      />
      % (shape and colour{{ vision === 'everyone' ? '' : `, as ${vision} eyes see them` }}, on the smallest
      card of any level: {{ size }} px wide on a phone). 100 % is the same face.
    </p>
  </section>
</template>

<style scoped>
.alike {
  margin-top: 20px;
}
ul {
  display: grid;
  gap: 4px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
li button {
  display: grid;
  gap: 3px;
  min-width: 0;
  padding: 2px 6px 2px 0;
  border: 0;
  border-radius: var(--round);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
li button:hover {
  background: var(--sand);
}
.who {
  display: flex;
  align-items: center;
  gap: 8px;
}
.card {
  flex: none;
  box-shadow: 0 0 0 1px var(--line);
}
b {
  color: #8a3a14;
  white-space: nowrap;
}
.el-progress {
  flex: 1;
  min-width: 120px;
}
.how {
  margin-top: 8px;
  line-height: 1.5;
}
</style>
