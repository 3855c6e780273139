<script setup lang="ts">
import { ElButton, ElCheckbox } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import { computed, ref } from 'vue'
import { faceOnCard } from '../../../core/deck/face.ts'
import { cellName } from '../../../core/board/cells.ts'
import { textGrid } from '../../../core/files/text-grid.ts'
import { isLocked, timeLeft, timeUsed } from '../../../core/play/clock.ts'
import type { Table } from '../../../player/table.ts'
import { cardWords } from '../../../player/words.ts'
import SearchField from '../../parts/look/SearchField.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { clockDueIn, PHASE_WORDS, ledgerJson, ledgerText, sights, type LedgerRow } from './ledger-words.ts'
import LedgerCards from './LedgerCards.vue'
import LedgerEvents from './LedgerEvents.vue'
import { seconds } from '../../parts/settings/numbers.ts'

/**
 * Every card's state, and the list of events, as the machine has them. The table is a new value whenever it changed.
 */
const props = defineProps<{ table: Readonly<Table> }>()
const { say } = useToasts()
const query = ref('')
const follow = ref(true)
const SHOWN = [
  ['all', 'all'],
  ['turns', 'turns only'],
  ['refused', 'refused only'],
] as const
const filter = ref<(typeof SHOWN)[number][0]>('all')

const round = computed(() => props.table.round)
const columns = computed(() => props.table.settings.board.columns)
const rows = computed<LedgerRow[]>(() => {
  const now = round.value
  if (!now) return []
  const looks = sights(now.events!, now.cells.length)
  return now.states.flatMap((state, cell) => {
    if (state === null) return []
    const face = faceOnCard(now.cells[cell]!, props.table.game.deck.pairs)
    const order = cell === now.first ? 'first' : cell === now.second ? 'second' : ''
    return [
      {
        cell,
        name: cellName(cell, columns.value),
        face,
        words: cardWords(props.table, cell),
        state,
        order,
        ...looks[cell]!,
      },
    ]
  })
})
const matches = computed(() => {
  const searchText = query.value.trim().toLowerCase()
  if (!searchText) return rows.value
  return rows.value.filter(({ name, words, state, order }) =>
    [name, words, state, order].some((word) => word.toLowerCase().startsWith(searchText)),
  )
})
const events = computed(() => {
  const all = round.value?.events ?? []
  if (filter.value === 'refused') return all.filter(({ kind }) => kind === 'refused')
  if (filter.value === 'turns') return all.filter(({ kind }) => kind === 'match' || kind === 'miss')
  return [...all]
})
/** the cell of the last turned card, and how many were turned before it */
const last = computed(() => {
  const now = round.value
  if (!now) return { cell: -1, flips: 0 }
  return { cell: now.second < 0 ? now.first : now.second, flips: now.flips }
})
/** The clock and the lock, as they stand. */
const clock = computed(() => {
  const now = round.value
  if (!now) return ''
  const remaining = timeLeft(now)
  return [
    `${seconds(timeUsed(now))} used`,
    remaining === null ? '' : `${seconds(remaining)} left`,
    now.clock.running ? 'running' : 'stopped',
    isLocked(now) ? 'presses are ignored' : 'presses count',
  ]
    .filter(Boolean)
    .join(' · ')
})

async function copy(what: string, text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text)
    say(`${what} is on the clipboard`)
  } catch {
    say(`This browser does not let ${what.toLowerCase()} be copied`, { tone: 'wrong' })
  }
}
const copyBoard = (): Promise<void> => {
  const { game, level, seed } = props.table
  return copy('The board', textGrid(game.deck.pairs, level.name, seed, round.value!.cells, columns.value))
}
const copyText = (): Promise<void> =>
  copy('The ledger', ledgerText(rows.value, round.value!.events!, columns.value))
const copyJson = (): Promise<void> =>
  copy('The ledger', ledgerJson(rows.value, round.value!.events!, props.table.seed, props.table.level.id))
const phase = computed(() => (round.value ? PHASE_WORDS[round.value.phase] : ''))
const due = computed(() => (round.value ? clockDueIn(round.value) : ''))
</script>

<template>
  <section class="ledger" aria-labelledby="ledger">
    <h2 id="ledger" class="hidden-text">Ledger</h2>
    <p class="phase" :class="round?.phase" role="note" aria-label="Phase">
      <strong>{{ phase }}</strong> {{ due }}
    </p>
    <p class="clock">{{ clock }}</p>
    <div class="tools">
      <SearchField
        v-model="query"
        class="filter"
        label="Filter the cards"
        placeholder="cell, face or state"
      />
      <ElCheckbox v-model="follow">follow</ElCheckbox>
    </div>
    <LedgerCards :rows="matches" :last="last.cell" :flips="last.flips" :follow="follow" />
    <div class="tools">
      <h3>Events</h3>
      <ChoiceWord v-model="filter" label="Which events are shown" :choices="SHOWN" />
      <span class="copies">
        <ElButton class="copy" data-tip="Copy the board as text" :disabled="!round" @click="copyBoard">
          <IconCopy />board
        </ElButton>
        <ElButton class="copy" data-tip="Copy the ledger as text" :disabled="!round" @click="copyText"
          >text</ElButton
        >
        <ElButton class="copy" data-tip="Copy the ledger as JSON" :disabled="!round" @click="copyJson"
          >JSON</ElButton
        >
      </span>
    </div>
    <LedgerEvents :events="events" :columns="columns" />
  </section>
</template>

<style scoped>
.ledger {
  display: grid;
  grid-template-rows: auto auto auto minmax(80px, 3fr) auto minmax(80px, 2fr);
  gap: 8px;
  min-height: 0;
  height: 100%;
}
.phase {
  padding: 6px 12px;
  border-radius: var(--round);
  background: var(--lagoon-pale);
  font-size: 14px;
}
.clock {
  color: var(--ink-soft);
  font-size: 13px;
}
.tools {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 14px;
}
.filter {
  flex: 1;
  height: 30px;
}
.copies {
  display: flex;
  gap: 4px;
  margin-left: auto;
}
.copy {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  height: 26px;
  padding: 0 7px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: inherit;
  font: 500 13px var(--body);
  cursor: pointer;
}
.phase.judged,
.phase.paused,
.phase.first-look {
  background: var(--apricot-pale);
  color: #8c3713;
}
.phase.lost {
  background: var(--brick-pale);
  color: var(--brick);
}
</style>
