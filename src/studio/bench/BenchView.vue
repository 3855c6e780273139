<script setup lang="ts">
import IconHelp from '~icons/ph/question'
import IconRedo from '~icons/ph/arrow-u-up-right'
import IconUndo from '~icons/ph/arrow-u-up-left'
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { LENGTHS } from '../../core/game/settings.ts'
import LadderView from '../ladder/LadderView.vue'
import { STATION_NAMES, STATIONS, type Station } from '../router.ts'
import { useBench } from '../store/bench.ts'
import KeysDialog from './KeysDialog.vue'
import SaveState from './SaveState.vue'
import { useKeys } from './useKeys.ts'

const bench = useBench()
const route = useRoute()
const router = useRouter()
const found = ref<boolean | null>(null)
const keysOpen = ref(false)

const VIEWS = {
  deck: defineAsyncComponent(() => import('../deck/DeckStation.vue')),
  deal: defineAsyncComponent(() => import('../deal/DealStation.vue')),
  rules: defineAsyncComponent(() => import('../rules/RulesStation.vue')),
  play: defineAsyncComponent(() => import('../play/PlayStation.vue')),
  ship: defineAsyncComponent(() => import('../ship/ShipStation.vue')),
}
const station = computed(() => route.params.station as Station)
const withLadder = computed(() => station.value !== 'deck' && station.value !== 'ship')

/** A station keeps the rung; one that plays needs a level, so the house rules give way to the first. */
const to = (name: Station) => {
  const level = bench.rung || (name === 'play' ? bench.game?.levels[0]?.id : '')
  return {
    name: 'bench',
    params: { id: String(route.params.id), station: name, ...(level ? { level } : {}) },
  }
}

watch(
  () => String(route.params.id ?? ''),
  async (id) => {
    if (!id) return
    found.value = null
    found.value = await bench.open(id)
    followRoute()
  },
  { immediate: true },
)
watch(() => [route.params.level, route.params.station], followRoute)
watch(
  () => bench.game?.title,
  (title) => (document.title = title ? `${title} · Lucky Twin` : 'Lucky Twin'),
)

/** The rung of the address, if the game has it; otherwise the first level, which the address then names. */
function followRoute(): void {
  if (!bench.game || !station.value) return
  const asked = String(route.params.level ?? '')
  const known = bench.game.levels.some(({ id }) => id === asked)
  if (known) bench.rung = asked
  else if (!withLadder.value) return
  else if (station.value === 'play' || asked)
    void router.replace({
      ...to(station.value),
      params: { ...to(station.value).params, level: bench.game.levels[0]!.id },
    })
  else bench.rung = ''
}
watch(
  () => bench.rung,
  (rung) => {
    if (withLadder.value && rung && rung !== route.params.level) void router.replace(to(station.value))
  },
)

function rename(event: Event): void {
  const field = event.target as HTMLInputElement
  const title = field.value.trim().slice(0, LENGTHS.title)
  if (title) bench.edit('rename the game', (game) => void (game.title = title), 'title')
  else field.value = bench.game?.title ?? ''
}

useKeys({
  'ctrl+z': bench.undo,
  'ctrl+shift+z': bench.redo,
  'ctrl+y': bench.redo,
  '?': () => (keysOpen.value = true),
  ...Object.fromEntries(STATIONS.map((name, i) => [`alt+${i + 1}`, () => void router.push(to(name))])),
})

const saveNow = (): void => void bench.flush()
onMounted(() => {
  window.addEventListener('pagehide', saveNow)
  document.addEventListener('visibilitychange', saveNow)
})
onBeforeUnmount(() => {
  saveNow()
  window.removeEventListener('pagehide', saveNow)
  document.removeEventListener('visibilitychange', saveNow)
})
</script>

