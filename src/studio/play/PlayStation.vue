<script setup lang="ts">
import IconDeal from '~icons/ph/cards-three'
import IconGlass from '~icons/ph/eye'
import IconOrder from '~icons/ph/rows'
import IconPhone from '~icons/ph/device-mobile'
import IconSave from '~icons/ph/download-simple'
import { onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { isSeed } from '../../core/deal/seed.ts'
import type { Game } from '../../core/game/game.ts'
import { findLevel, withOwn } from '../../core/game/levels.ts'
import { LENGTHS } from '../../core/game/settings.ts'
import { mountPlayer, type Player } from '../../player/mount.ts'
import type { Table } from '../../player/table.ts'
import { useKeys } from '../bench/useKeys.ts'
import { pictureUrl } from '../cards/pictures.ts'
import { download } from '../shelf/open-file.ts'
import { useBench } from '../store/bench.ts'
import LedgerView from './LedgerView.vue'

const bench = useBench()
const host = ref<HTMLElement>()
const glass = ref(false)
const inOrder = ref(false)
const phone = ref(false)
const seed = ref('')
const table = shallowRef<Readonly<Table> | null>(null)
/** grows with every change of the table, which is not reactive itself */
const version = ref(0)
let player: Player | null = null

/** The game as it is tried here: the same, or with this level's twins dealt side by side. */
function tried(): Game {
  const game = bench.game!
  const level = findLevel(game, bench.rung)
  if (!inOrder.value || !level) return game
  const ordered = withOwn(level, 'deal', { way: 'in-order' })
  return { ...game, levels: game.levels.map((one) => (one === level ? ordered : one)) }
}

function mount(withSeed?: string): void {
  player?.destroy()
  player = mountPlayer(host.value!, {
    game: tried(),
    art: pictureUrl,
    level: bench.rung,
    seed: withSeed,
    // where there is no room for the ladder, the table has a choice of levels itself
    levels: matchMedia('(max-width: 760px)').matches,
    glass: glass.value,
    onChange(now) {
      table.value = now
      version.value++
      seed.value = now.seed
      // "next level" goes up the ladder too
      if (now.level.id !== bench.rung) bench.rung = now.level.id
    },
  })
}
function dealAgain(): void {
  player?.deal()
}
function typeSeed(event: Event): void {
  const field = event.target as HTMLInputElement
  const text = field.value.trim()
  if (isSeed(text)) player?.deal(undefined, text)
  else field.value = seed.value
}
function toggleGlass(): void {
  glass.value = !glass.value
  player?.setGlass(glass.value)
}
function toggleOrder(): void {
  inOrder.value = !inOrder.value
  mount(seed.value)
}
async function saveRecord(): Promise<void> {
  const now = table.value
  if (!now?.round) return
  const { writeRecord } = await import('../../core/files/record-file.ts')
  const record = {
    game: now.game.id,
    level: now.level.id,
    seed: now.seed,
    inputs: now.inputs,
    until: now.round.at,
  }
  download(`${now.game.id}-${now.level.id}.play.json`, writeRecord(record), 'application/json')
}

onMounted(() => mount())
onBeforeUnmount(() => player?.destroy())
watch(
  () => [bench.game, bench.rung],
  () => {
    if (bench.rung && (player?.table.level.id !== bench.rung || bench.game !== lastGame)) mount()
    lastGame = bench.game
  },
)
let lastGame = bench.game

useKeys({ d: dealAgain, g: toggleGlass, p: () => player?.pause() })
</script>

<template>
  <div class="play">
    <div class="tools">
      <button
        class="btn"
        type="button"
        :aria-pressed="glass"
        title="See through the backs (G)"
        @click="toggleGlass"
      >
        <IconGlass />Glass
      </button>
      <button
        class="btn"
        type="button"
        :aria-pressed="inOrder"
        title="Deal twins side by side"
        @click="toggleOrder"
      >
        <IconOrder />In order
      </button>
      <button
        class="btn"
        type="button"
        :aria-pressed="phone"
        title="The table as wide as a phone"
        @click="phone = !phone"
      >
        <IconPhone />Phone
      </button>
      <label class="seed"
        >seed
        <input
          :value="seed"
          :maxlength="LENGTHS.seed"
          spellcheck="false"
          autocomplete="off"
          @change="typeSeed"
      /></label>
      <button
        class="btn"
        type="button"
        title="Save what was played as a record"
        :disabled="inOrder || !table?.inputs.length || version < 0"
        @click="saveRecord"
      >
        <IconSave />Record
      </button>
      <button class="btn main deal" type="button" title="Deal again (D)" @click="dealAgain">
        <IconDeal />Deal again
      </button>
    </div>
    <div class="table" :class="{ phone }"><div ref="host" class="host" /></div>
    <aside><LedgerView v-if="table" :table="table" :version="version" /></aside>
  </div>
</template>

<style scoped>
.play {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 268px;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 12px 16px;
  height: 100%;
  padding: 14px 16px 16px;
}
.tools {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.seed {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 36px;
  padding: 0 12px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  color: var(--ink-soft);
}
.seed input {
  width: 110px;
  border: 0;
  background: none;
  color: var(--ink);
  font: 700 15px var(--body);
}
.deal {
  margin-left: auto;
}
.table {
  display: grid;
  min-height: 0;
  border-radius: var(--round-card);
  overflow: hidden;
}
.table.phone {
  justify-content: center;
  background: var(--paper);
}
.host {
  min-height: 0;
}
.phone .host {
  width: 360px;
  height: 100%;
  max-height: 640px;
  align-self: center;
  border-radius: 18px;
  overflow: hidden;
  box-shadow: 0 0 0 7px #16172c;
}
aside {
  min-height: 0;
}
@media (max-width: 760px) {
  .play {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(470px, 1fr) auto;
    padding: 8px;
    overflow-y: auto;
  }
  .seed,
  .tools .btn:not(.deal):nth-child(n + 2) {
    display: none;
  }
}
</style>
