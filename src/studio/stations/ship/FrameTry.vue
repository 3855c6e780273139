<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconTry from '~icons/ph/play'
import { useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useBench } from '../../store/bench.ts'
import { useLending } from './useLending.ts'

/** The game in a frame of another origin, and beside it what the page around it hears and may ask for. */
const props = defineProps<{ html: string | null }>()
const bench = useBench()
const { lend, hereAt, refresh, problem } = useLending()
const frame = useTemplateRef<HTMLIFrameElement>('frame')
const token = ref<string | null>(null)
const frameMessages = ref<{ number: number; text: string }[]>([])
let number = 0
/** how many messages stay */
const MOST = 60

const address = computed(() => {
  if (!token.value) return ''
  return `${hereAt(token.value)}?host=${encodeURIComponent(location.origin)}&leave=1`
})
const origin = computed(() => (address.value ? new URL(address.value).origin : ''))
async function start(): Promise<void> {
  await refresh()
  token.value = props.html && (await lend(props.html))
  frameMessages.value = []
}
// an edit ends the try: its frame holds the page before it
watch(
  () => bench.game,
  () => (token.value = null),
)
useEventListener(window, 'message', ({ source, data }: MessageEvent) => {
  if (source !== frame.value?.contentWindow || data?.luckyTwin !== 1) return
  const { luckyTwin: _, record, ...rest } = data as Record<string, unknown>
  const text = JSON.stringify({ ...rest, ...(record ? { record: '…' } : {}) })
  frameMessages.value = [{ number: ++number, text }, ...frameMessages.value].slice(0, MOST)
})
const ASKS = ['deal', 'pause', 'resume', 'sound', 'leave'] as const
const ask = (what: string): void =>
  frame.value?.contentWindow?.postMessage({ luckyTwin: 1, do: what }, origin.value)
</script>

<template>
  <div class="try">
    <div class="head">
      <h3>Try it</h3>
      <ElButton class="btn" :disabled="!html" @click="start"
        ><IconTry />{{ token ? 'Start over' : 'Start' }}</ElButton
      >
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="token" class="both">
      <iframe ref="frame" :src="address" title="The game in a frame" />
      <div class="around">
        <div class="asks" role="group" aria-label="Ask the game to">
          <ElButton v-for="what in ASKS" :key="what" class="btn" @click="ask(what)">{{ what }}</ElButton>
        </div>
        <ul aria-label="What the page hears" tabindex="0">
          <li v-for="{ number: key, text } in frameMessages" :key="key">
            <code>{{ text }}</code>
          </li>
        </ul>
      </div>
    </div>
    <p v-else class="soft">
      Opens the page in a frame from another origin, as it will be on your site, and shows its messages.
    </p>
  </div>
</template>

<style scoped src="./code.css"></style>
<style scoped>
.try {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.head {
  display: flex;
  align-items: center;
  gap: 14px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 14px;
  height: 480px;
}
iframe {
  width: 100%;
  height: 100%;
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.around {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 10px;
}
.asks {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.asks .btn + .btn {
  margin-left: 0;
}
ul {
  display: grid;
  align-content: start;
  gap: 4px;
  margin: 0;
  padding: 8px;
  overflow-y: auto;
  border: 1px solid var(--line);
  border-radius: var(--round);
  list-style: none;
}
li code {
  overflow-wrap: anywhere;
  background: none;
}
</style>
