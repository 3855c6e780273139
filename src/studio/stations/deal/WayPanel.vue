<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import IconDeal from '~icons/ph/cards-three'
import { computed, ref, watch } from 'vue'
import { openCells } from '../../../core/board/cells.ts'
import { isSeed } from '../../../core/deal/seed.ts'
import { comeAgain, drawnPairs } from '../../../core/deck/select.ts'
import { BOUNDS, LENGTHS } from '../../../core/settings/bounds.ts'
import { WAYS, type Settings, type Way } from '../../../core/settings/settings.ts'
import { layAnew } from '../../../core/findings/mends.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import { useBench } from '../../store/bench.ts'
import { useView } from '../../store/view.ts'
import { useFigures } from '../../workers/jobs/useFigures.ts'
import { bigNumber } from './big-number.ts'

/**
 * How the cards are laid, and by which seed. `laid` gives the deal on screen, which a board laid by hand starts from.
 */
const props = defineProps<{ settings: Settings; laid: () => (string | null)[] | null }>()
const bench = useBench()
const view = useView()

const NAMES: Record<Way, string> = {
  shuffled: 'shuffled',
  'in-order': 'in order',
  apart: 'twins apart',
  close: 'twins close',
  arranged: 'as laid by hand',
}
const CHOICES = WAYS.map((way) => [way, NAMES[way]] as const)
const way = computed(() => props.settings.deal.way)
/** whether the way depends on steps between twins */
const stepped = computed(() => way.value === 'apart' || way.value === 'close')
const { figures, working } = useFigures('dealFigures', () => ({
  pairs: bench.game!.deck.pairs,
  settings: props.settings,
}))
const reach = computed(() => figures.value?.reach ?? null)

/** A way that the board can hold is set with steps that it can hold. */
function choose(next: Way): void {
  const { steps } = props.settings.deal
  const limit = next === 'apart' || next === 'close' ? reach.value?.[next] : undefined
  const fits =
    limit === undefined ? steps : next === 'apart' ? Math.min(steps, limit) : Math.max(steps, limit)
  const layout = next === 'arranged' ? (props.laid() ?? layAnew(bench.game!, props.settings)) : null
  bench.set(
    'deal',
    { way: next, ...(fits === steps ? {} : { steps: fits }), ...(layout ? { arranged: layout } : {}) },
    'change the way of dealing',
  )
}

/** Whether some pair is on the board more than once. */
const repeated = computed(() => {
  const { board, fill } = props.settings
  return comeAgain(drawnPairs(bench.game!.deck.pairs, fill), openCells(board).length / 2, fill)
})
const deals = computed(() => {
  const { exactly, most } = figures.value ?? { exactly: null, most: null }
  if (exactly === -Infinity) return ''
  if (exactly === 0) return 'There is one deal.'
  if (exactly !== null) return `There are ${bigNumber(exactly)} different deals.`
  return most === null ? '' : `There are at most ${bigNumber(most)} different deals.`
})
const NOTES: Record<Way, [once: string, repeated: string]> = {
  shuffled: [
    'Every arrangement of the cards is equally likely.',
    'Every arrangement of the cards is equally likely.',
  ],
  'in-order': [
    'Twins are side by side, row by row: for testing.',
    'Twins are side by side, row by row: for testing.',
  ],
  apart: [
    'Every arrangement that keeps the rule is equally likely.',
    'Arrangements that keep the rule are drawn about equally often; with little room, some may never come up.',
  ],
  close: [
    'Every arrangement that keeps the rule is equally likely.',
    'Every way to pair the cells is equally likely, so an arrangement whose cards pair up in several ways comes up more often.',
  ],
  arranged: [
    'Every round is dealt as you lay it: drag a card onto another, or move it with Shift and an arrow.',
    'Every round is dealt as you lay it: drag a card onto another, or move it with Shift and an arrow.',
  ],
}
const note = computed(() => NOTES[way.value][repeated.value ? 1 : 0])
const limit = computed(() => {
  if (!reach.value || (way.value !== 'apart' && way.value !== 'close')) return ''
  if (way.value === 'close') return `This board holds ${reach.value.close} or more.`
  return reach.value.proved
    ? `This board holds at most ${reach.value.apart}.`
    : `The most found for this board is ${reach.value.apart}.`
})

