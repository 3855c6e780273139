<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { wantedShare } from '../../../core/odds/even-out.ts'
import { LEVERS, leverPatch, leverValue, type Lever } from '../../../core/odds/levers.ts'
import { writeSettings } from '../../../core/settings/levels.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { useDone } from '../../parts/toast/useDone.ts'
import { useBench } from '../../store/bench.ts'
import { LEVER_WORDS, leverWords, ofHundred } from '../../parts/settings/lever-words.ts'
import { useAnswer } from './useAnswer.ts'
import type { OddsSubject } from './useOddsSubject.ts'

/** Every level solved for its part of the band: before and after, and one undo step. */
const props = defineProps<{
  subject: OddsSubject
  mind: Mind
  band: [number, number]
}>()
const open = defineModel<boolean>({ required: true })
const by = defineModel<Lever>('by', { required: true })
const bench = useBench()
const tell = useDone()
const { answer, working, done } = useAnswer(
  () => props.subject,
  () => (open.value ? { ask: 'even', mind: props.mind, band: props.band, by: by.value } : null),
  true,
)
const BY = LEVERS.map((lever) => [lever, LEVER_WORDS[lever]] as const)
const rows = computed(() => {
  const { levels } = props.subject
  return levels.map(({ level, settings }, place) => {
    const solution = answer.value?.[place] ?? null
    const before = leverValue(settings, by.value)
    return {
      id: level.id,
      name: level.name,
      wanted: Math.round(wantedShare(props.band, place, levels.length) * 100),
      before: before === null ? 'none' : leverWords(by.value, before),
      after: !answer.value ? '…' : solution?.ok ? leverWords(by.value, solution.value) : 'stays',
      wins: solution ? ofHundred(solution.wins.won, solution.wins.games) : null,
      why: answer.value && !solution ? 'cannot be dealt' : solution && !solution.ok ? 'no value works' : '',
      value: solution?.ok ? solution.value : null,
    }
  })
})
const differing = computed(() =>
  rows.value.filter(({ value, before, after }) => value !== null && before !== after),
)
/** How many levels that are, in words. */
const count = computed(() => countWords(differing.value.length, 'level'))

function set(): void {
  const changes = count.value
  let game = bench.game!
  for (const { id, value } of differing.value) {
    const { section, patch } = leverPatch(by.value, value!)
    game = writeSettings(game, id, section, patch)
  }
  bench.replace(game, 'even out the ladder')
  open.value = false
  tell(`The ladder is evened out: ${changes} changed`)
}
</script>

<template>
  <ModalDialog v-model="open" title="Even out the ladder" :width="680">
    <p>
      Wins of {{ mind.name.toLowerCase() }} players should change evenly from
      {{ Math.round(band[0] * 100) }} of 100 on the first level to {{ Math.round(band[1] * 100) }} on the
      last, by the <ChoiceWord v-model="by" label="Rule that is changed" :choices="BY" />.
    </p>
    <p v-if="working" class="soft" role="status">Solving each level … {{ Math.round(done * 100) }} %</p>
    <table aria-label="Before and after">
      <thead>
        <tr>
          <th scope="col">Level</th>
          <th scope="col">Wanted</th>
          <th scope="col">Before</th>
          <th scope="col">After</th>
          <th scope="col">Wins of 100 after</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.name }}</th>
          <td>{{ row.wanted }}</td>
          <td>{{ row.before }}</td>
          <td>
            <b>{{ row.after }}</b>
          </td>
          <td>
            <template v-if="row.wins"
              >{{ row.wins.wins }} <span class="soft">{{ row.wins.about }}</span></template
            >
            <span v-if="row.why" class="soft"> {{ row.why }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <template #buttons>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="working || !differing.length" @click="set">
        {{ working ? 'Change levels' : differing.length ? `Change ${count}` : 'Nothing to change' }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid var(--sand);
  text-align: left;
}
thead th {
  color: var(--ink-soft);
  font-size: 14px;
  font-weight: 600;
}
</style>
