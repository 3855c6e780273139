<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconPlay from '~icons/ph/speaker-high'
import { computed, ref } from 'vue'
import { problemLine } from '../../../core/result.ts'
import type { SoundChoice, Moment } from '../../../core/settings/settings.ts'
import { hearSound } from '../../../player/sound.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import SettingNumber from '../../parts/settings/SettingNumber.vue'
import { useSetting } from '../../parts/settings/useSetting.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { ownSound } from './sound-file.ts'

/** The sound of one moment: "a match, like the others", with a button to hear it, or an own file. */
const props = defineProps<{ moment: Moment }>()
const NAMES: Record<Moment, string> = {
  deal: 'the deal',
  flip: 'a flip',
  match: 'a match',
  miss: 'a miss',
  streak: 'matches in a row',
  lastSeconds: 'the last seconds',
  win: 'a win',
  loss: 'a loss',
}
const OWN = 'own'
const bench = useBench()
const { say } = useToasts()
const { words, value } = useSetting(
  () => 'sound',
  () => props.moment,
)
const picker = ref<InstanceType<typeof FilePicker>>()
const own = computed(() => (typeof value.value === 'object' ? value.value : null))
const choices = computed((): (readonly [string, string])[] => [
  ...words.value.choices!,
  [OWN, 'a file of your own'],
])

function choose(next: string): void {
  if (next === OWN) picker.value?.choose()
  else value.value = next as SoundChoice
}
async function take([file]: [File, ...File[]]): Promise<void> {
  const sound = await ownSound(file)
  if (!sound.ok) return say(`${file.name}: ${problemLine(sound.problem)}`, { tone: 'wrong' })
  const { name, src, cut } = sound.value
  value.value = { name, src }
  if (cut) say(`${file.name} is longer than 5 s; only its first 5 s are used`)
  await hear()
}
async function hear(): Promise<void> {
  try {
    await hearSound(props.moment, bench.settings!)
  } catch {
    say(`This browser cannot play "${own.value?.name ?? ''}"`, { tone: 'wrong' })
  }
}
</script>

<template>
  <li :data-setting="`sound.${moment}`">
    <ElButton
      class="icon-btn"
      :disabled="value === 'none'"
      :aria-label="`Hear ${NAMES[moment]}`"
      data-tip="Hear it"
      @click="hear"
    >
      <IconPlay />
    </ElButton>
    <span class="name">{{ NAMES[moment] }}</span>
    <span>
      <ChoiceWord
        :model-value="own ? OWN : (value as string)"
        :label="words.label"
        :choices="choices"
        @update:model-value="choose"
      />
      <OwnTab section="sound" :names="[moment]" />
    </span>
    <span v-if="value !== 'none'"><SettingNumber section="volumes" :name="moment" /></span>
    <span v-else-if="bench.owns('volumes', moment)" class="under"
      ><IdleOwn section="volumes" :names="[moment]"
    /></span>
    <ElButton v-if="own" class="file" data-tip="Choose another file" @click="picker?.choose()">
      <span class="file-name">{{ own.name }}</span>
    </ElButton>
    <FilePicker
      ref="picker"
      :label="`File for ${NAMES[moment]}`"
      accept=".wav,.mp3,.ogg,audio/*"
      @take="take"
    />
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: auto 124px minmax(0, 200px) 100px;
  gap: 2px 10px;
  align-items: center;
  justify-content: start;
  font-size: 16px;
}
/* on its own line, below the choice */
.file,
.under {
  grid-column: 3 / -1;
  justify-self: start;
}
.file {
  max-width: 100%;
  height: 28px;
  min-height: 28px;
  margin: 0;
  padding: 0 8px;
  font-size: 14px;
}
.file-name {
  overflow: hidden;
  text-overflow: ellipsis;
}
/* on a narrow screen, a moment has its choice and its volume below it */
@media (max-width: 760px) {
  li {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }
  .name {
    grid-column: 2 / -1;
  }
  .name + span,
  .file,
  .under {
    grid-column: 2;
  }
}
</style>
