<script setup lang="ts">
import IconDeal from '~icons/ph/cards-three'
import { computed } from 'vue'
import { logDeals } from '../../core/deal/count.ts'
import { stepsReach } from '../../core/deal/deal.ts'
import { isSeed } from '../../core/deal/seed.ts'
import { BOUNDS, LENGTHS, WAYS, type Settings, type Way } from '../../core/game/settings.ts'
import { layAnew } from '../findings/mends.ts'
import ChoiceWord from '../settings/ChoiceWord.vue'
import NumberWord from '../settings/NumberWord.vue'
import OwnTab from '../settings/OwnTab.vue'
import { useBench } from '../store/bench.ts'
import { useView } from '../store/view.ts'
import { bigNumber } from './big-number.ts'

/** How the cards come to lie, and by which seed. `laid` is the deal that is seen, from which a board laid by hand starts. */
const props = defineProps<{ settings: Settings; laid: (string | null)[] | null }>()
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
const reach = computed(() => stepsReach(bench.game!.deck.pairs, props.settings))

/** A way that the board can hold is set with steps that it can hold. */
function choose(next: Way): void {
  const { steps } = props.settings.deal
  const limit = next === 'apart' || next === 'close' ? reach.value?.[next] : undefined
  const fits =
    limit === undefined ? steps : next === 'apart' ? Math.min(steps, limit) : Math.max(steps, limit)
  const laid = next === 'arranged' ? (props.laid ?? layAnew(bench.game!, props.settings)) : null
  bench.set(
    'deal',
    { way: next, ...(fits === steps ? {} : { steps: fits }), ...(laid ? { arranged: laid } : {}) },
    'change the way of dealing',
  )
}

const count = computed(() => {
  const pairs = bench.game!.deck.pairs
  if (reach.value === null && way.value !== 'arranged') return ''
  const log = logDeals(pairs, props.settings)
  if (log !== null)
    return log === -Infinity ? '' : log === 0 ? 'One deal' : `${bigNumber(log)} different deals`
  const most = logDeals(pairs, { ...props.settings, deal: { ...props.settings.deal, way: 'shuffled' } })
  return most === null ? '' : `Fewer than ${bigNumber(most)} different deals`
})
const note = computed(() => {
  const deals = count.value ? `${count.value}` : ''
  switch (way.value) {
    case 'shuffled':
      return `Every arrangement of the cards is equally likely. ${deals && `${deals}.`}`
    case 'in-order':
      return `Twins lie side by side, row by row: for testing. ${deals && `${deals}.`}`
    case 'arranged':
      return 'Every round is dealt as you lay it: drag a card onto another, or move it with Shift and an arrow.'
    default:
      return `Every arrangement that keeps the rule is equally likely. ${deals && `${deals}.`}`
  }
})
const limit = computed(() => {
  if (!reach.value || (way.value !== 'apart' && way.value !== 'close')) return ''
  return way.value === 'apart'
    ? `This board holds at most ${reach.value.apart}.`
    : `This board holds ${reach.value.close} or more.`
})

type Rule = 'every-play' | 'daily' | 'fixed'
const rule = computed<Rule>(() => {
  const { seed } = props.settings.deal
  return typeof seed === 'string' ? seed : 'fixed'
})
const RULES: [Rule, string][] = [
  ['every-play', 'for every play'],
  ['daily', 'for every day'],
  ['fixed', 'never: always this one'],
]
function setRule(next: Rule): void {
  bench.set('deal', { seed: next === 'fixed' ? { fixed: view.seed || 'first' } : next }, 'change the seed')
}
function typeSeed(event: Event): void {
  const field = event.target as HTMLInputElement
  const text = field.value.trim()
  if (!isSeed(text)) field.value = view.seed
  else if (rule.value === 'fixed') bench.set('deal', { seed: { fixed: text } }, 'change the seed')
  else view.seed = text
}
</script>

<template>
  <section aria-labelledby="way-title">
    <h3 id="way-title">Way of dealing</h3>
    <div class="row">
      <span>Cards lie</span>
      <span
        ><ChoiceWord
          :model-value="way"
          label="Way of dealing"
          :choices="CHOICES"
          @update:model-value="choose" /><OwnTab section="deal" :names="['way', 'arranged']"
      /></span>
    </div>
    <div v-if="way === 'apart' || way === 'close'" class="row">
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
    <p class="note">{{ limit }} {{ note }}</p>
    <h3>Seed</h3>
    <div class="row">
      <span>A new one</span>
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
        <input
          id="seed"
          :value="view.seed"
          :maxlength="LENGTHS.seed"
          spellcheck="false"
          autocomplete="off"
          @change="typeSeed"
        />
        <button
          class="btn"
          type="button"
          title="Deal again (D)"
          :disabled="rule !== 'every-play' || way === 'arranged'"
          @click="view.dealAgain"
        >
          <IconDeal />Deal<span class="hidden-text"> again</span>
        </button>
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
.seed input {
  width: 112px;
  padding: 2px 4px;
  border: 0;
  border-bottom: 2px solid var(--lagoon);
  background: none;
  color: inherit;
  font: 700 15px var(--body);
  text-align: center;
}
</style>