type Rule = 'every-play' | 'daily' | 'fixed'
const rule = computed<Rule>(() => {
  const { seed } = props.settings.deal
  return typeof seed === 'string' ? seed : 'fixed'
})
const RULES: [Rule, string][] = [
  ['every-play', 'every play'],
  ['daily', 'every day'],
  ['fixed', 'always this one'],
]
function setRule(next: Rule): void {
  bench.set('deal', { seed: next === 'fixed' ? { fixed: view.seed || 'first' } : next }, 'change the seed')
}
/** the seed while it is being typed; new figures leave it alone */
const draft = ref('')
watch(
  () => view.seed,
  (seed) => (draft.value = seed),
  { immediate: true },
)
function typeSeed(): void {
  const text = draft.value.trim()
  if (!isSeed(text)) draft.value = view.seed
  else if (rule.value === 'fixed') bench.set('deal', { seed: { fixed: text } }, 'change the seed')
  else view.seed = text
}
</script>

<template>
  <section aria-labelledby="way-title">
    <h3 id="way-title">Way of dealing</h3>
    <div class="row">
      <span>Arrangement</span>
      <span
        ><ChoiceWord
          :model-value="way"
          label="Way of dealing"
          :choices="CHOICES"
          @update:model-value="choose" /><OwnTab
          section="deal"
          :names="way === 'arranged' ? ['way', 'arranged'] : ['way']"
      /></span>
    </div>
    <IdleOwn v-if="!stepped" tag="p" section="deal" :names="['steps']" />
    <IdleOwn v-if="way !== 'arranged'" tag="p" section="deal" :names="['arranged']" />
    <div v-if="stepped" class="row">
      <span>{{ way === 'apart' ? 'At least so many steps' : 'At most so many steps' }}</span>
      <span
        ><NumberWord
          :model-value="settings.deal.steps"
          label="Steps between twins"
          :bounds="BOUNDS.steps"
          @update:model-value="(steps) => bench.set('deal', { steps }, 'change the steps')" /><OwnTab
          section="deal"
          :names="['steps']"
      /></span>
    </div>
    <p class="note">
      {{ note }}
      <span :aria-busy="working">{{ limit }} {{ way === 'arranged' ? '' : deals }}</span>
      <span v-if="working" class="later soft">Working it out …</span>
    </p>
    <h3>Seed</h3>
    <div class="row">
      <span>New deal</span>
      <span
        ><ChoiceWord
          :model-value="rule"
          label="When the seed changes"
          :choices="RULES"
          @update:model-value="setRule" /><OwnTab section="deal" :names="['seed']"
      /></span>
    </div>
    <div class="row">
      <label for="seed">This deal</label>
      <span class="seed">
        <ElInput
          id="seed"
          v-model="draft"
          :maxlength="LENGTHS.seed"
          spellcheck="false"
          autocomplete="off"
          @change="typeSeed"
        />
        <ElButton
          class="btn"
          data-tip="Deal again (D)"
          :disabled="rule !== 'every-play' || way === 'arranged'"
          @click="view.dealAgain"
        >
          <IconDeal />Deal<span class="hidden-text"> again</span>
        </ElButton>
      </span>
    </div>
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
label {
  flex: none;
  color: var(--ink-soft);
}
.seed {
  display: flex;
  align-items: center;
  gap: 8px;
}
.seed .el-input {
  --el-input-border-color: transparent;
  --el-input-bg-color: transparent;
  width: 122px;
  border-bottom: 2px solid var(--lagoon);
}
.seed :deep(input) {
  font-weight: 700;
  text-align: center;
}
</style>
