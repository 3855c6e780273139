<script setup lang="ts">
import { ElButton, ElCheckbox } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { openCells } from '../../../core/board/cells.ts'
import { drawnPairs } from '../../../core/deck/select.ts'
import { resolveLevel, type Level } from '../../../core/settings/levels.ts'
import { stopOf } from '../../../core/findings/findings.ts'
import { findingLine } from '../../../core/findings/words.ts'
import {
  LADDER_LEVELS,
  ladderEnds,
  makeLadder,
  namesAfter,
  type LadderEnd,
} from '../../../core/settings/ladder.ts'
import type { Lever } from '../../../core/odds/levers.ts'
import { mindsOf } from '../../../core/settings/seats.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import BoardMini from '../../parts/cards/BoardMini.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import NestedRows from '../../parts/cards/NestedRows.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { writeNumber } from '../../parts/settings/numbers.ts'
import { LEVER_WORDS, leverWords, ofHundred } from '../../parts/settings/lever-words.ts'
import { useBench } from '../../store/bench.ts'
import { useSolvedLimits } from './useSolvedLimits.ts'

/** Levels between an easiest and a hardest board, with a preview. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [levels: Level[], instead: boolean] }>()
const bench = useBench()
const ends = reactive(ladderEnds(bench.game?.deck.pairs.length ?? 0))
const count = ref(6)
const limits = ref<'times' | 'wins' | 'none'>('times')
const LIMITS = [
  ['times', 'a clock from one time to the other'],
  ['wins', 'a limit for so many wins'],
  ['none', 'no clock'],
] as const
/** of 100, on the first level and on the last */
const band = reactive<[number, number]>([90, 60])
const who = ref('everyday')
const by = ref<Lever>('clock')
const minds = computed(() => (bench.game ? mindsOf(bench.game) : []))
const WHO = computed(() => minds.value.map(({ id, name }) => [id, name.toLowerCase()] as const))
const BY = (['clock', 'lives', 'turns'] as const).map((lever) => [lever, LEVER_WORDS[lever]] as const)
const nested = ref(false)
const deck = computed(() => bench.game?.deck.pairs ?? [])
const NAMES = ['The easiest', 'The hardest'] as const

const odd = computed(() => ends.map(({ rows, columns }) => (rows * columns) % 2 === 1))
/** The new levels, to follow those that are there, or `instead` of them. */
function makeLevels(instead: boolean): Level[] {
  if (odd.value.includes(true)) return []
  const there = instead ? [] : (bench.game?.levels ?? [])
  const [from, to] = ends.map((end) => ({ ...end, limit: limits.value === 'times' ? end.limit : null })) as [
    LadderEnd,
    LadderEnd,
  ]
  return makeLadder(from, to, count.value, {
    taken: there.map(({ id }) => id),
    names: namesAfter(there, count.value),
    deck: nested.value ? deck.value.length : null,
  })
}
const bareLevels = computed(() => (open.value ? makeLevels(false) : []))
const wins = computed(() => {
  const mind = minds.value.find(({ id }) => id === who.value) ?? minds.value[0]
  const shares = [band[0] / 100, band[1] / 100] as const
  return limits.value === 'wins' && mind ? { mind, by: by.value, band: shares } : null
})
const { solved, working, done, limited } = useSolvedLimits(
  () => bareLevels.value,
  () => wins.value,
)
const levels = computed(() => limited(bareLevels.value))
/** What limits a level. */
function limitWords({ clock, limits: own }: Level, i: number): string {
  const one = solved.value[i]
  if (limits.value !== 'wins') return clock?.limit ? writeNumber(clock.limit, 'clock') : ''
  if (!one?.ok) return one ? 'no value works' : working.value ? '…' : ''
  const value = by.value === 'clock' ? clock!.limit! : own![by.value as 'lives' | 'turns']!
  return leverWords(by.value, value)
}
function winWords(i: number): string {
  const one = solved.value[i]
  return limits.value === 'wins' && one ? `${ofHundred(one.wins.won, one.wins.games).wins} of 100 win` : ''
}
const firstOf = ({ fill }: Level): number =>
  fill?.use && typeof fill.use === 'object' && 'to' in fill.use ? fill.use.to : 0
