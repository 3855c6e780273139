<script setup lang="ts">
import { computed } from 'vue'
import { selectPairs } from '../../core/deck/select.ts'
import { openCells } from '../../core/deal/cells.ts'
import type { Pick, Repeat, Settings, Use } from '../../core/game/settings.ts'
import FaceView from '../cards/FaceView.vue'
import ChoiceWord from '../settings/ChoiceWord.vue'
import NumberWord from '../settings/NumberWord.vue'
import OwnTab from '../settings/OwnTab.vue'
import SettingChoice from '../settings/SettingChoice.vue'
import { useBench } from '../store/bench.ts'

/** Which pairs of the deck come on the board, and how they are picked. */
const props = defineProps<{ settings: Settings }>()
const bench = useBench()
const pairs = computed(() => bench.game!.deck.pairs)
const use = computed(() => props.settings.fill.use)
const selection = computed(() => selectPairs(pairs.value, use.value))
/** half a pair more on an odd board, which its finding tells of */
const needed = computed(() => Math.ceil(openCells(props.settings.board).length / 2))
const tags = computed(() => [...new Set(pairs.value.flatMap((pair) => pair.tags ?? []))].sort())
const SHOWN = 17

type How = 'all' | 'tags' | 'pairs' | 'range'
const how = computed<How>(() =>
  use.value === 'all' ? 'all' : 'tags' in use.value ? 'tags' : 'pairs' in use.value ? 'pairs' : 'range',
)
const HOWS = computed<[How, string][]>(() => [
  ['all', `the whole deck, ${pairs.value.length} pairs`],
  ...(tags.value.length || how.value === 'tags'
    ? [['tags', 'pairs with certain tags'] as [How, string]]
    : []),
  ['range', 'a part of the deck, by place'],
  ...(how.value === 'pairs' ? [['pairs', 'certain pairs'] as [How, string]] : []),
])
const PICKS: [Pick, string][] = [
  ['random', 'at random'],
  ['first', 'the first of them'],
]
const REPEATS: [Repeat, string][] = [
  ['never', 'never'],
  ['evenly', 'evenly, if they do not suffice'],
  ['at-random', 'at random, if they do not suffice'],
]

const set = (next: Use): void => bench.set('fill', { use: next }, 'choose the pairs')
function choose(next: How): void {
  if (next === 'all') set('all')
  else if (next === 'tags') set({ tags: tags.value.slice(0, 1) })
  else if (next === 'range') set({ from: 1, to: Math.max(1, pairs.value.length) })
}
function toggleTag(tag: string): void {
  const now = use.value !== 'all' && 'tags' in use.value ? use.value.tags : []
  set({ tags: now.includes(tag) ? now.filter((one) => one !== tag) : [...now, tag] })
}
const range = computed(() => (use.value !== 'all' && 'from' in use.value ? use.value : null))
const sentence = computed(() => {
  const { pick, repeat } = props.settings.fill
  const chosen = selection.value.length
  if (chosen >= needed.value) {
    const all =
      chosen === needed.value
        ? ', all of them'
        : pick === 'random'
          ? ', picked at random'
          : ', the first ones'
    return `${needed.value} pairs from ${chosen}${all}.`
  }
  if (repeat === 'never' || chosen === 0) return `${needed.value} pairs are needed; ${chosen} are chosen.`
  return `${needed.value} places for ${chosen} pairs: they repeat ${repeat === 'evenly' ? 'evenly' : 'at random'}.`
})
</script>

<template>
  <section aria-labelledby="fill-title">
    <h3 id="fill-title">Pairs</h3>
    <div class="row">
      <span>From</span>
      <span
        ><ChoiceWord
          :model-value="how"
          label="Which part of the deck"
          :choices="HOWS"
          @update:model-value="choose" /><OwnTab section="fill" :names="['use']"
      /></span>
    </div>
    <div
      v-if="how === 'tags' && use !== 'all' && 'tags' in use"
      class="row tags"
      role="group"
      aria-label="Tags"
    >
      <button
        v-for="tag in [...new Set([...tags, ...use.tags])]"
        :key="tag"
        class="tag"
        type="button"
        :aria-pressed="use.tags.includes(tag)"
        @click="toggleTag(tag)"
      >
        {{ tag }}
      </button>
    </div>
    <div v-if="range" class="row">
      <span>Places in the deck</span>
      <span>
        <NumberWord
          :model-value="range.from"
          label="From place"
          :bounds="[1, range.to]"
          @update:model-value="(from) => set({ from, to: range!.to })"
        />
        to
        <NumberWord
          :model-value="range.to"
          label="To place"
          :bounds="[range.from, Math.max(range.from, pairs.length)]"
          @update:model-value="(to) => set({ from: range!.from, to })"
        />
      </span>
    </div>
    <div class="row">
      <span>Picked</span>
      <SettingChoice section="fill" name="pick" label="How pairs are picked" :choices="PICKS" />
    </div>
    <div class="row">
      <span>Repeated</span>
      <SettingChoice section="fill" name="repeat" label="Whether pairs repeat" :choices="REPEATS" />
    </div>
    <p class="note">{{ sentence }}</p>
    <ul class="faces" aria-hidden="true">
      <li v-for="at in selection.slice(0, SHOWN)" :key="at">
        <FaceView :face="pairs[at]!.a" shape="square" />
      </li>
      <li v-if="selection.length > SHOWN" class="more">+{{ selection.length - SHOWN }}</li>
    </ul>
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.tags {
  justify-content: flex-start;
  flex-wrap: wrap;
  gap: 6px;
}
.tag {
  padding: 2px 12px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--ink);
  font: 600 14px/1.5 var(--body);
  cursor: pointer;
}
.tag[aria-pressed='true'] {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
  color: #0f5556;
}
.faces {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.faces li {
  width: 29px;
  height: 29px;
  border-radius: 6px;
  box-shadow: 0 0 0 1px var(--line);
}
.faces .more {
  display: grid;
  place-items: center;
  width: auto;
  padding: 0 6px;
  font-size: 13px;
}
</style>
