<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import IconSave from '~icons/ph/download-simple'
import { computed, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { isSeed } from '../../../core/deal/seed.ts'
import { seedsFrom, type DealtFormat } from '../../../core/files/dealt-file.ts'
import { fileStem } from '../../../core/game/names.ts'
import { problemLine } from '../../../core/result.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { download } from '../../parts/files/download.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { useView } from '../../store/view.ts'
import { lightPairs, plain } from '../../workers/jobs/for-worker.ts'
import { startJob } from '../../workers/jobs/job.ts'
import { useJob } from '../../workers/jobs/useJob.ts'

/** The deal on screen, or many from its seed, to export: for another program, or for people. */
const props = defineProps<{ settings: Settings }>()
const bench = useBench()
const view = useView()
const { say } = useToasts()

const MOST = 10_000
const count = ref(1)
const format = ref<DealtFormat>('json')
const FORMATS: [DealtFormat, string][] = [
  ['json', 'lines of JSON'],
  ['grid', 'grids of text'],
  ['csv', 'CSV'],
]
const FILES: Record<DealtFormat, [ending: string, type: string]> = {
  json: ['jsonl', 'application/jsonl'],
  grid: ['txt', 'text/plain'],
  csv: ['csv', 'text/csv'],
}
const { share, run, cancel } = useJob((message) =>
  say(`The deals could not be made: ${message}`, { tone: 'wrong' }),
)
const seeds = computed(() => {
  const all = seedsFrom(view.seed, count.value)
  return count.value === 1
    ? `The deal shown here, with the seed ${all[0]}.`
    : `With the seeds ${all[0]} to ${all.at(-1)}.`
})

/** The deals as text, or null if they were cancelled or could not be made. */
async function make(): Promise<string | null> {
  const { seed } = view
  if (!isSeed(seedsFrom(seed, count.value).at(-1)!)) {
    say('With a number added this seed is too long; use a shorter one', { tone: 'wrong' })
    return null
  }
  const { board, fill, deal } = props.settings
  const input = {
    pairs: lightPairs(bench.game!.deck.pairs),
    settings: plain({ board, fill, deal }),
    level: { id: bench.level?.id ?? 'house', name: bench.level?.name ?? 'House rules' },
    seed,
    count: count.value,
    format: format.value,
  }
  const boards = await run((progress) => startJob('writeDeals', input, { progress }))
  if (boards?.ok) return boards.value
  if (boards) say(`This cannot be dealt: ${problemLine(boards.problem)}`, { tone: 'wrong' })
  return null
}
const deals = (): string => (count.value === 1 ? 'The deal is' : `${countWords(count.value, 'deal')} are`)
async function copy(): Promise<void> {
  const text = await make()
  if (text === null) return
  try {
    await navigator.clipboard.writeText(text)
    say(`${deals()} on the clipboard`)
  } catch {
    say('This browser does not allow copying; download the deals instead', { tone: 'wrong' })
  }
}
async function save(): Promise<void> {
  const text = await make()
  if (text === null) return
  const [ending, type] = FILES[format.value]
  download(`${fileStem(bench.game!)}-${bench.level?.id ?? 'house'}-deals.${ending}`, text, type)
}
</script>

<template>
  <section aria-labelledby="dealt-title">
    <h3 id="dealt-title">Deals to export</h3>
    <div class="row">
      <span>
        <NumberWord v-model="count" label="How many deals to export" :bounds="[1, MOST]" />
        {{ count === 1 ? 'deal' : 'deals' }} as
        <ChoiceWord v-model="format" label="Format of the deals" :choices="FORMATS" />
      </span>
      <span v-if="share !== null" class="buttons">
        <ElProgress class="going" :percentage="share * 100" :show-text="false" aria-label="Dealing" />
        <ElButton class="btn" @click="cancel">Stop</ElButton>
      </span>
      <span v-else class="buttons">
        <ElButton class="btn" aria-label="Copy the deals" @click="copy"><IconCopy />Copy</ElButton>
        <ElButton class="btn" aria-label="Save the deals" @click="save"><IconSave />Save</ElButton>
      </span>
    </div>
    <p class="note">{{ seeds }}</p>
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.row > span:first-child {
  color: inherit;
}
.buttons {
  display: flex;
  align-items: center;
  gap: 6px;
}
.going {
  width: 70px;
}
.btn {
  min-height: 32px;
  padding: 0 9px;
  font-size: 14px;
}
</style>
