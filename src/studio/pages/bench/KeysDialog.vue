<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconWalk from '~icons/ph/footprints'
import { STATION_NAMES, STATIONS } from '../stations.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'

const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ walk: [] }>()
function walk(): void {
  open.value = false
  emit('walk')
}
const KEYS: [string, [string, string][]][] = [
  [
    'On the bench',
    [
      [`Alt+1 … Alt+${STATIONS.length}`, STATIONS.map((name) => STATION_NAMES[name]).join(', ')],
      ['Ctrl+Z', 'undo'],
      ['Ctrl+Shift+Z', 'redo'],
      ['?', 'all keys'],
    ],
  ],
  [
    'Deal and Play',
    [
      ['D', 'deal again'],
      ['G', 'glass: see through the backs'],
      ['Shift+← ↑ → ↓', 'in Deal: swap the card with its neighbour'],
      ['P', 'pause'],
      [', and .', 'in Play: back and forward along the tape'],
    ],
  ],
  [
    'On the table',
    [
      ['← ↑ → ↓', 'from card to card'],
      ['Home, End', 'to the ends of the row'],
      ['Enter, Space', 'press the card'],
    ],
  ],
  [
    'On the light table and the ladder',
    [
      ['Alt+↑, Alt+↓', 'move the focused item, or the selection'],
      ['Shift+← ↑ → ↓', 'extend the selection'],
      ['Ctrl+A', 'select everything shown'],
      ['Ctrl+C, Ctrl+X, Ctrl+V', 'copy, cut, paste pairs'],
      ['Delete', 'remove the selection'],
    ],
  ],
]
</script>

<template>
  <ModalDialog v-model="open" title="All keys" :width="860">
    <div class="keys">
      <section v-for="[title, rows] in KEYS" :key="title">
        <h3>{{ title }}</h3>
        <dl>
          <template v-for="[key, what] in rows" :key="key">
            <dt>{{ key }}</dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
    </div>
    <p class="soft">Shortcuts are off while you type text.</p>
    <template #buttons>
      <ElButton class="btn" @click="walk"><IconWalk />Walk me around</ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.keys {
  columns: 2;
  column-gap: 32px;
}
section {
  margin-bottom: 16px;
  break-inside: avoid;
}
@media (max-width: 760px) {
  .keys {
    columns: 1;
  }
}
dl {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 4px 12px;
  margin: 6px 0 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
</style>