<template>
  <div v-if="bench.game && found" class="bench">
    <header class="top">
      <RouterLink class="home" to="/" aria-label="To the shelf"
        ><img src="/mark.svg" alt="" width="32" height="32"
      /></RouterLink>
      <h1 class="hidden-text">{{ bench.game.title }}</h1>
      <input
        class="title"
        :value="bench.game.title"
        aria-label="Title of the game"
        maxlength="120"
        @change="rename"
      />
      <nav aria-label="Stations">
        <RouterLink
          v-for="name in STATIONS"
          :key="name"
          class="tab"
          :class="{ open: name === station }"
          :to="to(name)"
        >
          {{ STATION_NAMES[name] }}
        </RouterLink>
      </nav>
      <div class="state">
        <SaveState />
        <button
          class="icon-btn"
          type="button"
          aria-label="Undo"
          :title="bench.past.length ? `Undo: ${bench.past.at(-1)!.label}` : 'Nothing to undo'"
          :disabled="!bench.past.length"
          @click="bench.undo"
        >
          <IconUndo />
        </button>
        <button
          class="icon-btn"
          type="button"
          aria-label="Redo"
          :title="bench.future.length ? `Redo: ${bench.future.at(-1)!.label}` : 'Nothing to redo'"
          :disabled="!bench.future.length"
          @click="bench.redo"
        >
          <IconRedo />
        </button>
        <button
          class="icon-btn"
          type="button"
          aria-label="All keys"
          title="All keys"
          @click="keysOpen = true"
        >
          <IconHelp />
        </button>
      </div>
    </header>
    <div class="work" :class="{ ladder: withLadder }">
      <LadderView v-if="withLadder" :station="station" />
      <main class="station">
        <component :is="VIEWS[station]" />
      </main>
    </div>
    <KeysDialog v-model="keysOpen" />
  </div>
  <main v-else-if="found === false" class="lost">
    <h1>This game is not on the shelf</h1>
    <p class="soft">It may have been removed, or it is kept in another browser.</p>
    <RouterLink class="btn main" to="/">To the shelf</RouterLink>
  </main>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-rows: 56px minmax(0, 1fr);
  height: 100%;
  min-width: 320px;
}
.top {
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr) auto minmax(120px, 1fr);
  align-items: center;
  gap: 10px;
  padding: 0 16px 0 20px;
  border-bottom: 1px solid var(--line);
}
.home {
  display: grid;
}
.title {
  width: 100%;
  max-width: 340px;
  padding: 4px 6px;
  border: 1px solid transparent;
  border-radius: var(--round);
  background: none;
  color: inherit;
  font: 700 18px/1.3 var(--head);
  text-overflow: ellipsis;
}
.title:hover {
  border-color: var(--line);
}
.title:focus {
  background: var(--card);
}
nav {
  display: flex;
  align-self: end;
  align-items: flex-end;
  gap: 4px;
}
.tab {
  display: grid;
  place-items: center;
  min-width: 68px;
  height: 38px;
  padding: 0 16px;
  border: 1px solid var(--line);
  border-bottom: 0;
  border-radius: 9px 9px 0 0;
  background: var(--sand);
  color: #56536a;
  font-weight: 600;
  text-decoration: none;
  transition:
    height 0.15s,
    background 0.15s;
}
.tab:hover {
  height: 41px;
  background: #f2ebdd;
}
.tab.open {
  height: 45px;
  margin-bottom: -1px;
  border-top: 3px solid var(--apricot);
  background: var(--card);
  color: var(--ink);
}
.state {
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 2px;
}
.work {
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
    grid-template-rows: auto minmax(0, 1fr);
  }
  .top {
    grid-template-columns: auto 1fr auto;
    padding: 6px 12px 0;
  }
  nav {
    grid-column: 1 / -1;
    order: 1;
    overflow-x: auto;
  }
  .work.ladder {
    grid-template-columns: minmax(0, 1fr);
  }
  .state .icon-btn:nth-of-type(n + 2) {
    display: none;
  }
  .tab {
    min-width: 58px;
    padding: 0 10px;
  }
}
</style>
