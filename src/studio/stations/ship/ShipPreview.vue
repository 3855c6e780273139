<script setup lang="ts">
import { ElSegmented } from 'element-plus'
import { useElementSize } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { gameIn, languagesOf } from '../../../core/game/in-language.ts'
import { LANGUAGE_NAMES, type Language } from '../../../core/texts/languages.ts'
import { mountPlayer, type Player } from '../../../player/mount.ts'
import { rivalsAmong } from '../../../player/rivals.ts'
import { mindsOf } from '../../../core/settings/seats.ts'
import { creditsOf, type PlayerCredits } from '../../../ship/credits.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { idly } from '../../parts/look/idly.ts'
import { playerCredits } from './make-html.ts'
import { useBench } from '../../store/bench.ts'
import { pictureUrl } from '../../store/pictures.ts'
import { drawnGame } from '../../store/sound-images.ts'
import { speechOf } from '../../store/speech.ts'

/** The game as players will see it: on a phone, a tablet or a page, in any language that it speaks. */
const bench = useBench()
const SCREENS = {
  upright: { name: 'phone', width: 360, height: 640 },
  across: { name: 'sideways', width: 780, height: 360 },
  tablet: { name: 'tablet', width: 820, height: 1180 },
  page: { name: 'page', width: 1280, height: 800 },
} as const
type Screen = keyof typeof SCREENS
const screen = ref<Screen>('upright')
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
const chosen = ref<Language>(languages.value[0]!)
const language = computed(() => (languages.value.includes(chosen.value) ? chosen.value : languages.value[0]!))
const words = computed(() => languages.value.map((one) => [one, LANGUAGE_NAMES[one]] as const))

let player: Player | null = null
let made: PlayerCredits | null = null
function mount(): void {
  if (!host.value || !made) return
  player?.destroy()
  const game = bench.game!
  player = mountPlayer(host.value, {
    game: gameIn(drawnGame(game), language.value),
    art: pictureUrl,
    speech: speechOf(game, mount, language.value),
    rivals: rivalsAmong(mindsOf),
    page: {
      opening: true,
      languages: languages.value,
      speak: (next) => (chosen.value = next),
      credits: creditsOf(game, made),
    },
  })
}
// the station is shown before its preview: laying out four hundred cards takes a moment
const mountSoon = idly(mount)
onMounted(async () => {
  made = await playerCredits(bench.game!)
  mountSoon()
})
onBeforeUnmount(() => player?.destroy())
watch([() => bench.game, language], mountSoon)
</script>

<template>
  <section class="preview" aria-label="Preview">
    <div class="tools">
      <ElSegmented v-model="screen" :options="options" aria-label="Screen" size="small" />
      <ChoiceWord
        v-if="words.length > 1"
        v-model="chosen"
        class="language"
        label="Language of the preview"
        :choices="words"
      />
    </div>
    <div ref="frame" class="room">
      <div
        class="device"
        :style="{
          width: `${size.width * scale + 2 * EDGE}px`,
          height: `${size.height * scale + 2 * EDGE}px`,
        }"
      >
        <div
          ref="host"
          class="host"
          :style="{ width: `${size.width}px`, height: `${size.height}px`, transform: `scale(${scale})` }"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.preview {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
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
  gap: 8px 12px;
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
.host {
  border-radius: 18px;
  overflow: hidden;
  transform-origin: 0 0;
}
</style>
