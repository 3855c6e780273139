<script setup lang="ts">
import { ElButton, ElColorPicker } from 'element-plus'
import { computed, ref } from 'vue'
import { BACK_COLOURS, PATTERNS } from '../../../core/settings/back.ts'
import type { Back } from '../../../core/settings/back.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { problemLine } from '../../../core/result.ts'
import FilePicker from '../files/FilePicker.vue'
import { useBench } from '../../store/bench.ts'
import { useToasts } from '../toast/useToasts.ts'
import BackView from './BackView.vue'
import { imageSource } from './image-files.ts'
import PicturePicker from './PicturePicker.vue'
import BackImage from './BackImage.vue'
import { smallestCard } from './smallest-card.ts'

/** A back, shown on one large card. Changes of one `about` in a row are one step to undo. */
const props = defineProps<{ back: Back }>()
const emit = defineEmits<{ change: [back: Back, about: string | null] }>()
const bench = useBench()
const { say } = useToasts()
const size = computed(() => smallestCard(bench.game!))
const picking = ref(false)
const picker = ref<InstanceType<typeof FilePicker>>()
const picture = ref<'emblem' | 'image'>('emblem')

const change = (next: Partial<Back>, about: string | null = null): void =>
  emit('change', { ...props.back, ...next }, about)
/** An own image is removed together with its tint. */
function without(key: 'emblem' | 'image'): void {
  const { [key]: _, ...rest } = props.back
  if (key === 'image') delete rest.tint
  emit('change', rest, null)
}
const setTint = (tint: NonNullable<Back['tint']>): void => change({ tint }, 'tint')
function choose(kind: typeof picture.value): void {
  picture.value = kind
  picker.value?.choose()
}
async function useImage([file]: [File, ...File[]]): Promise<void> {
  const source = await imageSource(file)
  if (!source.ok) return say(`${file.name}: ${problemLine(source.problem)}`, { tone: 'wrong' })
  const { src } = source.value
  change(picture.value === 'image' ? { image: src } : { emblem: { kind: 'image', src } })
}
function usePicture([pair]: Pair[]): void {
  if (pair?.a.kind === 'picture') change({ emblem: { kind: 'picture', name: pair.a.name } })
}
</script>

<template>
  <div class="designer">
    <div class="sides">
      <div>
        <div class="large"><BackView :back="back" /></div>
        <p class="soft real">
          <span class="real-size" :style="{ width: `${size.width}px`, height: `${size.height}px` }"
            ><BackView :back="back" /></span
          >as large as the smallest card on a phone, {{ size.width }} × {{ size.height }} px
        </p>
      </div>
      <div>
        <div class="row">
          <span>Emblem</span>
          <ElButton v-if="back.emblem" class="btn" :disabled="!!back.image" @click="without('emblem')"
            >None</ElButton
          >
          <ElButton class="btn" :disabled="!!back.image" @click="picking = true">A picture</ElButton>
          <ElButton class="btn" :disabled="!!back.image" @click="choose('emblem')">An image</ElButton>
        </div>
        <BackImage :back="back" @choose="choose('image')" @remove="without('image')" @tint="setTint" />
        <FilePicker ref="picker" label="Image for the back" accept="image/*" @take="useImage" />
        <PicturePicker v-model="picking" one @add="usePicture" />
        <h3 id="patterns">Pattern</h3>
        <div class="patterns" role="group" aria-labelledby="patterns">
          <ElButton
            v-for="pattern in PATTERNS"
            :key="pattern"
            class="pattern"
            :aria-pressed="back.pattern === pattern"
            :disabled="!!back.image"
            @click="change({ pattern })"
          >
            <span class="small"><BackView :back="{ ...back, pattern, image: undefined }" /></span
            >{{ pattern }}
          </ElButton>
        </div>
        <h3 id="inks">Two colours</h3>
        <div class="inks" role="group" aria-labelledby="inks">
          <ElButton
            v-for="({ ink, paper }, name) in BACK_COLOURS"
            :key="ink"
            class="ink keeps-colours"
            :aria-label="name"
            :data-tip="name"
            :aria-pressed="back.ink === ink && back.paper === paper"
            :disabled="!!back.image"
            :style="{ background: ink, borderColor: paper }"
            @click="change({ ink, paper })"
          />
        </div>
        <div class="row">
          <span>Own colours</span>
          <ElColorPicker
            :model-value="back.ink"
            color-format="hex"
            aria-label="Ground of the back"
            :disabled="!!back.image"
            @change="(ink) => ink && change({ ink }, 'ink')"
          />
          <ElColorPicker
            :model-value="back.paper"
            color-format="hex"
            aria-label="Lines and edge of the back"
            @change="(paper) => paper && change({ paper }, 'paper')"
          />
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.designer {
  container-type: inline-size;
}
@container (min-width: 500px) {
  .sides {
    display: grid;
    grid-template-columns: 190px minmax(0, 1fr);
    gap: 24px;
  }
}
h3 {
  margin: 16px 0 8px;
}
.large {
  width: 148px;
  height: 176px;
  margin: 16px auto 4px;
  border-radius: 12px;
  box-shadow: 0 6px 18px #23243f33;
}
.real {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 10px;
  margin: 10px 0 4px;
}
.real-size {
  flex: none;
  border-radius: 6px;
  overflow: hidden;
}
.row .btn {
  min-height: 32px;
  padding: 0 10px;
  font-size: 14px;
}
.large :deep(.back-view) {
  border-width: 7px;
}
.patterns {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.pattern {
  display: grid;
  justify-items: center;
  gap: 4px;
  padding: 8px 2px 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: inherit;
  font: 500 13px var(--body);
  cursor: pointer;
}
.pattern:hover {
  background: var(--paper);
}
.pattern[aria-pressed='true'] {
  border-color: var(--lagoon);
  box-shadow: 0 0 0 2px #1f7f8040;
}
.small {
  width: 42px;
  height: 50px;
  border-radius: 6px;
}
.inks {
  display: flex;
  gap: 10px;
}
.ink {
  width: 40px;
  height: 40px;
  border: 5px solid;
  border-radius: 9px;
  box-shadow: 0 0 0 1px var(--line);
  cursor: pointer;
}
.ink[aria-pressed='true'] {
  box-shadow: 0 0 0 3px var(--lagoon);
}
.row {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 14px;
  color: var(--ink-soft);
}
.row > span {
  flex: 1;
}
.pattern:disabled,
.ink:disabled {
  opacity: 0.45;
  cursor: default;
}
</style>
