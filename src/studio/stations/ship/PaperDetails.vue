<script setup lang="ts">
import { computed } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import { languageName, type Language } from '../../../core/texts/languages.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { PAPER_BOUNDS, PAPERS, type Paper, type PaperOptions } from '../../../ship/paper/sheets.ts'
import type { PaperPage } from '../../../ship/paper/paper.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useBench } from '../../store/bench.ts'

/** What is printed, and how. */
const options = defineModel<PaperOptions>({ required: true })
const language = defineModel<Language>('language', { required: true })
defineProps<{ made: PaperPage | null; problem: string }>()
const bench = useBench()

const set = (change: Partial<PaperOptions>): void => {
  options.value = { ...options.value, ...change }
}
const papers = Object.entries(PAPERS).map(([id, { name }]) => [id, name] as [string, string])
const levels = computed((): [string, string][] => [
  ['', 'the whole deck, every pair once'],
  ...bench.game!.levels.map(({ id, name }): [string, string] => [id, `the level ${name}`]),
])
const languages = computed(() =>
  languagesOf(bench.game!).map((one) => [one, languageName(one)] as [string, string]),
)
/** a level whose pairs are drawn at random prints those of one deal */
const isDrawn = computed(() => {
  const level = bench.game!.levels.find(({ id }) => id === options.value.level)
  const fill = level && resolveLevel(bench.game!, level).fill
  return fill?.pick === 'random' || fill?.repeat === 'with-replacement'
})
</script>

<template>
  <div class="choosing">
    <p class="sentence">
      Print
      <ChoiceWord
        :model-value="options.level ?? ''"
        label="What is printed"
        :choices="levels"
        @update:model-value="(level) => set({ level: level || null })"
      />
      on
      <ChoiceWord
        :model-value="options.paper"
        label="Paper"
        :choices="papers"
        @update:model-value="(paper) => set({ paper: paper as Paper })"
      />, each card
      <NumberWord
        :model-value="options.width"
        label="Width of a card in mm"
        unit="mm"
        :bounds="PAPER_BOUNDS.width"
        @update:model-value="(width) => set({ width })"
      />
      mm wide<template v-if="languages.length > 1"
        >, with rules in
        <ChoiceWord v-model="language" label="Language of the rules" :choices="languages" /></template
      >.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="made" role="status">
      {{ countWords(made.cards, 'card') }} on {{ countWords(made.sheets, 'sheet') }}, and a page with the
      rules.
    </p>
    <p v-if="isDrawn" class="soft">This level draws its pairs at random: those of one deal are printed.</p>
    <h3>Printing</h3>
    <ol>
      <li>Print on both sides, and turn the sheet over its long edge. Fronts and backs alternate.</li>
      <li>Print at 100 %, without fitting to the page: the size in mm is then exact.</li>
      <li>Cut along the marks. Colours go 2 mm beyond the cut, so a small error leaves no white edge.</li>
      <li>For a PDF, choose that instead of a printer.</li>
    </ol>
  </div>
</template>

<style scoped src="./choosing.css"></style>
<style scoped>
ol {
  display: grid;
  gap: 6px;
  margin: 0;
  padding-left: 1.3em;
}
</style>
