<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import { useClipboard } from '@vueuse/core'
import { computed } from 'vue'
import { frameFor, keepsSize } from '../../../core/board/frames.ts'
import { resolveLevel } from '../../../core/settings/levels.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import FrameTry from './FrameTry.vue'

/** The lines to paste into a page around the game, and what it hears. */
const props = defineProps<{ name: string; html: string | null }>()
const bench = useBench()
const { say } = useToasts()
const { copy, isSupported } = useClipboard({ legacy: true })

/** A frame as it stands in most pages, and the one in which all cards keep their size. */
const USUAL = { width: 400, height: 700, safe: 0 }
const levels = computed(() =>
  bench.game!.levels.map((level) => ({ name: level.name, settings: resolveLevel(bench.game!, level) })),
)
const frame = computed(() =>
  frameFor(
    USUAL,
    levels.value.map(({ settings }) => settings),
  ),
)
/** the levels that need more than the usual frame */
const tooLarge = computed(() =>
  levels.value.filter(({ settings }) => !keepsSize(USUAL, settings)).map(({ name }) => name),
)

const attribute = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;')
// written in two pieces: the closing tag would end this component's own script
const END = '</' + 'script>'
const lines = computed(
  () => `<iframe id="game" src="${props.name}?host=https://example.org&amp;leave=1"
  title="${attribute(bench.game!.title)}" width="${frame.value.width}" height="${frame.value.height}"></iframe>
<script>
  const game = document.getElementById('game')
  addEventListener('message', ({ source, data }) => {
    if (source !== game.contentWindow || data?.luckyTwin !== 1) return
    if (data.event === 'won' || data.event === 'lost')
      console.log(\`\${data.event} with \${data.score} points\`)
    if (data.event === 'left') game.remove()
  })
${END}`,
)
async function copied(): Promise<void> {
  await copy(lines.value)
  say('The lines are copied')
}
const HEARS: [string, string][] = [
  ['ready, dealt', 'the game can be played; a new round is on the table'],
  ['turn', 'two cards were judged: match, how, score'],
  ['paused, resumed', 'by the player, or as your page asked'],
  ['won, lost, left', 'the result, and the record that proves it'],
]
</script>

<template>
  <div class="frame">
    <p>
      Put the page beside yours, and paste these lines. Replace <code>https://example.org</code> with the
      address of your site: only that site receives the messages.
    </p>
    <div class="lines">
      <pre tabindex="0" aria-label="Lines to paste">{{ lines }}</pre>
      <ElButton v-if="isSupported" class="btn" @click="copied"><IconCopy />Copy</ElButton>
    </div>
    <p v-if="tooLarge.length" class="large" role="status">
      Cards of one size do not fit a frame of {{ USUAL.width }} × {{ USUAL.height }} on
      {{ tooLarge.join(', ') }}. The lines ask for {{ frame.width }} × {{ frame.height }}; in a smaller frame
      the cards become smaller.
    </p>
    <FrameTry :html="html" />
    <h3>What your page hears</h3>
    <dl>
      <template v-for="[event, what] in HEARS" :key="event">
        <dt>
          <code>{{ event }}</code>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="soft">
      It can ask for <code>deal</code>, <code>pause</code>, <code>resume</code>, <code>sound</code> and
      <code>leave</code>: docs/embedding.md has every message, and a whole example page.
    </p>
  </div>
</template>

<style scoped src="./code.css"></style>
<style scoped>
.frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  justify-items: stretch;
  gap: 12px;
}
.lines {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  justify-items: start;
  gap: 8px;
}
.lines pre {
  width: 100%;
}
.large {
  color: var(--brick);
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 6px 16px;
  margin: 0;
}
dd {
  margin: 0;
}
</style>
