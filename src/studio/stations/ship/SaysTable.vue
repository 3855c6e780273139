<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, defineAsyncComponent, ref } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
import { MAIN_MESSAGES } from '../../../core/game/message-table.ts'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import { languageName } from '../../../core/texts/languages.ts'
import SaidField from './SaidField.vue'
import { useSaid } from './useSaid.ts'

/** The texts that a game most likely says its own way, in its first languages, and the way to all others. */
const { languages, ready, own, before, write } = useSaid()
const TextsDialog = defineAsyncComponent(() => import('./TextsDialog.vue'))
const open = ref(false)
/** as many as stand beside each other without scrolling */
const SHOWN = 2
const columns = computed(() => languages.value.slice(0, SHOWN))
const rows = Object.entries(MAIN_MESSAGES).map(([key, what]) => ({ id: `says/${key}`, what }))
</script>

<template>
  <div>
    <table v-if="ready">
      <thead>
        <tr>
          <th scope="col">when</th>
          <th v-for="language in columns" :key="language" scope="col">{{ languageName(language) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ id, what } in rows" :key="id">
          <th scope="row">{{ what }}</th>
          <td v-for="language in columns" :key="language">
            <InTurn
              ><SaidField
                :model-value="own(language, id)"
                :language="language"
                :before="before(language, id)"
                :what="what"
                :longest="LENGTHS.says"
                @change="(text) => write(language, id, text)"
            /></InTurn>
          </td>
        </tr>
      </tbody>
    </table>
    <ElButton class="btn all" @click="open = true">All texts and names…</ElButton>
    <TextsDialog v-if="open" v-model="open" />
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  padding: 2px 8px 2px 0;
  border-bottom: 1px solid var(--sand);
  text-align: start;
  vertical-align: top;
}
thead th {
  padding: 6px 8px 6px 6px;
  color: var(--ink-soft);
  font-size: 14px;
  font-weight: 500;
}
thead th:first-child,
tbody th {
  width: 112px;
  padding: 6px 8px 6px 0;
  font-size: 14px;
  font-weight: 400;
}
.all {
  margin-top: 10px;
}
</style>
