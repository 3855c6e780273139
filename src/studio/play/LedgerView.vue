<script setup lang="ts">
import { computed } from 'vue'
import { pairOf, sideOf } from '../../core/deck/card.ts'
import { cellName } from '../../core/deal/cells.ts'
import { clockDueIn } from './clock-words.ts'
import type { Table } from '../../player/table.ts'
import { cardWords } from '../../player/words.ts'
import FaceView from '../cards/FaceView.vue'
import { eventWords, sights } from './ledger-words.ts'

/** Every card's state, and the list of events, as the machine has them. `version` grows with each change of the table. */
const props = defineProps<{ table: Readonly<Table>; version: number }>()
const MOST_EVENTS = 200

const round = computed(() => (props.version, props.table.round))
const columns = computed(() => props.table.settings.board.columns)
const rows = computed(() => {
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
const events = computed(() => {
  const all = props.version < 0 ? [] : (round.value?.events ?? [])
  return all
    .slice(-MOST_EVENTS)
    .map((event, i) => ({
      key: all.length - Math.min(all.length, MOST_EVENTS) + i,
      at: (event.at / 1000).toFixed(1),
      words: eventWords(event, columns.value),
      kind: event.kind,
    }))
    .reverse()
})
const phase = computed(() => (props.version < 0 || !round.value ? '' : round.value.phase))
const due = computed(() => (props.version < 0 || !round.value ? '' : clockDueIn(round.value)))
</script>

<template>
  <section class="ledger" aria-labelledby="ledger">
    <h2 id="ledger">Ledger</h2>
    <p class="phase" :class="phase">
      <strong>{{ phase }}</strong> {{ due }}
    </p>
    <div class="cards" tabindex="0" role="region" aria-label="Cards">
      <table>
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
          <tr v-for="row in rows" :key="row.cell" :class="[row.state, row.order]">
            <th scope="row">{{ row.name }}</th>
            <td>
              <span class="face" :title="row.words"><FaceView :face="row.face" shape="square" /></span
              ><span class="hidden-text">{{ row.words }}</span>
            </td>
            <td>{{ row.state }}{{ row.order ? `, ${row.order}` : '' }}</td>
            <td>{{ row.times }}</td>
            <td>{{ row.last || '' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <h3>Events</h3>
    <div class="events" tabindex="0" role="region" aria-label="Events">
      <p v-if="!events.length" class="soft">Nothing has happened yet. Press a card.</p>
      <ol v-else>
        <li v-for="event in events" :key="event.key" :class="event.kind">
          <span>{{ event.at }}</span>{{ event.words }}
        </li>
      </ol>
    </div>
  </section>
</template>

<style scoped>
.ledger {
  display: grid;
  grid-template-rows: auto auto minmax(80px, 3fr) auto minmax(80px, 2fr);
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
  border-collapse: collapse;
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
  height: 28px;
  padding: 0 6px 0 4px;
  border-bottom: 1px solid var(--sand);
  text-align: left;
  font-weight: inherit;
}
tr.up {
  background: #fdf1ea;
  font-weight: 700;
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
