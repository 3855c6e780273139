<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconFile from '~icons/ph/upload-simple'
import IconPaste from '~icons/ph/clipboard-text'
import IconPictures from '~icons/ph/images-square'
import IconSeries from '~icons/ph/list-numbers'
import IconSheet from '~icons/ph/grid-nine'
import IconWords from '~icons/ph/list-dashes'
import { ref, shallowRef } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import { isWordList } from '../../parts/files/text-of.ts'
import { useBench } from '../../store/bench.ts'
import ImagesDialog from './dialogs/ImagesDialog.vue'
import PicturePicker from '../../parts/cards/PicturePicker.vue'
import SeriesDialog from './dialogs/SeriesDialog.vue'
import SheetDialog from './dialogs/SheetDialog.vue'
import WordsDialog from './dialogs/WordsDialog.vue'

/** The ways to add pairs: a button and a dialog each. Dropped files and pasted words open the dialog of their kind. */
const emit = defineEmits<{ add: [pairs: readonly Pair[], label: string]; paste: [] }>()
const way = ref<'pictures' | 'images' | 'sheet' | 'words' | 'series' | null>(null)
const images = ref<File[]>([])
const pasted = ref('')
const list = shallowRef<File | null>(null)
const bench = useBench()

const open = (name: NonNullable<typeof way.value>, label: string) => ({
  modelValue: way.value === name,
  'onUpdate:modelValue': (on: boolean) => {
    way.value = on ? name : null
    if (on) return
    pasted.value = ''
    list.value = null
    images.value = []
  },
  onAdd: (pairs: readonly Pair[]) => emit('add', pairs, label),
})
defineExpose({
  /** Dropped files: a word list if that is the first of them, else images. */
  async takeFiles(files: File[]): Promise<void> {
    const [first] = files
    if (!first) return
    if (await isWordList(first)) {
      list.value = first
      way.value = 'words'
    } else {
      images.value = files
      way.value = 'images'
    }
  },
  takeWords(text: string): void {
    pasted.value = text
    way.value = 'words'
  },
})
</script>

<template>
  <footer>
    <span class="soft">Add</span>
    <ElButton class="btn" @click="way = 'pictures'"><IconPictures />Pictures</ElButton>
    <ElButton class="btn" @click="way = 'images'"><IconFile />Images</ElButton>
    <ElButton class="btn" @click="way = 'sheet'"><IconSheet />Sheet</ElButton>
    <ElButton class="btn" @click="way = 'words'"><IconWords />Words</ElButton>
    <ElButton class="btn" @click="way = 'series'"><IconSeries />Series</ElButton>
    <ElButton class="btn" data-tip="Paste pairs (Ctrl+V)" @click="emit('paste')">
      <IconPaste />Paste
    </ElButton>
    <span class="soft tip">or drop files on the table</span>
    <PicturePicker v-bind="open('pictures', 'add pictures')" />
    <ImagesDialog v-bind="open('images', 'add images')" :files="images" />
    <SheetDialog v-bind="open('sheet', 'add tiles')" />
    <WordsDialog
      v-bind="open('words', 'add words')"
      :pasted="pasted"
      :file="list"
      :there="bench.game!.deck.pairs"
    />
    <SeriesDialog v-bind="open('series', 'add a series')" />
  </footer>
</template>

<style scoped>
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.tip {
  margin-left: auto;
}
</style>
