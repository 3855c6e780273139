<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import IconSave from '~icons/ph/download-simple'
import IconPlay from '~icons/ph/play'
import IconRemove from '~icons/ph/trash'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { resolveLevel } from '../../../core/settings/levels.ts'
import BoardMini from '../../parts/cards/BoardMini.vue'
import FaceView from '../../parts/cards/FaceView.vue'
import type { Finding } from '../../../core/findings/finding.ts'
import { findingLine } from '../../../core/findings/words.ts'
import type { StoredGame } from '../../store/db.ts'
import { downloadGame } from '../../parts/files/download.ts'
import { useCarefulFan } from './useCarefulFan.ts'

const props = defineProps<{ box: StoredGame; hue: number; findings: readonly Finding[] }>()
defineEmits<{ duplicate: []; remove: [] }>()

const MOST_BOARDS = 6
const game = computed(() => props.box.game)
const boards = computed(() => game.value.levels.map((level) => resolveLevel(game.value, level).board))
/** Three faces for the fan; both sides of related pairs are shown. */
const fan = computed(() => {
  const { pairs } = game.value.deck
  return [pairs[0], pairs[3] ?? pairs[1], pairs[4] ?? pairs[2]].flatMap((pair, i) =>
    pair ? [{ face: i === 1 && pair.b ? pair.b : pair.a, name: pair.name }] : [],
  )
})
const { safe, draw } = useCarefulFan(
  () => props.box,
  () => fan.value.map(({ face }) => face),
)
/** The cards of the fan: placeholders with their names if drawing them stopped the browser before. */
const title = computed(() =>
  safe.value
    ? fan.value.map(({ face, name }) => ({
        name,
        face: face.kind === 'image' ? { kind: 'text' as const, text: name.slice(0, 60) } : face,
      }))
    : fan.value,
)
const facts = computed(() => {
  const { pairs } = game.value.deck
  const related = pairs.length > 0 && pairs.every((pair) => pair.b)
  return [
    count(game.value.levels.length, 'level'),
    related ? `${count(pairs.length, 'related pair')}` : count(pairs.length, 'pair'),
    touched(props.box.touched),
  ].join(' · ')
})
const count = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`

function touched(time: number): string {
  const days = Math.floor(
    (new Date().setHours(0, 0, 0, 0) - new Date(time).setHours(0, 0, 0, 0)) / 86_400_000,
  )
  return days <= 0
    ? 'today'
    : days === 1
      ? 'yesterday'
      : days < 14
        ? `${days} days ago`
        : new Date(time).toLocaleDateString()
}
const to = (station: string) => ({ name: 'bench', params: { id: props.box.key, station } })
</script>

<template>
  <article class="box panel">
    <h2 class="lid" :class="`hue-${hue}`">{{ game.title }}</h2>
    <RouterLink class="fan" :to="to('deck')" tabindex="-1" aria-hidden="true">
      <span v-for="(card, i) in title" :key="i" class="card"
        ><FaceView :face="card.face" :name="card.name"
      /></span>
      <span v-if="fan.length === 0" class="soft">no pairs yet</span>
    </RouterLink>
    <div class="boards">
      <BoardMini v-for="(board, i) in boards.slice(0, MOST_BOARDS)" :key="i" :board="board" :cell="6" />
      <span v-if="boards.length > MOST_BOARDS" class="soft">+{{ boards.length - MOST_BOARDS }}</span>
    </div>
    <p class="soft facts">{{ facts }}</p>
    <p v-if="safe" class="findings">
      Drawing its images stopped the browser.
      <ElButton class="link" @click="draw">Draw them</ElButton>
    </p>
    <p v-if="findings.length" class="findings">
      {{ count(findings.length, 'finding') }}: {{ findingLine(findings[0]!, game.levels) }}
    </p>
    <footer>
      <RouterLink class="btn main" :to="to('play')" :aria-label="`Play ${game.title}`"
        ><IconPlay />Play</RouterLink
      >
      <RouterLink class="btn" :to="to('deck')" :aria-label="`Open ${game.title}`">Open</RouterLink>
      <span class="grow" />
      <ElButton
        class="icon-btn"
        :aria-label="`Duplicate ${game.title}`"
        data-tip="Duplicate"
        @click="$emit('duplicate')"
      >
        <IconCopy />
      </ElButton>
      <ElButton
        class="icon-btn"
        :aria-label="`Save ${game.title} to a file`"
        data-tip="Save to a file"
        @click="downloadGame(game)"
      >
        <IconSave />
      </ElButton>
      <ElButton
        class="icon-btn"
        :aria-label="`Remove ${game.title}`"
        data-tip="Remove"
        @click="$emit('remove')"
      >
        <IconRemove />
      </ElButton>
    </footer>
  </article>
</template>

<style scoped>
.box {
  display: flex;
  flex-direction: column;
  overflow: hidden;
  box-shadow: var(--shadow);
}
.lid {
  padding: 14px 16px 13px;
  border-bottom: 5px solid #0000001f;
  color: #fffdf8;
  overflow-wrap: anywhere;
}
.hue-0 {
  background: #b8532a;
}
.hue-1 {
  background: var(--lagoon);
}
.hue-2 {
  background: #403f6d;
}
.fan {
  display: flex;
  justify-content: center;
  align-items: center;
  height: 146px;
  padding-top: 8px;
  text-decoration: none;
}
.card {
  width: 76px;
  height: 91px;
  margin: 0 -9px;
  border-radius: 9px;
  background: var(--card);
  box-shadow:
    0 0 0 1px var(--line),
    0 3px 9px #23243f24;
}
.card:nth-child(1) {
  transform: rotate(-10deg) translateY(5px);
}
.card:nth-child(2) {
  z-index: 1;
}
.card:nth-child(3) {
  transform: rotate(10deg) translateY(5px);
}
.boards {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px;
  min-height: 46px;
  padding: 0 16px;
  color: #cdc0a8;
}
.facts {
  padding: 8px 16px 0;
}
.link {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.findings {
  padding: 2px 16px 0;
  color: var(--brick);
  font-size: 14px;
}
footer {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: auto;
  padding: 12px;
}
.facts + footer,
.findings + footer {
  border-top: 1px solid var(--sand);
}
.facts,
.findings {
  margin-bottom: 10px;
}
.grow {
  flex: 1;
}
footer .icon-btn {
  margin-left: -6px;
}
</style>
