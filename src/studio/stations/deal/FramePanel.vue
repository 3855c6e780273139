<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import IconSave from '~icons/ph/download-simple'
import { computed } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import type { Cells } from '../../../core/deal/deal.ts'
import { fileStem } from '../../../core/game/names.ts'
import {
  FRAME_BOUNDS,
  FRAME_NAMES,
  FRAMES,
  layoutIn,
  mmIn,
  nearestTouchable,
  touchSize,
  type FrameName,
} from '../../../core/board/frames.ts'
import { TOUCHABLE } from '../../../core/board/geometry.ts'
import { placements } from '../../../core/files/placement-file.ts'
import { rowsCsv, rowsJson } from '../../../core/files/rows.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { download } from '../../parts/files/download.ts'
import { useBench } from '../../store/bench.ts'
import { useView, type FrameChoice } from '../../store/view.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'

/** The screen on which the board is checked: how large a card is on it, and where every card lies. */
const props = defineProps<{ settings: Settings; cells: Cells | null }>()
const bench = useBench()
const view = useView()
const { say } = useToasts()

const NAMES: Record<FrameName, string> = {
  phone: 'a phone held upright',
  'phone-across': 'a phone held sideways',
  'small-phone': 'a small phone',
  tablet: 'a tablet held sideways',
  'tablet-upright': 'a tablet held upright',
  desktop: 'a desktop',
}
const CHOICES = computed<[FrameChoice, string][]>(() => [
  ['free', 'any screen'],
  ...FRAME_NAMES.map((name): [FrameChoice, string] => [
    name,
    `${NAMES[name]}, ${FRAMES[name].width} × ${FRAMES[name].height}`,
  ]),
  ['own', 'an own size'],
])
/** if no screen is chosen, the words are about a phone, since it is the smallest */
const frameName = computed(() => (view.frameChoice === 'free' ? 'phone' : view.frameChoice))
const frame = computed(() => view.frame ?? { ...FRAMES.phone, safe: 0 })
const preview = computed(() => layoutIn(frame.value, props.settings))
const sentence = computed(() => {
  const { width, height } = preview.value.card
  const px = `${width} × ${height} px`
  const mm = mmIn(frame.value)
  const size = `${(width * mm).toFixed(1)} × ${(height * mm).toFixed(1)} mm`
  const where = frameName.value === 'own' ? 'There' : `On ${NAMES[frameName.value]}`
  const own = props.settings.layout.size
  const smaller =
    own && width < own.width
      ? ` Its own size, ${own.width} × ${own.height} px, does not fit, so everything is made smaller evenly.`
      : ''
  const enough = touchSize(frame.value, props.settings) >= TOUCHABLE
  return `${where} a card is ${px}, about ${size}: ${enough ? 'large enough to touch' : `smaller than the ${TOUCHABLE} px that a finger needs`}.${smaller}`
})

/** For a chosen screen, the nearest board whose cards are large enough; on a phone the findings say so too. */
const nearest = computed(() =>
  view.frame && touchSize(frame.value, props.settings) < TOUCHABLE
    ? nearestTouchable([frame.value], props.settings)
    : null,
)

const table = () =>
  placements(preview.value, props.settings.board.columns, props.cells!, bench.game!.deck.pairs)
const FILES = {
  csv: { write: rowsCsv, type: 'text/csv' },
  json: { write: rowsJson, type: 'application/json' },
}
function save(kind: keyof typeof FILES): void {
  const { width, height } = frame.value
  const screen = frameName.value === 'own' ? `${width}x${height}` : frameName.value
  const name = `${fileStem(bench.game!)}-${bench.level?.id ?? 'house'}-places-${screen}.${kind}`
  download(name, FILES[kind].write(table()), FILES[kind].type)
}
async function copy(): Promise<void> {
  try {
    const rows = table()
    await navigator.clipboard.writeText(rowsCsv(rows))
    say(`${countWords(rows.length, 'row is', 'rows are')} on the clipboard`)
  } catch {
    say('This browser does not allow copying; download the table instead', { tone: 'wrong' })
  }
}
</script>

<template>
  <section aria-labelledby="frame-title">
    <h3 id="frame-title">Screen</h3>
    <div class="row">
      <span>Seen on</span>
      <ChoiceWord v-model="view.frameChoice" label="Screen" :choices="CHOICES" />
    </div>
    <div v-if="view.frameChoice === 'own'" class="row">
      <span>Width and height in px</span>
      <span>
        <NumberWord v-model="view.ownFrame.width" label="Width of the screen" :bounds="FRAME_BOUNDS.side" />
        ×
        <NumberWord v-model="view.ownFrame.height" label="Height of the screen" :bounds="FRAME_BOUNDS.side" />
      </span>
    </div>
    <div v-if="view.frame" class="row">
      <span>Kept free at every edge, in px</span>
      <NumberWord v-model="view.safe" label="Safe margin" :bounds="FRAME_BOUNDS.safe" />
    </div>
    <p class="note">
      {{ sentence }}
      <ElButton
        v-if="nearest"
        class="btn"
        @click="bench.set('board', { ...nearest, gaps: [] }, 'a board that can be touched', 'single')"
      >
        Make it {{ nearest.rows }} × {{ nearest.columns }}
      </ElButton>
    </p>
    <div v-if="cells" class="row places">
      <span>Where each card is</span>
      <span class="buttons">
        <ElButton class="btn" aria-label="Copy the placement table" @click="copy">
          <IconCopy />Copy
        </ElButton>
        <ElButton class="btn" aria-label="Placement table as CSV" @click="save('csv')">
          <IconSave />CSV
        </ElButton>
        <ElButton class="btn" aria-label="Placement table as JSON" @click="save('json')"> JSON </ElButton>
      </span>
    </div>
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.buttons {
  display: flex;
  gap: 6px;
}
.btn {
  min-height: 32px;
  padding: 0 9px;
  font-size: 14px;
}
</style>
