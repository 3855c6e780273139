<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import IconBack from '~icons/ph/caret-left'
import IconCopy from '~icons/ph/copy'
import IconCut from '~icons/ph/scissors'
import IconDouble from '~icons/ph/copy-simple'
import IconForward from '~icons/ph/caret-right'
import IconRemove from '~icons/ph/trash'
import { computed, ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { coloured, tagged } from '../../../core/deck/edit.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import FaceView from '../../parts/cards/FaceView.vue'
import { useBench } from '../../store/bench.ts'
import PaperInk from './PaperInk.vue'

/** What can be done with several pairs at once. */
const props = defineProps<{ pairs: readonly Pair[] }>()
defineEmits<{ remove: []; step: [by: number]; double: []; copy: []; cut: [] }>()
const bench = useBench()
const SHOWN = 8
const ids = computed(() => new Set(props.pairs.map(({ id }) => id)))

/** Every tag of the selected pairs, and how many of them have it. */
const tags = computed(() => {
  const counts = new Map<string, number>()
  for (const pair of props.pairs)
    for (const tag of pair.tags ?? []) counts.set(tag, (counts.get(tag) ?? 0) + 1)
  return [...counts].sort(([a], [b]) => a.localeCompare(b))
})
const draft = ref('')
function edit(label: string, to: (pairs: Pair[]) => Pair[], about: string | null = null): void {
  bench.edit(label, (game) => void (game.deck.pairs = to(bench.game!.deck.pairs)), about)
}
function tag(word: string, on: boolean): void {
  if (word.trim()) edit(on ? 'tag pairs' : 'remove a tag', (pairs) => tagged(pairs, ids.value, word, on))
  draft.value = ''
}
const colour = (key: 'paper' | 'ink', value: string | null): void =>
  edit(`change the ${key}`, (pairs) => coloured(pairs, ids.value, key, value), `many/${key}`)
</script>

<template>
  <section aria-labelledby="many-title">
    <h2 id="many-title">{{ countWords(pairs.length, 'pair') }}</h2>
    <div class="fan" aria-hidden="true">
      <span v-for="pair in pairs.slice(0, SHOWN)" :key="pair.id" class="card"
        ><FaceView :face="pair.a" :name="pair.name"
      /></span>
      <span v-if="pairs.length > SHOWN" class="soft">+{{ pairs.length - SHOWN }}</span>
    </div>
    <h3 id="many-tags">Tags</h3>
    <div class="tags" role="group" aria-labelledby="many-tags">
      <span v-for="[word, count] in tags" :key="word" class="tag">
        <ElButton
          v-if="count < pairs.length"
          :data-tip="`Add it to all ${pairs.length}`"
          @click="tag(word, true)"
        >
          {{ word }} <small>{{ count }}</small>
        </ElButton>
        <span v-else>{{ word }}</span>
        <ElButton :aria-label="`Remove the tag ${word}`" @click="tag(word, false)">×</ElButton>
      </span>
      <span v-if="!tags.length" class="soft">none yet</span>
    </div>
    <form class="add" @submit.prevent="tag(draft, true)">
      <ElInput
        v-model="draft"
        :maxlength="LENGTHS.tag"
        placeholder="another tag"
        aria-label="Tag for all of them"
        autocomplete="off"
      />
      <ElButton class="btn" native-type="submit" :disabled="!draft.trim()">Tag all</ElButton>
    </form>
    <div class="row">
      <span>Paper and ink</span>
      <PaperInk
        :paper="pairs[0]!.a.paper"
        :ink="pairs[0]!.a.ink"
        inked
        of=" of all of them"
        @paper="colour('paper', $event)"
        @ink="colour('ink', $event)"
      />
    </div>
    <div class="acts">
      <ElButton class="btn" data-tip="Alt+←" @click="$emit('step', -1)"><IconBack />Earlier</ElButton>
      <ElButton class="btn" data-tip="Alt+→" @click="$emit('step', 1)"><IconForward />Later</ElButton>
      <ElButton class="btn" data-tip="Ctrl+C" @click="$emit('copy')"><IconCopy />Copy</ElButton>
      <ElButton class="btn" data-tip="Ctrl+X" @click="$emit('cut')"><IconCut />Cut</ElButton>
      <ElButton class="btn" @click="$emit('double')"><IconDouble />Duplicate</ElButton>
      <ElButton class="btn" data-tip="Delete" @click="$emit('remove')"><IconRemove />Remove</ElButton>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 20px;
}
h3 {
  margin: 18px 0 8px;
}
.fan {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin-top: 12px;
}
.card {
  width: 54px;
  height: 64px;
  border-radius: 7px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--line);
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.tag {
  display: inline-flex;
  align-items: center;
  padding: 1px 4px 1px 10px;
  border-radius: 12px;
  background: var(--sand);
  font: 600 14px/1.6 var(--body);
}
.tag button {
  padding: 0 4px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.tag button:hover {
  color: var(--lagoon-deep);
}
small {
  color: var(--ink-soft);
  font-size: 12px;
}
.add {
  display: flex;
  gap: 8px;
  margin: 10px 0 6px;
}
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  border-bottom: 1px solid var(--sand);
  color: var(--ink-soft);
}
.acts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin-top: 16px;
}
.acts .btn {
  justify-content: flex-start;
}
</style>
