<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { LEVERS, leverPatch, leverValue, type Lever } from '../../../core/odds/levers.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useDone } from '../../parts/toast/useDone.ts'
import { useBench } from '../../store/bench.ts'
import { LEVER_WORDS, leverWords, ofHundred } from '../../parts/settings/lever-words.ts'
import { useAnswer } from './useAnswer.ts'
import type { OddsSubject } from './useOddsSubject.ts'
import { isOneOf, isWithin, useChoice } from '../../parts/settings/useChoice.ts'

/** "So that 7 of 10 everyday players win, the clock has to be 2:58": every word a choice, and one press sets it. */
const props = defineProps<{ subject: OddsSubject; minds: readonly Mind[]; ready: boolean }>()
/** the mind that the sentence is about, which the panels beside it are about too */
const who = defineModel<string>('who', { required: true })
const bench = useBench()
const tell = useDone()

const tenths = useChoice('odds-tenths', 7, isWithin([1, 10]))
const by = useChoice<Lever>('odds-by', 'clock', isOneOf(LEVERS))
const where = ref<'level' | 'house'>('level')
const mind = computed(() => props.minds.find(({ id }) => id === who.value) ?? props.minds[0]!)
const {
  answer: solution,
  working,
  done,
} = useAnswer(
  () => props.subject,
  () =>
    props.ready
      ? { ask: 'solve', wanted: { mind: mind.value, share: tenths.value / 10, by: by.value } }
      : null,
)
const WHO = computed(() => props.minds.map(({ id, name }) => [id, name.toLowerCase()] as const))
const BY = LEVERS.map((lever) => [lever, LEVER_WORDS[lever]] as const)
const WHERE = computed(
  () =>
    [
      ['level', `on ${props.subject.level.name}`],
      ['house', 'in the house rules'],
    ] as const,
)

/** both ends of what would do as well, each to be set by one press; none if there is only the value itself */
const ends = computed(() => {
  const [from, to] = solution.value?.ok ? solution.value.range : [0, 0]
  return from === to ? [] : [from, to]
})
const isSet = computed(
  () => solution.value?.ok === true && leverValue(props.subject.settings, by.value) === solution.value.value,
)
const wins = computed(() => {
  if (!solution.value) return ''
  const { wins: of, about } = ofHundred(solution.value.wins.won, solution.value.wins.games)
  return `${of} of 100 win (${about})`
})
const ENDED = {
  clock: 'the clock ends',
  lives: 'lives end',
  turns: 'the turn limit ends',
  'given-up': 'nothing ends',
  won: '',
}
const why = computed(() => {
  if (!solution.value || solution.value.ok) return ''
  if (solution.value.why === 'no-effect') return `This rule changes nothing here: ${wins.value}.`
  const most = solution.value.most
  return `No value works: the best is ${leverWords(by.value, solution.value.value)}, with which ${wins.value}${most ? `; ${ENDED[most]} most other games` : ''}.`
})
function set(value: number): void {
  const rung = where.value === 'level' ? props.subject.level.id : null
  const { section, patch } = leverPatch(by.value, value)
  bench.set(section, patch, `set the ${LEVER_WORDS[by.value]}`, 'single', rung)
  tell(
    `The ${LEVER_WORDS[by.value]} is ${leverWords(by.value, value)} ${where.value === 'level' ? `on ${props.subject.level.name}` : 'in the house rules'}`,
  )
}
</script>

<template>
  <section class="solve" aria-label="What has to be">
    <p>
      So that at least <NumberWord v-model="tenths" label="Wins of 10" :bounds="[1, 10]" /> of 10
      <ChoiceWord v-model="who" label="Mind" :choices="WHO" /> players win, the
      <ChoiceWord v-model="by" label="Rule to solve for" :choices="BY" /> has to be
      <template v-if="working">
        <span class="soft" role="status">… searching, {{ Math.round(done * 100) }} %</span>
      </template>
      <template v-else-if="solution?.ok">
        <b class="value">{{ leverWords(by, solution.value) }}</b>
        <span class="soft"
          >{{ wins
          }}<template v-if="ends.length"
            >; from
            <template v-for="(end, i) in ends" :key="i"
              ><template v-if="i > 0"> to </template
              ><ElButton class="end" data-tip="Set this one" @click="set(end)">{{
                leverWords(by, end)
              }}</ElButton></template
            >
            would do as well</template
          ></span
        >
      </template>
      <span v-else-if="why">… {{ why }}</span>
      <span v-else class="soft">…</span>
    </p>
    <span class="setting">
      <ElButton
        class="btn main"
        :disabled="!solution?.ok || working || isSet"
        @click="solution?.ok && set(solution.value)"
        >{{ isSet ? 'Is set' : 'Set it' }}</ElButton
      >
      <ChoiceWord v-model="where" label="Where it is set" :choices="WHERE" />
    </span>
  </section>
</template>

<style scoped>
.solve {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 10px 16px;
  border-radius: var(--round-card);
  background: var(--lagoon-pale);
}
p {
  flex: 1;
  margin: 0;
  font-size: 17px;
  line-height: 1.6;
}
.value {
  font: 700 20px/1.2 var(--head);
}
p .soft {
  margin-left: 6px;
  font-size: 14px;
}
.end {
  height: auto;
  padding: 0 2px;
  border: 0;
  background: none;
  color: var(--lagoon);
  font: inherit;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
.setting {
  display: grid;
  flex: none;
  gap: 4px;
  justify-items: center;
  font-size: 14px;
}
</style>
