<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { selectPairs } from '../../../core/deck/select.ts'
import { openCells } from '../../../core/board/cells.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import FaceView from '../../parts/cards/FaceView.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import { useBench } from '../../store/bench.ts'
import UseDialog from './UseDialog.vue'

/** Which pairs of the deck come on the board, and how they are picked. */
const props = defineProps<{ settings: Settings }>()
const bench = useBench()
const pairs = computed(() => bench.game!.deck.pairs)
const use = computed(() => props.settings.fill.use)
const selection = computed(() => selectPairs(pairs.value, use.value))
/** half a pair more on an odd board, which its finding tells of */
const needed = computed(() => Math.ceil(openCells(props.settings.board).length / 2))
const SHOWN = 17
const choosing = ref(false)

const from = computed(() => {
  const { length } = pairs.value
  if (use.value === 'all') return `the whole deck, ${length} ${length === 1 ? 'pair' : 'pairs'}`
  if ('tags' in use.value) return use.value.tags.length ? use.value.tags.join(', ') : 'no tag'
  if ('pairs' in use.value) return `${selection.value.length} chosen pairs`
  return `places ${use.value.from} to ${use.value.to}`
})

const pairCount = (count: number): string => `${count} ${count === 1 ? 'pair' : 'pairs'}`
const sentence = computed(() => {
  if (props.settings.deal.way === 'arranged')
    return 'Laid by hand: what is chosen here counts when it is dealt anew.'
  const { pick, repeat } = props.settings.fill
  const chosen = selection.value.length
  if (chosen >= needed.value) {
    const all =
      chosen === needed.value
        ? ', all of them'
        : pick === 'random'
          ? ', picked at random'
          : ', the first ones'
    return `${needed.value} pairs from ${chosen}${all}.`
  }
  if (repeat === 'never' || chosen === 0) return `${pairCount(chosen)} chosen, ${needed.value} needed.`
  return `${pairCount(chosen)} chosen, ${needed.value} needed: they repeat ${repeat === 'evenly' ? 'evenly' : 'at random'}.`
})
</script>

<template>
  <section aria-labelledby="fill-title">
    <h3 id="fill-title">Pairs</h3>
    <div class="row">
      <span>From</span>
      <span
        ><ElButton class="from" @click="choosing = true">
          <span class="hidden-text">Choose which pairs are used: </span>{{ from }}</ElButton
        ><OwnTab section="fill" :names="['use']"
      /></span>
    </div>
    <div class="row">
      <span>Picked</span>
      <SettingChoice section="fill" name="pick" />
    </div>
    <div class="row">
      <span>Repeated</span>
      <SettingChoice section="fill" name="repeat" />
    </div>
    <p class="note">{{ sentence }}</p>
    <ElButton class="faces" @click="choosing = true">
      <span class="hidden-text">Look at the faces and choose</span>
      <span v-for="at in selection.slice(0, SHOWN)" :key="at" class="one">
        <FaceView :face="pairs[at]!.a" shape="square" />
      </span>
      <span v-if="selection.length > SHOWN" class="one more" aria-hidden="true"
        >+{{ selection.length - SHOWN }}</span
      >
      <span v-if="selection.length === 0" class="soft">no pairs: choose some</span>
    </ElButton>
    <UseDialog v-model="choosing" :use="use" :needed="needed" />
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.from {
  max-width: 230px;
  padding: 0 2px 1px;
  overflow: hidden;
  border: 0;
  border-bottom: 2px dotted var(--lagoon);
  background: none;
  color: inherit;
  font: 700 15px/1.4 var(--body);
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.from:hover {
  background: var(--lagoon-pale);
}
.faces {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  width: 100%;
  padding: 2px;
  border: 0;
  border-radius: var(--round);
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.faces:hover {
  background: var(--sand);
}
.one {
  width: 29px;
  height: 29px;
  border-radius: 6px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
.more {
  display: grid;
  place-items: center;
  width: auto;
  padding: 0 6px;
  font-size: 13px;
}
</style>
