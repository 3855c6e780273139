<script setup lang="ts">
import { ElButton } from 'element-plus'
import { watch } from 'vue'
import { useRouter } from 'vue-router'
import { downloadGame } from '../../parts/files/download.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { useShelf } from '../../store/shelf.ts'

/** Whether the game is saved, and what to do if it is not. */
const bench = useBench()
const shelf = useShelf()
const router = useRouter()
const { say } = useToasts()

/** What another tab changed was taken over, since nothing was unsaved here. */
watch(
  () => bench.takenOver,
  ({ lost }) => {
    const nowOpen = bench.level ? `"${bench.level.name}" is open now` : 'the house rules are open now'
    say(
      lost
        ? `Another tab removed the level "${lost}": ${nowOpen}`
        : 'Another tab changed this game, and this tab has taken it over',
      { about: 'another tab', act: { label: 'Undo', run: () => bench.undo() } },
    )
  },
)

async function keepAsCopy(): Promise<void> {
  const mine = bench.game!
  // the copy is saved before anything else is discarded
  const id = await shelf.add({ ...mine, title: `${mine.title} copy` })
  await bench.takeTheirs()
  await router.push({ name: 'bench', params: { id, station: 'deck' } })
}
</script>

<template>
  <span v-if="bench.state === 'saved'" class="saved" role="status">saved ✓</span>
  <span v-else-if="bench.state === 'saving'" class="saving" role="status">saving…</span>
  <div v-else-if="bench.state === 'failed'" class="banner" role="alert">
    <p>
      <strong>This browser did not save the last changes</strong> ({{ bench.failure }}). They are safe while
      this tab is open.
    </p>
    <ElButton class="btn" @click="downloadGame(bench.game!)">Save to a file</ElButton>
    <ElButton class="btn" @click="bench.retry()">Try again</ElButton>
  </div>
  <div v-else-if="bench.clash === 'changed'" class="banner" role="alert">
    <p><strong>Another tab has changed this game.</strong> Nothing is overwritten until you choose.</p>
    <ElButton class="btn" @click="bench.takeTheirs()">Use the other tab's version</ElButton>
    <ElButton class="btn" @click="keepAsCopy">Keep mine as a copy</ElButton>
    <ElButton class="btn" @click="bench.keepMine()">Replace it with mine</ElButton>
  </div>
  <div v-else class="banner" role="alert">
    <p v-if="bench.clash === 'binned'">
      <strong>Another tab has put this game into the bin.</strong> Nothing is saved until you choose.
    </p>
    <p v-else>
      <strong>Another tab has deleted this game.</strong> This tab still has it. Nothing is saved until you
      choose.
    </p>
    <ElButton class="btn" @click="bench.keepMine()">{{
      bench.clash === 'binned' ? 'Take it out of the bin' : 'Put it back on the shelf'
    }}</ElButton>
    <ElButton class="btn" @click="router.push('/')">Leave it, to the shelf</ElButton>
  </div>
</template>

<style scoped>
.saved,
.saving {
  margin-right: 8px;
  color: var(--lagoon-deep);
  font-size: 14px;
  font-weight: 600;
}
.saving {
  color: var(--ink-soft);
}
.banner {
  position: fixed;
  top: 64px;
  right: 16px;
  z-index: 100;
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px;
  max-width: 560px;
  padding: 12px 16px;
  border: 1px solid #d9a49c;
  border-radius: var(--round-card);
  background: var(--brick-pale);
  box-shadow: var(--shadow);
}
.banner p {
  flex: 1 1 100%;
}
strong {
  color: var(--brick);
}
</style>
