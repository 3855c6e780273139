<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconPlus from '~icons/ph/plus'
import IconCompare from '~icons/ph/columns'
import IconStairs from '~icons/ph/stairs'
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { Level } from '../../../core/settings/levels.ts'
import { namesAfter } from '../../../core/settings/ladder.ts'
import { newId } from '../../../core/settings/new-id.ts'
import { BOUNDS, LENGTHS } from '../../../core/settings/bounds.ts'
import { useSortable } from '../../parts/look/useSortable.ts'
import type { Station } from '../stations.ts'
import { onceTrue } from '../../parts/timing/onceTrue.ts'
import { useBench } from '../../store/bench.ts'
import LadderRung from './LadderRung.vue'

const props = defineProps<{ station: Station }>()
const bench = useBench()
const route = useRoute()
const list = ref<HTMLElement>()
const levels = computed(() => bench.game?.levels ?? [])
const full = computed(() => levels.value.length >= BOUNDS.levels[1])
const houseTo = computed(() => ({
  name: 'bench',
  params: { id: String(route.params.id), station: props.station },
}))

const ids = (): string[] => levels.value.map(({ id }) => id)

function put(level: Level, at: number, label: string): void {
  bench.edit(label, (game) => void game.levels.splice(at, 0, level))
  bench.rung = level.id
}
function add(): void {
  const [name] = namesAfter(levels.value, 1) as [string]
  put({ id: newId(name, ids(), 'level'), name }, levels.value.length, 'add a level')
}
const making = ref(false)
const comparing = ref(false)
// loaded on demand
const MakeLadder = defineAsyncComponent(() => import('./MakeLadder.vue'))
const CompareLevels = defineAsyncComponent(() => import('./CompareLevels.vue'))
const wasMaking = onceTrue(making)
const wasComparing = onceTrue(comparing)
function addAll(newLevels: Level[], instead: boolean): void {
  const room = BOUNDS.levels[1] - (instead ? 0 : levels.value.length)
  const some = newLevels.slice(0, room)
  if (!some.length) return
  bench.edit('make a ladder', (game) => {
    if (instead) game.levels = some
    else game.levels.push(...some)
  })
  bench.rung = some[0]!.id
}
function duplicate(level: Level): void {
  const name = `${level.name.slice(0, LENGTHS.name - 5)} copy`
  put(
    { ...level, id: newId(name, ids(), 'level'), name },
    levels.value.indexOf(level) + 1,
    'duplicate a level',
  )
}
/** Removes a level; the keyboard stays in the ladder, at the level that took its place. */
async function remove(level: Level): Promise<void> {
  const at = levels.value.indexOf(level)
  const next = levels.value[at + 1] ?? levels.value[at - 1]
  if (!next) return
  if (bench.rung === level.id) bench.rung = next.id
  bench.edit('remove a level', (game) => void game.levels.splice(at, 1))
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('li > a')[Math.min(at, levels.value.length - 1)]?.focus()
}
function move(from: number, to: number): void {
  if (to < 0 || to >= levels.value.length || from === to) return
  bench.edit('reorder the levels', (game) => {
    const [level] = game.levels.splice(from, 1)
    game.levels.splice(to, 0, level!)
  })
}

useSortable(list, move)
</script>

<template>
  <aside class="ladder" aria-label="Ladder">
    <RouterLink
      class="house"
      :class="{ open: bench.rung === null }"
      :to="houseTo"
      :aria-current="bench.rung === null || undefined"
    >
      <strong>House rules</strong>
      <span class="soft">{{
        (station === 'play' || station === 'odds') && bench.rung === null
          ? `${levels[0]?.name} is played`
          : 'what every level follows'
      }}</span>
    </RouterLink>
    <ol ref="list">
      <LadderRung
        v-for="(level, i) in levels"
        :key="level.id"
        :level="level"
        :index="i"
        :station="station"
        :last="levels.length === 1"
        @duplicate="duplicate(level)"
        @remove="remove(level)"
        @move="(by) => move(i, i + by)"
      />
    </ol>
    <ElButton
      class="add"
      :disabled="full"
      :data-tip="full ? 'A ladder has at most 100 levels' : undefined"
      @click="add"
    >
      <IconPlus />Level
    </ElButton>
    <ElButton class="add" :disabled="full" @click="making = true"> <IconStairs />Make a ladder </ElButton>
    <ElButton class="add" :disabled="levels.length < 2" @click="comparing = true">
      <IconCompare />Compare
    </ElButton>
    <CompareLevels v-if="wasComparing" v-model="comparing" />
    <MakeLadder v-if="wasMaking" v-model="making" @add="addAll" />
  </aside>
</template>

<style scoped>
.ladder {
  overflow-y: auto;
  padding: 14px 14px 24px;
  border-right: 1px solid var(--line);
  background: var(--paper);
}
.house {
  position: relative;
  display: grid;
  padding: 8px 12px;
  border: 1px solid transparent;
  border-radius: var(--round-card);
  color: inherit;
  text-decoration: none;
}
.house:hover {
  background: var(--sand);
}
.house.open::before {
  content: '';
  position: absolute;
  inset: 12px auto 12px -14px;
  width: 5px;
  border-radius: 0 4px 4px 0;
  background: var(--apricot);
}
.house.open {
  border-color: var(--line);
  background: var(--card);
  box-shadow: var(--shadow);
}
.house .soft {
  font-size: 13px;
}
ol {
  display: grid;
  gap: 8px;
  margin: 10px 0;
  padding: 0;
  list-style: none;
}
.add + .add {
  margin-top: 8px;
}
.add {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  width: 100%;
  min-height: 36px;
  border: 1.5px dashed #b9ad95;
  border-radius: var(--round-card);
  background: none;
  color: inherit;
  font: 600 15px var(--body);
  cursor: pointer;
}
.add:hover {
  background: var(--card);
}
@media (max-width: 760px) {
  .ladder {
    display: none;
  }
}
</style>
