<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
import type { Cells } from '../../../core/deal/deal.ts'
import { LAST_SECONDS } from '../../../core/play/clock.ts'
import type { Round } from '../../../core/play/round.ts'
import { missOnce, toLastPair, toLastSeconds, type Shortcut } from '../../../core/play/shortcuts.ts'
import { standingWhen, type Chip } from '../../../core/play/tape.ts'
import { findLevel, resolveLevel } from '../../../core/settings/levels.ts'
import { mountPlayer, type Player } from '../../../player/mount.ts'
import type { Table } from '../../../player/table.ts'
import { useKeys } from '../../parts/keys/useKeys.ts'
import { drawings } from '../../store/drawings.ts'
import { pictureUrl } from '../../store/pictures.ts'
import { useBench } from '../../store/bench.ts'
import { speechOf } from '../../store/speech.ts'
import { useView } from '../../store/view.ts'
import { whenIdle } from '../../parts/timing/whenIdle.ts'
import PlaySide from './PlaySide.vue'
import PlayTools from './PlayTools.vue'
import TapeStrip from './TapeStrip.vue'
import { triedGame } from './tried.ts'
import { useCells } from './useCells.ts'
import { useLaying } from './useLaying.ts'
import { useTapes } from './useTapes.ts'
import { useWatched } from './useWatched.ts'

const bench = useBench()
const view = useView()
const host = ref<HTMLElement>()
const glass = ref(false)
const inOrder = ref(false)
const phone = ref(false)
const speed = ref(1)
const seed = ref('')
const table = shallowRef<Readonly<Table> | null>(null)
/** a snapshot of the table: a new value each time, since the table itself is not reactive */
const tableNow = shallowRef<Readonly<Table> | null>(null)
let player: Player | null = null
/** the turns on the tape, and how many of them are played on the table */
const tape = shallowRef<{ chips: readonly Chip[]; at: number }>({ chips: [], at: 0 })
/** The side panel follows the table a frame later. */
const follow = whenIdle(() => {
  const now = table.value
  tableNow.value = now && { ...now, round: now.round && { ...now.round } }
  tape.value = { chips: tapes.chips.value, at: tapes.at.value }
})

/** the level being played: the open rung, or the first while the house rules are open */
const playing = ref(bench.rung ?? bench.game!.levels[0]!.id)

const watched = useWatched(view.playedBy)
const { chosen: playedBy, choices: players } = watched
const nextSeed = (): string | undefined =>
  watched.nextSeed(resolveLevel(bench.game!, findLevel(bench.game!, playing.value)))

const tapes = useTapes({
  table,
  game: () => bench.game!,
  player: () => player,
  by: () => watched.name.value,
})

function mount(withSeed?: string): void {
  player?.destroy()
  player = mountPlayer(host.value!, {
    game: triedGame(bench.game!, playing.value, inOrder.value),
    art: pictureUrl,
    drawings,
    speech: speechOf(bench.game!, () => mount(withSeed)),
    level: playing.value,
    seed: withSeed ?? nextSeed(),
    // on a screen too narrow for the ladder, the table offers the levels itself
    levels: matchMedia('(max-width: 760px)').matches,
    glass: glass.value,
    rivals: watched.seats,
    onChange(now) {
      // another deal: the played game is kept as a tape
      if (!now.held && now.inputs.length === 0 && tapes.at.value > 0) tapes.leave()
      table.value = now
      follow()
      seed.value = now.seed
      if (now.level.id !== playing.value) open(now.level.id)
      tapes.follow()
    },
  })
  player.run(speed.value)
}
/** Plays a level; the ladder follows, unless the house rules are open there. */
function open(level: string): void {
  playing.value = level
  if (bench.rung !== null) bench.rung = level
}
/** Another deal; the game so far is kept as a tape. */
function dealAnew(withSeed?: string, cells?: Cells): void {
  player?.deal(undefined, withSeed ?? nextSeed(), cells)
  player?.run(speed.value)
}
const { useSeed, takeTape, show } = useLaying(tapes, (withSeed, cells, level = playing.value) => {
  if (level !== playing.value) {
    open(level)
    mount(withSeed)
  }
  dealAnew(withSeed, cells)
})
/** Plays on from where the table is, and holds it there. */
function bring(shortcut: (round: Round) => Shortcut): void {
  const now = table.value
  if (!now?.round) return
  const { round: copy } = standingWhen(now.settings, now.round.cells, now.inputs, now.round.at)
  const { inputs, at } = shortcut(copy)
  player?.stand([...now.inputs, ...inputs], at)
}

const { faceOf, nameOf } = useCells(tableNow)

onMounted(() => {
  mount(view.playSeed || undefined)
  view.playSeed = ''
  view.playedBy = ''
})
onBeforeUnmount(() => {
  tapes.leave()
  player?.destroy()
})
watch(glass, (on) => player?.setGlass(on))
watch(inOrder, () => mount(seed.value))
watch(playedBy, () => dealAnew())
watch(speed, (now) => player?.run(now))
/** The table changes with the game, but not with its checks. */
const playedOn = computed(() => {
  const { deck, house, levels } = bench.game!
  return { deck, house, levels }
})
let lastGame = playedOn.value
watch(
  () => bench.rung,
  (rung) => (playing.value = rung ?? bench.game!.levels[0]!.id),
)
watch(
  () => [playedOn.value, playing.value],
  () => {
    const { deck, house, levels } = playedOn.value
    const same = deck === lastGame.deck && house === lastGame.house && levels === lastGame.levels
    // the level may have been removed
    if (!findLevel(bench.game!, playing.value)) playing.value = bench.game!.levels[0]!.id
    if (player?.table.level.id !== playing.value || !same) mount()
    lastGame = playedOn.value
  },
)

useKeys({
  d: () => dealAnew(),
  g: () => (glass.value = !glass.value),
  p: () => player?.pause(),
  ',': () => tapes.jump(tapes.at.value - 1),
  '.': () => tapes.jump(tapes.at.value + 1),
})
</script>

<template>
  <div class="play">
    <PlayTools
      v-model:glass="glass"
      v-model:order="inOrder"
      v-model:phone="phone"
      v-model:speed="speed"
      v-model:by="playedBy"
      :players="players"
      class="tools"
      :seed="seed"
      :held="tableNow?.held ?? false"
      :timed="tableNow?.settings.clock.mode === 'down'"
      :lives="tableNow?.settings.limits.lives !== null"
      @deal="dealAnew()"
      @seed="useSeed"
      @step="player?.stepDue()"
      @go="player?.run(speed)"
      @last-pair="bring(toLastPair)"
      @last-seconds="bring((now) => toLastSeconds(now, LAST_SECONDS))"
      @miss="bring(missOnce)"
    />
    <div class="table" :class="{ phone }"><div ref="host" class="host" /></div>
    <TapeStrip
      class="tape"
      :chips="tape.chips"
      :at="tape.at"
      :face-of="faceOf"
      :name-of="nameOf"
      @jump="tapes.jump"
    />
    <InTurn><PlaySide class="side" :table="tableNow" :tapes="tapes" @take="takeTape" @show="show" /></InTurn>
  </div>
</template>

<style scoped>
.play {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 10px 16px;
  height: 100%;
  padding: 12px 16px 10px;
}
.tools {
  grid-column: 1;
}
.table {
  grid-column: 1;
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
.tape {
  grid-column: 1;
}
.side {
  grid-column: 2;
  grid-row: 1 / -1;
}
@media (max-width: 760px) {
  .play {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(470px, 1fr) auto auto;
    padding: 8px;
    overflow-y: auto;
  }
  .side {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
