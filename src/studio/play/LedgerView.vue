<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import IconCopy from '~icons/ph/copy'
import { computed, nextTick, ref, watch } from 'vue'
import { pairOf, sideOf } from '../../core/deck/card.ts'
import { cellName } from '../../core/deal/cells.ts'
import { clockDueIn } from './clock-words.ts'
import type { Table } from '../../player/table.ts'
import { cardWords } from '../../player/words.ts'
import FaceView from '../cards/FaceView.vue'
import { textGrid } from '../../core/deal/text-grid.ts'
import type { Reason } from '../../core/play/events.ts'
import { isLocked, timeLeft, timeUsed } from '../../core/play/clock.ts'
import ChoiceWord from '../settings/ChoiceWord.vue'
import { useToasts } from '../toast/useToasts.ts'
import { eventWords, ledgerJson, ledgerText, sights, type LedgerRow } from './ledger-words.ts'

/** Every card's state, and the list of events, as the machine has them. `version` grows with each change of the table. */
const props = defineProps<{ table: Readonly<Table>; version: number }>()
const MOST_EVENTS = 200
const { say } = useToasts()
const query = ref('')
const follow = ref(true)
const list = ref<HTMLElement>()
const SHOWN = [
  ['all', 'all'],
  ['turns', 'turns only'],
  ['refused', 'refused only'],
] as const
const shown = ref<(typeof SHOWN)[number][0]>('all')

const round = computed(() => (props.version, props.table.round))
const columns = computed(() => props.table.settings.board.columns)
const rows = computed<LedgerRow[]>(() => {
  const now = round.value
  if (!now || props.version < 0) return []
  const seen = sights(now.events!, now.cells.length)
  return now.states.flatMap((state, cell) => {
    if (state === null) return []
    const card = now.cells[cell]!
    const pair = props.table.game.deck.pairs[pairOf(card)]!
    const face = (sideOf(card) === 'b' && pair.b) || pair.a
    const order = cell === now.first ? 'first' : cell === now.second ? 'second' : ''
    return [
      {
        cell,
        name: cellName(cell, columns.value),
        face,
        words: cardWords(props.table, cell),
        state,
        order,
        ...seen[cell]!,
      },
    ]
  })
})
const found = computed(() => {
  const wanted = query.value.trim().toLowerCase()
  if (!wanted) return rows.value
  return rows.value.filter(({ name, words, state, order }) =>
    [name, words, state, order].some((word) => word.toLowerCase().startsWith(wanted)),
  )
})
/** Only the rows in sight are in the page, and some around them: a board may have hundreds. */
const ROW = 29
const AROUND = 12
const rowsInSight = useVirtualizer(
  computed(() => ({
    count: found.value.length,
    getScrollElement: () => list.value ?? null,
    estimateSize: () => ROW,
    scrollPaddingStart: ROW,
    overscan: AROUND,
  })),
)
const inSight = computed(() => {
  const items = rowsInSight.value.getVirtualItems()
  return {
    rows: items.flatMap(({ index }) => {
      const row = found.value[index]
      return row ? [{ ...row, place: index + 1 }] : []
    }),
    above: items[0]?.start ?? 0,
    below: rowsInSight.value.getTotalSize() - (items.at(-1)?.end ?? 0),
  }
})
/** the card that was turned last is kept in sight */
watch(
  () => [props.version, props.table.round?.flips],
  async ([, now], [, before]) => {
    if (!follow.value || now === before) return
    await nextTick()
    const { first, second } = props.table.round!
    const last = found.value.findIndex(({ cell }) => cell === (second < 0 ? first : second))
    if (last >= 0) rowsInSight.value.scrollToIndex(last, { align: 'auto' })
  },
)
const events = computed(() => {
  const every = props.version < 0 ? [] : (round.value?.events ?? [])
  const all = every.filter(
    ({ kind }) =>
      shown.value === 'all' ||
      (shown.value === 'refused' ? kind === 'refused' : kind === 'match' || kind === 'miss'),
  )
  return all
    .slice(-MOST_EVENTS)
    .map((event, i) => ({
      key: all.length - Math.min(all.length, MOST_EVENTS) + i,
      at: (event.at / 1000).toFixed(1),
      words: eventWords(event, columns.value),
      reason: event.kind === 'refused' ? REASON_WORDS[event.reason] : undefined,
      kind: event.kind,
    }))
    .reverse()
})
const REASON_WORDS: Record<Reason, string> = {
  finished: 'the game is over',
  paused: 'the game is paused',
  'first-look': 'the first look is not over',
  locked: 'two cards lie judged, and the look time is not over',
  'no-card': 'a gap, or outside the board',
  matched: 'this card is matched',
  'face-up': 'this card was turned in this very turn',
}
const seconds = (ms: number): string => `${(ms / 1000).toFixed(1)} s`
/** The clock and the lock, as they stand. */
const clock = computed(() => {
  const now = round.value
  if (!now || props.version < 0) return ''
  const left = timeLeft(now)
  return [
    `${seconds(timeUsed(now))} used`,
    left === null ? '' : `${seconds(left)} left`,
    now.clock.running ? 'clock runs' : 'clock stands',
    isLocked(now) ? 'locked' : 'open',
  ]
    .filter(Boolean)
    .join(' · ')
})

