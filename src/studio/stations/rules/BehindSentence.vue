<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, nextTick, ref } from 'vue'
import type { Pair } from '../../../core/deck/pair.ts'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import { type Behind } from '../../../core/settings/settings.ts'
import { problemLine } from '../../../core/result.ts'
import { pictureUrl } from '../../store/pictures.ts'
import { BEHIND_SIDE, imageSource } from '../../parts/cards/image-files.ts'
import PicturePicker from '../../parts/cards/PicturePicker.vue'
import FilePicker from '../../parts/files/FilePicker.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import TextField from '../../parts/settings/TextField.vue'
import { useBench } from '../../store/bench.ts'
import { mayDraw } from '../../store/sound-images.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'

/** "Behind the cards is an image that appears as twins leave." */
type BehindKind = 'none' | Behind['kind']
const CHOICES: [BehindKind, string][] = [
  ['none', 'nothing'],
  ['picture', 'a picture of the library'],
  ['image', 'an image of your own'],
]
const bench = useBench()
const { say } = useToasts()
const settings = computed(() => bench.settings!)
const behind = computed(() => settings.value.look.behind)
const picking = ref(false)
const picker = ref<InstanceType<typeof FilePicker>>()
const words = ref<InstanceType<typeof TextField>>()
const whole = computed(() => (settings.value.turn.onMatch === 'leave' ? '' : 'when the game is won'))

const set = (next: Behind | null): void =>
  bench.set('look', { behind: next }, 'change the picture behind the cards')
/** The kind is chosen first; until then everything stays as it is. */
function choose(kind: BehindKind): void {
  if (kind === 'none') set(null)
  else if (kind === 'picture') picking.value = true
  else picker.value?.choose()
}
function usePicture([pair]: Pair[]): void {
  if (pair?.a.kind === 'picture') set({ kind: 'picture', name: pair.a.name, alt: pair.name })
}
async function useImage([file]: [File, ...File[]]): Promise<void> {
  const source = await imageSource(file, BEHIND_SIDE)
  if (!source.ok) return say(`${file.name}: ${problemLine(source.problem)}`, { tone: 'wrong' })
  const { src, smaller } = source.value
  // a file name means nothing to somebody who cannot see the image
  set({ kind: 'image', src })
  await nextTick()
  words.value?.focus()
  if (smaller) say(`${file.name} was scaled down to ${BEHIND_SIDE} px, the most that a table shows`)
}
function describe(alt: string): void {
  if (!behind.value) return
  const { alt: _, ...rest } = behind.value
  set(alt ? { ...rest, alt } : rest)
}
</script>

<template>
  Behind the cards is
  <span data-setting="look.behind"
    ><ChoiceWord
      :model-value="behind?.kind ?? 'none'"
      label="Behind the cards"
      :choices="CHOICES"
      @update:model-value="choose" /></span
  ><template v-if="behind"
    >,
    <ElButton
      class="sample"
      :aria-label="behind.kind === 'picture' ? 'Choose another picture' : 'Choose another image'"
      data-tip="Choose another"
      @click="choose(behind.kind)"
    >
      <img
        :src="
          behind.kind === 'picture' ? pictureUrl(behind.name) : mayDraw(behind.src) ? behind.src : '/mark.svg'
        "
        alt=""
      />
    </ElButton>
    <TextField
      ref="words"
      class="alt"
      :model-value="behind.alt ?? ''"
      label="What the picture behind shows, in words"
      placeholder="what it shows, in words"
      :maxlength="LENGTHS.alt"
      @change="describe"
    />, which appears {{ whole || 'as twins leave' }}</template
  ><OwnTab section="look" :names="['behind']" />.
  <FilePicker ref="picker" label="Image behind the cards" accept="image/*" @take="useImage" />
  <PicturePicker v-model="picking" one @add="usePicture" />
</template>

<style scoped>
.sample {
  display: inline-block;
  width: 44px;
  height: 32px;
  margin: 0 4px;
  padding: 0;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--table, #383a63);
  vertical-align: middle;
  cursor: pointer;
}
.sample img {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.alt {
  display: inline-flex;
  width: 250px;
}
</style>
