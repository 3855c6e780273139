<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { copiesOf, evenCounts } from '../../../core/deal/copies.ts'
import { drawnPairs, selectPairs } from '../../../core/deck/select.ts'
import { openCells } from '../../../core/board/cells.ts'
import { isInUse } from '../../../core/settings/off.ts'
import type { Repeat, Settings } from '../../../core/settings/settings.ts'
import FaceView from '../../parts/cards/FaceView.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { settingWords } from '../../parts/settings/setting-words.ts'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import { useBench } from '../../store/bench.ts'
import CountsDialog from './CountsDialog.vue'
import { copiesWords } from './copies-words.ts'
import UseDialog from './UseDialog.vue'

/** Which pairs of the deck go on the board, and how they are picked. */
const props = defineProps<{ settings: Settings }>()
const bench = useBench()
const pairs = computed(() => bench.game!.deck.pairs)
const use = computed(() => props.settings.fill.use)
const selection = computed(() => selectPairs(pairs.value, use.value))
const byCounts = computed(() => props.settings.fill.repeat === 'counts')
const idle = computed(() => ['use', 'pick', 'counts'].filter((key) => !isInUse(props.settings, 'fill', key)))
/** the faces that may appear, each once */
const rows = computed(() => [...new Set(drawnPairs(pairs.value, props.settings.fill))])
/** half a pair more on an odd board, which its finding reports */
const pairCount = computed(() => Math.ceil(openCells(props.settings.board).length / 2))
const SHOWN = 17
const choosing = ref(false)
const counting = ref(false)

const from = computed(() => {
  const { length } = pairs.value
  if (use.value === 'all') return `the whole deck, ${countWords(length, 'pair')}`
  if ('tags' in use.value) return use.value.tags.length ? use.value.tags.join(', ') : 'no tag'
  if ('pairs' in use.value) return `${selection.value.length} chosen pairs`
  return use.value.from === 1
    ? `the first ${use.value.to} of the deck`
    : `places ${use.value.from} to ${use.value.to}`
})

const sentence = computed(() => {
  if (props.settings.deal.way === 'arranged')
    return 'Laid by hand: changes here apply when the cards are dealt anew.'
  const { pick } = props.settings.fill
  if (byCounts.value)
    return copiesWords(copiesOf(pairs.value, props.settings.fill, pairCount.value)!, 0, pairCount.value)
  const selectionSize = selection.value.length
  const copies = copiesOf(pairs.value, props.settings.fill, pairCount.value)
  if (!copies && selectionSize >= pairCount.value) {
    const all =
      selectionSize === pairCount.value
        ? ', all of them'
        : pick === 'random'
          ? ', picked at random'
          : ', the first ones'
    return `${countWords(pairCount.value, 'pair')} from ${selectionSize}${all}.`
  }
  const sentence = `${countWords(selectionSize, 'pair')} chosen, ${pairCount.value} needed.`
  return copies ? `${sentence} ${copiesWords(copies, selectionSize, pairCount.value)}` : sentence
})
const repeatWords = settingWords('fill', 'repeat')
/** Counts that do not fill the board start as even as possible. */
function setRepeat(repeat: Repeat): void {
  const { fill } = props.settings
  const sum = drawnPairs(pairs.value, { ...fill, repeat: 'counts' }).length
  const anew = repeat === 'counts' && sum !== pairCount.value && selection.value.length > 0
  const counts = anew ? { counts: evenCounts(pairs.value, selection.value, pairCount.value) } : {}
  bench.set('fill', { repeat, ...counts }, `change "${repeatWords.label}"`)
}
const look = (): void => void (byCounts.value ? (counting.value = true) : (choosing.value = true))
</script>

<template>
  <section aria-labelledby="fill-title">
    <h3 id="fill-title">Pairs</h3>
    <div v-if="!byCounts" class="row">
      <span>From</span>
      <span
        ><ElButton class="from" @click="choosing = true">
          <span class="hidden-text">Choose which pairs are used: </span>{{ from }}</ElButton
        ><OwnTab section="fill" :names="['use']"
      /></span>
    </div>
    <div v-if="!idle.includes('pick')" class="row">
      <span>Picked</span>
      <SettingChoice section="fill" name="pick" />
    </div>
    <div class="row">
      <span>Repeated</span>
      <span
        ><ChoiceWord
          :model-value="settings.fill.repeat"
          :label="repeatWords.label"
          :choices="repeatWords.choices as [Repeat, string][]"
          @update:model-value="setRepeat" /><OwnTab
          section="fill"
          :names="byCounts ? ['repeat', 'counts'] : ['repeat']"
      /></span>
    </div>
    <IdleOwn tag="p" section="fill" :names="idle" />
    <p class="note">{{ sentence }}</p>
    <ElButton class="faces" @click="look">
      <span class="hidden-text">{{
        byCounts ? 'Say how many pairs of each' : 'Look at the faces and choose'
      }}</span>
      <span v-for="at in rows.slice(0, SHOWN)" :key="at" class="one">
        <FaceView :face="pairs[at]!.a" :ratio="1" />
        <b v-if="byCounts" aria-hidden="true">{{ settings.fill.counts[pairs[at]!.id] }}</b>
      </span>
      <span v-if="rows.length > SHOWN" class="one more" aria-hidden="true">+{{ rows.length - SHOWN }}</span>
      <span v-if="rows.length === 0" class="soft">no pairs: choose some</span>
    </ElButton>
    <CountsDialog v-model="counting" :fill="settings.fill" :needed="pairCount" />
    <UseDialog v-model="choosing" :use="use" :needed="pairCount" />
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
  justify-content: start;
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
.one {
  position: relative;
}
.one b {
  position: absolute;
  right: -5px;
  bottom: -4px;
  min-width: 16px;
  padding: 0 3px;
  border-radius: 8px;
  background: var(--lagoon);
  color: #fff;
  font-size: 12px;
  line-height: 16px;
  text-align: center;
}
.more {
  display: grid;
  place-items: center;
  width: auto;
  padding: 0 6px;
  font-size: 13px;
}
</style>