async function copy(what: string, text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text)
    say(`${what} is on the clipboard`)
  } catch {
    say(`This browser does not let ${what.toLowerCase()} go to the clipboard`, { tone: 'wrong' })
  }
}
const copyBoard = (): Promise<void> => {
  const { game, level, seed } = props.table
  return copy('The board', textGrid(game, level, seed, round.value!.cells, columns.value))
}
const copyText = (): Promise<void> =>
  copy('The ledger', ledgerText(rows.value, round.value!.events!, columns.value))
const copyJson = (): Promise<void> =>
  copy('The ledger', ledgerJson(rows.value, round.value!.events!, props.table.seed, props.table.level.id))
const phase = computed(() => (props.version < 0 || !round.value ? '' : round.value.phase))
const due = computed(() => (props.version < 0 || !round.value ? '' : clockDueIn(round.value)))
</script>

<template>
  <section class="ledger" aria-labelledby="ledger">
    <h2 id="ledger" class="hidden-text">Ledger</h2>
    <p class="phase" :class="phase">
      <strong>{{ phase }}</strong> {{ due }}
    </p>
    <p class="clock">{{ clock }}</p>
    <div class="tools">
      <input v-model="query" type="search" placeholder="cell, face or state" aria-label="Filter the cards" />
      <label><input v-model="follow" type="checkbox" /> follow</label>
    </div>
    <div ref="list" class="cards" tabindex="0" role="region" aria-label="Cards">
      <table :aria-rowcount="found.length + 1">
        <thead>
          <tr>
            <th scope="col">cell</th>
            <th scope="col">face</th>
            <th scope="col">state</th>
            <th scope="col" title="times seen">seen</th>
            <th scope="col" title="turn in which it was last seen">turn</th>
          </tr>
        </thead>
        <tbody>
          <tr v-if="inSight.above" aria-hidden="true" :style="{ height: `${inSight.above}px` }" />
          <tr
            v-for="row in inSight.rows"
            :key="row.cell"
            :aria-rowindex="row.place + 1"
            :class="[row.state, row.order]"
          >
            <th scope="row">{{ row.name }}</th>
            <td>
              <span class="face" :title="row.words"><FaceView :face="row.face" shape="square" /></span
              ><span class="hidden-text">{{ row.words }}</span>
            </td>
            <td>{{ row.state }}{{ row.order ? `, ${row.order}` : '' }}</td>
            <td>{{ row.times }}</td>
            <td>{{ row.last || '' }}</td>
          </tr>
          <tr v-if="inSight.below > 0" aria-hidden="true" :style="{ height: `${inSight.below}px` }" />
        </tbody>
      </table>
    </div>
    <div class="tools">
      <h3>Events</h3>
      <ChoiceWord v-model="shown" label="Which events are shown" :choices="SHOWN" />
      <span class="copies">
        <button class="copy" type="button" title="Copy the board as text" @click="copyBoard">
          <IconCopy />board
        </button>
        <button class="copy" type="button" title="Copy the ledger as text" @click="copyText">text</button>
        <button class="copy" type="button" title="Copy the ledger as JSON" @click="copyJson">JSON</button>
      </span>
    </div>
    <div class="events" tabindex="0" role="region" aria-label="Events">
      <p v-if="!events.length" class="soft">Nothing has happened yet. Press a card.</p>
      <ol v-else>
        <li v-for="event in events" :key="event.key" :class="event.kind" :title="event.reason">
          <span>{{ event.at }}</span>{{ event.words }}
        </li>
      </ol>
    </div>
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
.tools input[type='search'] {
  flex: 1;
  min-width: 0;
  height: 30px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: inherit;
  font: inherit;
}
.tools input::placeholder {
  color: #6f6b7d;
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
.cards,
.events {
  overflow-y: auto;
}
table {
  width: 100%;
  table-layout: fixed;
  border-spacing: 0;
  font-size: 14px;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--card);
  color: var(--ink-soft);
  font-weight: 500;
  text-align: left;
}
th,
td {
  height: 29px;
  padding: 0 6px 0 4px;
  border-bottom: 1px solid var(--sand);
  text-align: left;
  font-weight: inherit;
}
th:nth-child(1) {
  width: 46px;
}
th:nth-child(2),
th:nth-child(4),
th:nth-child(5) {
  width: 52px;
}
td {
  white-space: nowrap;
}
tr.up {
  background: #fdf1ea;
}
tr.up th {
  color: #8c3713;
}
tr.matched,
tr.gone {
  color: var(--lagoon-deep);
}
.face {
  display: block;
  width: 24px;
  height: 24px;
  border-radius: 4px;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 14px;
}
li {
  display: grid;
  grid-template-columns: 46px 1fr;
  padding: 2px 4px;
}
li span {
  color: var(--ink-soft);
}
li.refused,
li.lost,
li.life-lost {
  color: var(--brick);
}
li.match,
li.won {
  color: var(--lagoon-deep);
  font-weight: 600;
}
</style>