/** Which pairs of the deck lie on a level's board. */
function pairWords(level: Level): string {
  const { fill, board } = resolveLevel(bench.game!, level)
  const available = new Set(drawnPairs(deck.value, fill)).size
  const pairCount = openCells(board).length / 2
  const pairs = countWords(pairCount, 'pair')
  if (available < pairCount) return `${pairs}, from ${available}`
  if (fill.repeat === 'with-replacement') return `${pairs}, each drawn from ${available}`
  const { use } = fill
  const isFirst = typeof use === 'object' && 'to' in use && use.from === 1
  if (available === pairCount && isFirst) return `the first ${pairs}`
  if (available === pairCount) return available === deck.value.length ? `all ${pairs}` : pairs
  return fill.pick === 'first'
    ? `the first ${pairs}`
    : `${pairs} of ${isFirst ? 'the first ' : ''}${available}`
}
/** What would stop one of them, shown before they are made. */
const stops = computed(() => {
  if (!open.value || !bench.game) return []
  const game = { ...bench.game, levels: levels.value }
  return levels.value.flatMap((level) => stopOf(game, level) ?? [])
})
function take(instead: boolean): void {
  emit('add', limited(makeLevels(instead)), instead)
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Make a ladder" :width="820">
    <div class="ends">
      <section v-for="(end, i) in ends" :key="i" :aria-label="NAMES[i]">
        <h3>{{ NAMES[i] }}</h3>
        <p>
          <NumberWord
            v-model="end.rows"
            :label="`Rows, ${NAMES[i]!.toLowerCase()}`"
            :bounds="BOUNDS.side"
            unit="count"
          />
          rows of
          <NumberWord
            v-model="end.columns"
            :label="`Columns, ${NAMES[i]!.toLowerCase()}`"
            :bounds="BOUNDS.side"
            unit="count"
          />; misses stay open for
          <NumberWord
            v-model="end.missLook"
            :label="`Look time of a miss, ${NAMES[i]!.toLowerCase()}`"
            :bounds="BOUNDS.look"
            unit="seconds"
          />, the first look lasts
          <NumberWord
            v-model="end.firstLook"
            :label="`First look, ${NAMES[i]!.toLowerCase()}`"
            :bounds="BOUNDS.look"
            unit="seconds"
          /><template v-if="limits === 'times' && end.limit !== null"
            >, the clock counts down from
            <NumberWord
              v-model="end.limit"
              :label="`Clock, ${NAMES[i]!.toLowerCase()}`"
              :bounds="BOUNDS.limit"
              unit="clock" /></template
          >.
        </p>
        <p v-if="odd[i]" class="bad" role="alert">
          {{ end.rows }} × {{ end.columns }} is odd: one card would have no twin. Change one of the two.
        </p>
      </section>
    </div>
    <p class="count">
      <NumberWord v-model="count" label="How many levels" :bounds="LADDER_LEVELS" unit="count" /> levels, with
      <ChoiceWord v-model="limits" label="Limits" :choices="LIMITS" />.
    </p>
    <p v-if="limits === 'wins'">
      From <NumberWord v-model="band[0]" label="Wins of 100, the easiest" :bounds="[1, 99]" /> of 100 on the
      first level to <NumberWord v-model="band[1]" label="Wins of 100, the hardest" :bounds="[1, 99]" /> on
      the last, of <ChoiceWord v-model="who" label="Mind" :choices="WHO" /> players, by the
      <ChoiceWord v-model="by" label="Rule to solve for" :choices="BY" />.
      <span v-if="working" class="soft" role="status"
        >Solving each level … {{ Math.round(done * 100) }} %</span
      >
    </p>
    <ElCheckbox v-model="nested" class="nested" :disabled="deck.length === 0"
      >each with the first pairs of the deck, more on each level</ElCheckbox
    >
    <ol class="rungs" aria-label="Preview of the ladder">
      <li v-for="(level, i) in levels" :key="level.id">
        <BoardMini :board="{ rows: level.board!.rows!, columns: level.board!.columns!, gaps: [] }" />
        <strong>{{ level.name }}</strong>
        <span class="soft">{{ level.board!.rows }} × {{ level.board!.columns }}</span>
        <span class="soft">{{ pairWords(level) }}</span>
        <span v-if="limitWords(level, i)" class="soft">{{ limitWords(level, i) }}</span>
        <span v-if="winWords(i)" class="soft">{{ winWords(i) }}</span>
        <span class="soft">{{ writeNumber(level.turn!.missLook!, 'seconds') }}</span>
      </li>
    </ol>
    <NestedRows
      v-if="nested"
      :pairs="deck"
      :rows="levels.map((level) => ({ id: level.id, name: level.name, first: firstOf(level) }))"
    />
    <p v-for="(one, i) in stops.slice(0, 3)" :key="i" class="bad">{{ findingLine(one, levels) }}.</p>
    <template #buttons>
      <ElButton class="btn" :disabled="!levels.length || working" @click="take(false)">
        Add these levels
      </ElButton>
      <ElButton class="btn main" :disabled="!levels.length || working" @click="take(true)">
        Replace all levels
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.count {
  margin: 12px 0 0;
  line-height: 1.9;
}
.nested {
  --el-checkbox-font-size: inherit;
}
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  line-height: 1.9;
}
.rungs {
  display: flex;
  align-items: flex-end;
  justify-content: safe center;
  gap: 18px;
  margin: 16px 0 6px;
  padding: 12px;
  overflow-x: auto;
  border-radius: var(--round);
  background: var(--paper);
  list-style: none;
}
.rungs li {
  display: grid;
  justify-items: center;
  gap: 2px;
  font-size: 14px;
  white-space: nowrap;
}
.bad {
  color: var(--brick);
}
</style>
