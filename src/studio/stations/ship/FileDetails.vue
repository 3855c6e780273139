<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { fileStem } from '../../../core/game/names.ts'
import { imagesOf, soundsOf } from '../../../core/game/own-files.ts'
import { download } from '../../parts/files/download.ts'
import { useBench } from '../../store/bench.ts'

/** The game file, and the same as a zip where there are images or sounds to take out. */
const bench = useBench()
const game = computed(() => bench.game!)
/** what a zip would contain besides the data: "images", "sounds" or both */
const ownFiles = computed(() =>
  [imagesOf(game.value).length && 'images', soundsOf(game.value).length && 'sounds']
    .filter(Boolean)
    .join(' and '),
)
async function zip(): Promise<void> {
  const { writeGameZip } = await import('../../../core/files/game-zip.ts')
  download(
    `${fileStem(game.value)}.game.zip`,
    writeGameZip(game.value) as Uint8Array<ArrayBuffer>,
    'application/zip',
  )
}
</script>

<template>
  <div class="file">
    <p>
      Deck, rules, levels, texts and kept checks as JSON: to keep, to share, or to read with your own code and
      the command line.
    </p>
    <ElButton v-if="ownFiles" class="btn" @click="zip">With {{ ownFiles }} as a zip</ElButton>
  </div>
</template>

<style scoped>
.file {
  display: grid;
  justify-items: start;
  gap: 12px;
}
</style>
