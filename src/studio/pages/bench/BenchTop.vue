<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'
import { ElButton } from 'element-plus'
import IconHelp from '~icons/ph/question'
import IconRedo from '~icons/ph/arrow-u-up-right'
import IconUndo from '~icons/ph/arrow-u-up-left'
import { ref, watch } from 'vue'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import { STATION_NAMES, STATIONS, type Station } from '../stations.ts'
import { useBench } from '../../store/bench.ts'
import TextField from '../../parts/settings/TextField.vue'
import SaveState from './SaveState.vue'

/** The top of the bench: the game's title, the stations, and whether everything is saved. */
const props = defineProps<{ station: Station; to: (station: Station) => RouteLocationRaw }>()
const emit = defineEmits<{ keys: [] }>()
const bench = useBench()

/** On a narrow screen the tabs scroll: the open one is always in sight. */
const tabs = ref<HTMLElement>()
const showOpen = (): void =>
  tabs.value?.querySelector('.open')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
watch(() => props.station, showOpen, { flush: 'post' })
useResizeObserver(tabs, showOpen)

function rename(title: string): void {
  if (title) bench.edit('rename the game', (game) => void (game.title = title), 'title')
}
</script>

<template>
  <header class="top">
    <RouterLink class="home" to="/" aria-label="To the shelf"
      ><img src="/mark.svg" alt="" width="32" height="32"
    /></RouterLink>
    <h1 class="hidden-text">{{ bench.game!.title }}</h1>
    <TextField
      class="title"
      :model-value="bench.game!.title"
      label="Title of the game"
      :maxlength="LENGTHS.title"
      @change="rename"
    />
    <nav ref="tabs" aria-label="Stations">
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
      <ElButton
        class="icon-btn"
        aria-label="Undo"
        :data-tip="bench.past.length ? `Undo: ${bench.past.at(-1)!.label}` : 'Nothing to undo'"
        :disabled="!bench.past.length"
        @click="bench.undo"
      >
        <IconUndo />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="Redo"
        :data-tip="bench.future.length ? `Redo: ${bench.future.at(-1)!.label}` : 'Nothing to redo'"
        :disabled="!bench.future.length"
        @click="bench.redo"
      >
        <IconRedo />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="All keys"
        data-tip="All keys, and a walk around"
        @click="emit('keys')"
      >
        <IconHelp />
      </ElButton>
    </div>
  </header>
</template>

<style scoped>
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
  --el-input-border-color: transparent;
  --el-input-bg-color: transparent;
  max-width: 340px;
  font: 700 18px/1.3 var(--head);
}
.title :deep(input) {
  font: inherit;
  text-overflow: ellipsis;
}
.title:focus-within {
  --el-input-bg-color: var(--card);
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
@media (max-width: 760px) {
  .top {
    grid-template-columns: auto 1fr auto;
    padding: 6px 12px 0;
  }
  nav {
    grid-column: 1 / -1;
    order: 1;
    overflow-x: auto;
  }
  .title {
    font-size: 16px;
  }
  .tab {
    min-width: 58px;
    padding: 0 10px;
  }
}
</style>
