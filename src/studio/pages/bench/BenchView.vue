<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconClose from '~icons/ph/x'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch, watchEffect, type Component } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import LadderView from '../ladder/LadderView.vue'
import { STATIONS, type Station } from '../stations.ts'
import { isPartLost, SERVER_GONE } from '../../store/faults.ts'
import { useBench } from '../../store/bench.ts'
import BenchTop from './BenchTop.vue'
import KeysDialog from './KeysDialog.vue'
import LeaveDialog from './LeaveDialog.vue'
import StationSkeleton from './StationSkeleton.vue'
import { useHeldKeys } from '../../parts/keys/useHeldKeys.ts'
import { useKeys } from '../../parts/keys/useKeys.ts'
import { isBusy } from '../../parts/timing/turns.ts'
import { isBoolean, useChoice } from '../../parts/settings/useChoice.ts'

const bench = useBench()
const route = useRoute()
const router = useRouter()
const isFound = ref<boolean | null>(null)
const isOpen = computed(() => !!bench.game && isFound.value === true)
const keysOpen = ref(false)
/** Whether the walk was taken or declined: until then one line offers it, on a screen large enough. */
const walked = useChoice('walked', false, isBoolean)
const isWide = useMediaQuery('(min-width: 761px)')
const walking = ref(false)
function walk(): void {
  walking.value = true
  walked.value = true
}
const BenchTour = defineAsyncComponent(() => import('./BenchTour.vue'))

/**
 * A station that takes long to load shows a sign of it; one that cannot be loaded leaves its place empty, below the
 * message that says so.
 */
const loaded = (loader: () => Promise<Component>): Component =>
  defineAsyncComponent({
    loader: () => (isPartLost.value ? Promise.reject(new Error(SERVER_GONE)) : loader()),
    loadingComponent: StationSkeleton,
    errorComponent: { render: () => null },
    delay: 200,
  })
const LOADERS: Record<Station, () => Promise<Component>> = {
  deck: () => import('../../stations/deck/DeckStation.vue'),
  deal: () => import('../../stations/deal/DealStation.vue'),
  rules: () => import('../../stations/rules/RulesStation.vue'),
  play: () => import('../../stations/play/PlayStation.vue'),
  odds: () => import('../../stations/odds/OddsStation.vue'),
  ship: () => import('../../stations/ship/ShipStation.vue'),
}
const VIEWS = Object.fromEntries(STATIONS.map((name) => [name, loaded(LOADERS[name])]))
const station = computed(() => route.params.station as Station)
// its script loads while the game is read
void LOADERS[station.value]().catch(() => undefined)
const withLadder = computed(() => station.value !== 'deck' && station.value !== 'ship')

/** Going to another station keeps the rung. */
const to = (name: Station) => {
  const level = bench.rung
  return {
    name: 'bench',
    params: { id: String(route.params.id), station: name, ...(level ? { level } : {}) },
  }
}

watch(
  () => String(route.params.id ?? ''),
  async (id) => {
    if (!id) return
    isFound.value = null
    const isThere = await bench.open(id)
    if (isThere === null) return
    isFound.value = isThere
    followRoute()
  },
  { immediate: true },
)
watch(() => [route.params.level, route.params.station], followRoute)
watch(
  () => bench.game?.title,
  (title) => (document.title = title ? `${title} · Lucky Twin` : 'Lucky Twin'),
)

/**
 * The rung of the address, if the game has it; without one the house rules. For an unknown level the first one opens,
 * and the address follows.
 */
function followRoute(): void {
  if (!bench.game || !station.value) return
  const levelId = String(route.params.level ?? '')
  const isLevel = bench.game.levels.some(({ id }) => id === levelId)
  if (isLevel) bench.rung = levelId
  else if (!withLadder.value) return
  else if (levelId)
    void router.replace({
      ...to(station.value),
      params: { ...to(station.value).params, level: bench.game.levels[0]!.id },
    })
  else bench.rung = null
}
watch(
  () => bench.rung,
  (rung) => {
    if (withLadder.value && rung && rung !== route.params.level) void router.replace(to(station.value))
  },
)

/** A held key waits while an edit is older than this and not saved, in ms. */
const PATIENCE = 300
// saving has to wait for a station that opens, too
useHeldKeys(() => !isBusy.value && bench.unsavedFor() <= PATIENCE)
useKeys({
  'ctrl+z': bench.undo,
  'ctrl+shift+z': bench.redo,
  'ctrl+y': bench.redo,
  '?': () => (keysOpen.value = true),
  ...Object.fromEntries(STATIONS.map((name, i) => [`alt+${i + 1}`, () => void router.push(to(name))])),
})

// the bench alone fills the window
const fillWindow = (fills: boolean): void => void document.documentElement.classList.toggle('at-bench', fills)
watchEffect(() => fillWindow(isOpen.value))
onBeforeUnmount(() => fillWindow(false))

const saveNow = (): void => void bench.flush()
useEventListener(window, 'pagehide', saveNow)
useEventListener(document, 'visibilitychange', saveNow)
onBeforeUnmount(saveNow)
</script>

<template>
  <div v-if="isOpen" class="bench">
    <BenchTop :station="station" :to="to" @keys="keysOpen = true" />
    <aside v-if="!walked && isWide" class="offer" aria-label="For a first visit">
      <p>New here? The six tabs lead from an idea to a finished game, and everything can be undone.</p>
      <ElButton class="btn" @click="walk">Walk me around</ElButton>
      <ElButton class="icon-btn" aria-label="No, thank you" data-tip="No, thank you" @click="walked = true"
        ><IconClose
      /></ElButton>
    </aside>
    <div class="work" :class="{ ladder: withLadder }">
      <LadderView v-if="withLadder" :station="station" />
      <main class="station" :aria-busy="isBusy">
        <component :is="VIEWS[station]" />
      </main>
    </div>
    <LeaveDialog />
    <KeysDialog v-model="keysOpen" @walk="walk" />
    <BenchTour v-if="walking" v-model="walking" />
  </div>
  <main v-else-if="isFound === false" class="lost">
    <h1>This game is not on the shelf</h1>
    <p class="soft">It may have been removed, or it is kept in another browser.</p>
    <RouterLink class="btn main" to="/">To the shelf</RouterLink>
  </main>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-rows: 56px auto minmax(0, 1fr);
  flex: 1;
  min-height: 0;
  min-width: 320px;
}
.offer {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 5px 16px 5px 20px;
  border-bottom: 1px solid var(--line);
  background: var(--sand);
}
.offer .icon-btn {
  margin-left: auto;
}
.work {
  grid-row: 3;
  display: grid;
  min-height: 0;
  grid-template-columns: minmax(0, 1fr);
}
.work.ladder {
  grid-template-columns: 200px minmax(0, 1fr);
}
.station {
  position: relative;
  min-height: 0;
  min-width: 0;
  background: var(--card);
}
.lost {
  display: grid;
  gap: 16px;
  place-content: center;
  justify-items: center;
  height: 90%;
}
@media (max-width: 760px) {
  .bench {
    grid-template-rows: auto auto minmax(0, 1fr);
  }
  .work.ladder {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
