<script setup lang="ts">
import { ElSegmented } from 'element-plus'
import { useElementSize } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { FRAMES } from '../../../core/board/frames.ts'
import { gameIn, languagesOf } from '../../../core/game/in-language.ts'
import { languageName, type Language } from '../../../core/texts/languages.ts'
import { mountPlayer, type Player } from '../../../player/mount.ts'
import { rivalsAmong } from '../../../player/rivals.ts'
import { mindsOf } from '../../../core/settings/seats.ts'
import { creditsOf, type PlayerCredits } from '../../../ship/credits.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { whenIdle } from '../../parts/timing/whenIdle.ts'
import { playerCredits } from './shipped-parts.ts'
import { useBench } from '../../store/bench.ts'
import PreviewActs from './PreviewActs.vue'
import { drawings } from '../../store/drawings.ts'
import { pictureUrl } from '../../store/pictures.ts'
import { drawnGame } from '../../store/sound-images.ts'
import { speechOf } from '../../store/speech.ts'

/**
 * The game as players will see it: on a phone, a tablet, a page or paper, in any language that it speaks. In: the
 * sheets to print, and the page as it is shipped, null until they are made.
 */
defineProps<{ sheets: string | null; html: string | null }>()
const bench = useBench()
/** px of an upright A4 sheet, as browsers count them */
const PAPER = { width: 794, height: 1123 }
const SCREENS = {
  upright: { name: 'phone', ...FRAMES.phone },
  across: { name: 'sideways', ...FRAMES['phone-across'] },
  tablet: { name: 'tablet', ...FRAMES['tablet-upright'] },
  page: { name: 'page', ...FRAMES.desktop },
  paper: { name: 'paper', ...PAPER },
} as const
type Screen = keyof typeof SCREENS
const screen = defineModel<Screen>('screen', { required: true })
const options = Object.entries(SCREENS).map(([value, { name }]) => ({ value, label: name }))

const frame = ref<HTMLElement>()
const host = ref<HTMLElement>()
const room = useElementSize(frame)
/** around the screen, px */
const EDGE = 10
const size = computed(() => SCREENS[screen.value])
const scale = computed(() =>
  Math.min(
    1,
    (room.width.value - 2 * EDGE) / size.value.width,
    (room.height.value - 2 * EDGE) / size.value.height,
  ),
)

const languages = computed(() => languagesOf(bench.game!))
const tag = defineModel<Language>('language', { required: true })
const language = computed(() => (languages.value.includes(tag.value) ? tag.value : languages.value[0]!))
const isPaper = computed(() => screen.value === 'paper')
const edge = computed(() => (isPaper.value ? 0 : 2 * EDGE))
const words = computed(() => languages.value.map((one) => [one, languageName(one)] as const))

let player: Player | null = null
let playerNotes: PlayerCredits | null = null
function mount(): void {
  player?.destroy()
  player = null
  if (!host.value || !playerNotes) return
  const game = bench.game!
  player = mountPlayer(host.value, {
    game: gameIn(drawnGame(game), language.value),
    art: pictureUrl,
    drawings,
    speech: speechOf(game, mount, language.value),
    rivals: rivalsAmong(mindsOf),
    page: {
      opening: true,
      languages: languages.value,
      speak: (next) => (tag.value = next),
      credits: creditsOf(game, playerNotes),
    },
  })
}
// the station is shown before its preview: laying out four hundred cards takes a moment
const mountSoon = whenIdle(mount)
onMounted(async () => {
  playerNotes = await playerCredits(bench.game!)
  mountSoon()
})
onBeforeUnmount(() => player?.destroy())
watch([() => bench.game, language], mountSoon)
watch(isPaper, mountSoon, { flush: 'post' })
</script>

<template>
  <section class="preview" aria-label="Preview">
    <div class="tools">
      <ElSegmented v-model="screen" :options="options" aria-label="Screen" size="small" />
      <ChoiceWord
        v-if="words.length > 1"
        v-model="tag"
        class="language"
        label="Language of the preview"
        :choices="words"
      />
    </div>
    <div ref="frame" class="room">
      <div
        class="device"
        :class="{ paper: isPaper }"
        :style="{
          width: `${size.width * scale + edge}px`,
          height: `${size.height * scale + edge}px`,
        }"
      >
        <iframe
          v-if="isPaper"
          class="sheets"
          title="Sheets to print"
          :srcdoc="sheets ?? ''"
          :style="{ width: `${size.width}px`, height: `${size.height}px`, transform: `scale(${scale})` }"
        />
        <div
          v-else
          ref="host"
          class="host"
          :style="{ width: `${size.width}px`, height: `${size.height}px`, transform: `scale(${scale})` }"
        />
      </div>
    </div>
    <PreviewActs :html="html" />
  </section>
</template>

<style scoped>
.preview {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 12px;
  min-width: 0;
  padding: 16px;
  border-right: 1px solid var(--line);
  background: var(--paper);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 4px;
}
.tools :deep(.el-segmented__item) {
  padding: 0 6px;
}
.tools :deep(.el-segmented__item-label) {
  padding: 0;
}
.room {
  display: grid;
  place-items: center;
  min-width: 0;
  min-height: 0;
}
.device {
  position: relative;
  padding: 10px;
  border-radius: 26px;
  background: #16172c;
  box-shadow: 0 3px 12px #23243f4d;
}
.device.paper {
  padding: 0;
  border-radius: 2px;
  background: #fff;
}
.sheets {
  border: 0;
  transform-origin: 0 0;
}
.host {
  border-radius: 18px;
  overflow: hidden;
  transform-origin: 0 0;
}
</style>
