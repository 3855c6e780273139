<script setup lang="ts">
import { ElButton, ElSegmented } from 'element-plus'
import IconDeal from '~icons/ph/cards-three'
import IconGlass from '~icons/ph/eye'
import IconOrder from '~icons/ph/rows'
import IconPhone from '~icons/ph/device-mobile'
import IconStep from '~icons/ph/skip-forward'
import { isSeed } from '../../../core/deal/seed.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import TextField from '../../parts/settings/TextField.vue'

/** The tools that bring the table to the moment to be tried: the deal, the time, and shortcuts through the game. */
defineProps<{
  seed: string
  held: boolean
  timed: boolean
  lives: boolean
  players: readonly (readonly [string, string])[]
}>()
const glass = defineModel<boolean>('glass', { required: true })
const order = defineModel<boolean>('order', { required: true })
const phone = defineModel<boolean>('phone', { required: true })
const speed = defineModel<number>('speed', { required: true })
/** the mind that plays, '' for you */
const by = defineModel<string>('by', { required: true })
const emit = defineEmits<{
  deal: []
  seed: [text: string]
  step: []
  go: []
  lastPair: []
  lastSeconds: []
  miss: []
}>()

const SPEEDS = [
  { value: 0.25, label: '¼×' },
  { value: 0.5, label: '½×' },
  { value: 1, label: '1×' },
  { value: 2, label: '2×' },
  { value: 4, label: '4×' },
  { value: 8, label: '8×' },
]
/** A seed, or a whole pasted deal: a line as `deal` prints it. */
function setSeed(text: string): void {
  if (text.startsWith('{') || isSeed(text)) emit('seed', text)
}
</script>

<template>
  <div class="tools">
    <ElButton class="btn" :aria-pressed="glass" data-tip="See through the backs (G)" @click="glass = !glass">
      <IconGlass />Glass
    </ElButton>
    <ElButton class="btn" :aria-pressed="order" data-tip="Deal twins side by side" @click="order = !order">
      <IconOrder />In order
    </ElButton>
    <ElButton
      class="btn"
      :aria-pressed="phone"
      data-tip="The table as wide as a phone"
      @click="phone = !phone"
    >
      <IconPhone />Phone
    </ElButton>
    <label class="seed" data-tip="A seed, or a pasted deal as the command line prints it"
      >seed
      <!-- a pasted deal is longer than a seed -->
      <TextField :model-value="seed" label="seed" spellcheck="false" @change="setSeed" />
    </label>
    <span class="by">by <ChoiceWord v-model="by" label="Played by" :choices="players" /></span>
    <ElButton class="btn main deal" data-tip="Deal again (D)" @click="emit('deal')">
      <IconDeal />Deal again
    </ElButton>
    <div class="line">
      <span id="play-speed" class="soft">Time</span>
      <ElSegmented v-model="speed" :options="SPEEDS" aria-labelledby="play-speed" size="small" />
      <ElButton class="btn small" data-tip="Jump to the next event" @click="emit('step')">
        <IconStep />Next
      </ElButton>
      <ElButton v-if="held" class="btn small held" @click="emit('go')">Go on</ElButton>
      <span class="soft to">Skip to</span>
      <ElButton class="btn small" @click="emit('lastPair')">the last pair</ElButton>
      <ElButton
        class="btn small"
        :disabled="!timed"
        :data-tip="timed ? '' : 'This level has no clock that counts down'"
        @click="emit('lastSeconds')"
      >
        the last seconds
      </ElButton>
      <ElButton class="btn small" @click="emit('miss')">
        {{ lives ? 'one life lost' : 'a miss' }}
      </ElButton>
    </div>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.line {
  display: flex;
  flex: 1 0 100%;
  flex-wrap: wrap;
  white-space: nowrap;
  align-items: center;
  gap: 6px;
}
.seed {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 36px;
  padding: 0 0 0 12px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  color: var(--ink-soft);
}
.seed:focus-within {
  border-color: var(--lagoon);
}
.seed .text-field {
  --el-input-border-color: transparent;
  --el-input-hover-border-color: transparent;
  --el-input-focus-border-color: transparent;
  width: 122px;
}
.seed :deep(input) {
  font-weight: 700;
}
.tools > .btn {
  padding: 0 10px;
}
.by {
  color: var(--ink-soft);
  white-space: nowrap;
}
.deal {
  margin-left: auto;
}
.small {
  min-height: 30px;
  height: 30px;
  padding: 0 9px;
  font-size: 14px;
}
.line :deep(.el-segmented__item) {
  padding: 0 6px;
}
.held {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
}
.to {
  margin-left: 4px;
}
@media (max-width: 760px) {
  .line,
  .seed,
  .tools .btn:not(.deal):nth-child(n + 2) {
    display: none;
  }
}
</style>
