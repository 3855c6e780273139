<script setup lang="ts">
import { ElButton, ElDropdown, ElDropdownItem, ElDropdownMenu } from 'element-plus'
import IconMore from '~icons/ph/caret-down'
import { defineAsyncComponent, ref, shallowRef } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { download } from '../../parts/files/download.ts'
import { onceTrue } from '../../parts/timing/onceTrue.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useShelf } from '../../store/shelf.ts'
import type { Backup } from '../../../core/files/backup-file.ts'
import { packShelf, unpackShelf } from './backups.ts'

/** Actions for the whole shelf: backup, restore, bin, demo games. */
const shelf = useShelf()
const { say } = useToasts()
const picker = ref<InstanceType<typeof FilePicker>>()
const binOpen = ref(false)
const backup = shallowRef<Backup | null>(null)
const restoring = ref(false)
// loaded on demand
const BinDialog = defineAsyncComponent(() => import('./BinDialog.vue'))
const RestoreDialog = defineAsyncComponent(() => import('./RestoreDialog.vue'))
const wasBin = onceTrue(binOpen)

async function backUp(): Promise<void> {
  const all = [...shelf.boxes, ...shelf.bin].map(({ key, touched, removed, game }) => ({
    key,
    touched,
    ...(removed ? { removed } : {}),
    game,
  }))
  try {
    const bytes = await packShelf(all)
    const day = new Date().toISOString().slice(0, 10)
    download(`lucky-twin-${day}.backup.zip`, bytes as Uint8Array<ArrayBuffer>, 'application/zip')
    say(`A backup of ${countWords(all.length, 'game')} is among your downloads`)
  } catch (error) {
    say(`The backup could not be made: ${(error as Error).message}`, { tone: 'wrong' })
  }
}
async function take(files: Iterable<File> = []): Promise<void> {
  for (const file of files)
    try {
      backup.value = await unpackShelf(file)
      restoring.value = true
    } catch (error) {
      say(`${file.name}: ${(error as Error).message}`, { tone: 'wrong' })
    }
}
async function demos(): Promise<void> {
  const put = await shelf.putDemosBack()
  say(put ? `${countWords(put, 'game')} put back` : 'All demo games are on the shelf')
}
const ACTS: Record<string, () => unknown> = {
  back: backUp,
  restore: () => picker.value?.choose(),
  bin: () => (binOpen.value = true),
  demos,
}
</script>

<template>
  <ElDropdown trigger="click" append-to="#over" @command="(name: string) => ACTS[name]!()">
    <ElButton class="btn">The shelf<IconMore /></ElButton>
    <template #dropdown>
      <ElDropdownMenu>
        <ElDropdownItem command="back">Back up all…</ElDropdownItem>
        <ElDropdownItem command="restore">Restore a backup…</ElDropdownItem>
        <ElDropdownItem command="bin"
          >The bin{{
            shelf.bin.length ? `, ${countWords(shelf.bin.length, 'game')}` : ', empty'
          }}</ElDropdownItem
        >
        <ElDropdownItem command="demos">Put the demo games back</ElDropdownItem>
      </ElDropdownMenu>
    </template>
  </ElDropdown>
  <FilePicker ref="picker" label="Backup file" accept=".zip" @take="take" />
  <BinDialog v-if="wasBin" v-model="binOpen" />
  <RestoreDialog
    v-if="backup && shelf.ready"
    v-model="restoring"
    :backup="backup"
    @done="(count: number) => say(`${countWords(count, 'game')} restored`)"
  />
</template>

<style src="../../parts/look/dropdown.css"></style>
