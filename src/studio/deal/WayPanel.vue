<script setup lang="ts">
import IconDeal from '~icons/ph/cards-three'
import { computed } from 'vue'
import { isSeed } from '../../core/deal/seed.ts'
import { LENGTHS, type Settings, type Way } from '../../core/game/settings.ts'
import ChoiceWord from '../settings/ChoiceWord.vue'
import OwnTab from '../settings/OwnTab.vue'
import SettingChoice from '../settings/SettingChoice.vue'
import { useBench } from '../store/bench.ts'
import { useView } from '../store/view.ts'

const props = defineProps<{ settings: Settings }>()
const bench = useBench()
const view = useView()

const NAMES: Record<Way, string> = {
  shuffled: 'shuffled',
  'in-order': 'in order',
  apart: 'twins apart',
  close: 'twins close',
  arranged: 'as laid by hand',
}
/** The ways that can be chosen here, and the one a file may have brought. */
const WAYS = computed(() =>
  (['shuffled', 'in-order', props.settings.deal.way] as Way[])
    .filter((way, i, all) => all.indexOf(way) === i)
    .map((way) => [way, NAMES[way]] as const),
)
const NOTES: Partial<Record<Way, string>> = {
  shuffled: 'Every arrangement of the cards is equally likely.',
  'in-order': 'Twins lie side by side, row by row: for testing.',
}
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
      <SettingChoice section="deal" name="way" label="Way of dealing" :choices="WAYS" />
    </div>
    <p class="note">{{ NOTES[settings.deal.way] }}</p>
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
          :disabled="rule !== 'every-play'"
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
