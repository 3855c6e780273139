<script setup lang="ts">
import { ElButton, ElTabPane, ElTabs } from 'element-plus'
import IconLog from '~icons/ph/list-magnifying-glass'
import IconRough from '~icons/ph/hand-fist'
import { ref } from 'vue'
import type { PlayedGame } from '../../../core/play/record.ts'
import type { Table } from '../../../player/table.ts'
import { useBench } from '../../store/bench.ts'
import ChecksPanel from './ChecksPanel.vue'
import LedgerView from './LedgerView.vue'
import LogDialog from './LogDialog.vue'
import RoughDialog from './RoughDialog.vue'
import { useCheckEdits } from './useCheckEdits.ts'
import { useChecks } from './useChecks.ts'
import { useRecords } from './useRecords.ts'
import type { Tape } from '../../store/tapes.ts'
import type { useTapes } from './useTapes.ts'

/** The side panel: the ledger, or the tapes and checks; and the ways to test the level harder. */
const props = defineProps<{
  table: Readonly<Table> | null
  tapes: ReturnType<typeof useTapes>
}>()
const emit = defineEmits<{
  take: [tape: Tape]
  /** a played game, to put the table at one of its turns */
  show: [played: PlayedGame, name: string, turn: number]
}>()
const bench = useBench()
const side = ref<'ledger' | 'tapes'>('ledger')
const rough = ref(false)
const log = ref(false)

const { name, chips, kept, whole, now, rename, forget } = props.tapes
const { checked, running } = useChecks(() => bench.game!)
const edits = useCheckEdits()
const { checks } = edits
const records = useRecords(props.tapes, (...shown) => emit('show', ...shown))

function showBroken(broke: Omit<PlayedGame, 'level'>): void {
  rough.value = false
  emit('show', { level: props.table!.level.id, ...broke }, 'Broken', Infinity)
}
</script>

<template>
  <aside aria-label="Ledger, tapes and checks">
    <ElTabs v-model="side" class="tabs">
      <ElTabPane name="ledger" label="Ledger">
        <LedgerView v-if="table && side === 'ledger'" :table="table" />
      </ElTabPane>
      <ElTabPane name="tapes" label="Tapes and checks">
        <ChecksPanel
          v-if="table && side === 'tapes'"
          :name="name"
          :turns="chips.length"
          :kept="kept"
          :checks="checks"
          :checked="checked"
          :running="running"
          @rename="rename"
          @take="emit('take', $event)"
          @forget="forget"
          @save="records.save"
          @open="records.open"
          @keep="edits.keep(whole ?? now)"
          @show="(check, turn) => emit('show', check, check.name, turn)"
          @expect="edits.expect"
          @accept="edits.accept"
          @name-check="edits.rename"
          @drop="edits.drop"
        />
      </ElTabPane>
    </ElTabs>
    <div class="more">
      <ElButton class="btn" @click="rough = true"><IconRough />Rough handling</ElButton>
      <ElButton class="btn" @click="log = true"><IconLog />Audit a log</ElButton>
    </div>
    <RoughDialog v-if="table" v-model="rough" :level="table.level" @show="showBroken" />
    <LogDialog v-model="log" />
  </aside>
</template>

<style scoped>
aside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 10px;
  min-height: 0;
}
.tabs {
  min-height: 0;
}
.tabs :deep(.el-tab-pane) {
  height: 100%;
}
.more {
  display: flex;
  gap: 8px;
}
.more .btn {
  flex: 1;
  height: 32px;
  padding: 0 6px;
  font-size: 13px;
  white-space: nowrap;
}
</style>
