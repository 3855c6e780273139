<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { tableSurface, type Layout } from '../../../core/board/geometry.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { STANDS, type Settings } from '../../../core/settings/settings.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import ShapeChoice from '../../parts/settings/ShapeChoice.vue'
import { SETTING_WORDS } from '../../parts/settings/setting-words.ts'
import { useBench } from '../../store/bench.ts'

/**
 * The size of the cards, the space between and around them, and the position of the board. `made`: their layout on the
 * current screen.
 */
const props = defineProps<{ settings: Settings; made: Layout & { width: number; height: number } }>()
const bench = useBench()
const layout = computed(() => props.settings.layout)
const set = (patch: Partial<Settings['layout']>, label: string): void => bench.set('layout', patch, label)

const within = (value: number, [low, high]: readonly [number, number]): number =>
  Math.max(low, Math.min(high, value))
type SizeChoice = 'fits' | 'own'
const SIZES: [SizeChoice, string][] = [
  ['fits', 'as large as fits'],
  ['own', 'of one size'],
]
const size = computed<SizeChoice>({
  get: () => (layout.value.size ? 'own' : 'fits'),
  set: (next) => {
    const { width, height } = props.made.card
    const { across, down } = props.made.gap
    // one size begins as the table is, with the space between cards that it has there
    const own = {
      size: { width: within(width, BOUNDS.card), height: within(height, BOUNDS.card) },
      gapAcross: layout.value.gapAcross ?? across,
      gapDown: layout.value.gapDown ?? down,
    }
    set(next === 'own' ? own : { size: null }, 'change the size of the cards')
  },
})
const resize = (patch: Partial<NonNullable<Settings['layout']['size']>>): void =>
  set({ size: { ...layout.value.size!, ...patch } }, 'change the size of the cards')

type GapChoice = 'suits' | 'own'
const ROOMS: [GapChoice, string][] = [
  ['suits', 'as suits the table'],
  ['own', 'set here'],
]
const gaps = computed<GapChoice>({
  get: () => (layout.value.gapAcross === null && layout.value.gapDown === null ? 'suits' : 'own'),
  set: (next) => {
    const { across, down } = props.made.gap
    set(
      next === 'own' ? { gapAcross: across, gapDown: down } : { gapAcross: null, gapDown: null },
      'change the space between cards',
    )
  },
})
const margin = computed<GapChoice>({
  get: () => (layout.value.margin === null ? 'suits' : 'own'),
  set: (next) => {
    const suits = tableSurface(props.made.width, props.made.height, props.settings).margin
    set({ margin: next === 'own' ? suits : null }, 'change the margin')
  },
})
const standWords = Object.fromEntries(SETTING_WORDS['layout.stands'].choices!)
</script>

<template>
  <section aria-labelledby="cards-title">
    <h3 id="cards-title">Cards on the table</h3>
    <div class="row">
      <span>Cards are</span>
      <span
        ><ChoiceWord v-model="size" label="Size of the cards" :choices="SIZES" /><OwnTab
          section="layout"
          :names="['size']"
      /></span>
    </div>
    <IdleOwn v-if="layout.size" tag="p" section="layout" :names="['ratio']" />
    <div v-if="layout.size" class="row">
      <span>Width and height</span>
      <span>
        <NumberWord
          :model-value="layout.size.width"
          label="Width of a card"
          :bounds="BOUNDS.card"
          unit="px"
          @update:model-value="(width) => resize({ width })"
        />
        ×
        <NumberWord
          :model-value="layout.size.height"
          label="Height of a card"
          :bounds="BOUNDS.card"
          unit="px"
          @update:model-value="(height) => resize({ height })"
        />
      </span>
    </div>
    <div v-else class="row">
      <span>Shape</span>
      <ShapeChoice />
    </div>
    <div class="row">
      <span>Space between them</span>
      <span
        ><ChoiceWord v-model="gaps" label="Space between cards" :choices="ROOMS" /><OwnTab
          section="layout"
          :names="['gapAcross', 'gapDown']"
      /></span>
    </div>
    <div v-if="gaps === 'own'" class="row">
      <span>Across and down</span>
      <span>
        <NumberWord
          :model-value="layout.gapAcross ?? made.gap.across"
          label="Space between columns"
          :bounds="BOUNDS.gap"
          unit="px"
          @update:model-value="(gapAcross) => set({ gapAcross }, 'change the space between columns')"
        />
        ×
        <NumberWord
          :model-value="layout.gapDown ?? made.gap.down"
          label="Space between rows"
          :bounds="BOUNDS.gap"
          unit="px"
          @update:model-value="(gapDown) => set({ gapDown }, 'change the space between rows')"
        />
      </span>
    </div>
    <div class="row">
      <span>Margin</span>
      <span>
        <ChoiceWord v-model="margin" label="Margin" :choices="ROOMS" />
        <NumberWord
          v-if="layout.margin !== null"
          :model-value="layout.margin"
          label="Margin of the table"
          :bounds="BOUNDS.margin"
          unit="px"
          @update:model-value="(margin) => set({ margin }, 'change the margin')"
        />
        <OwnTab section="layout" :names="['margin']" />
      </span>
    </div>
    <div class="row">
      <span id="stands-label">The board stands</span>
      <span class="stands-row">
        <span class="stands" role="group" aria-labelledby="stands-label">
          <ElButton
            v-for="stand in STANDS"
            :key="stand"
            class="stand"
            :aria-pressed="stand === layout.stands"
            :aria-label="standWords[stand]"
            :data-tip="standWords[stand]"
            @click="set({ stands: stand }, 'move the board')"
          />
        </span>
        <OwnTab section="layout" :names="['stands']" />
      </span>
    </div>
  </section>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.stands-row {
  display: flex;
  align-items: center;
  gap: 6px;
}
.stands {
  display: grid;
  grid-template-columns: repeat(3, 24px);
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.stand {
  display: grid;
  place-items: center;
  width: 24px;
  min-width: 0;
  height: 20px;
  min-height: 0;
  margin: 0;
  padding: 0;
  border: 0;
  border-radius: 0;
  background: var(--card);
}
.stand::after {
  content: '';
  width: 6px;
  height: 6px;
  border-radius: 2px;
  background: var(--line);
}
.stand:hover::after {
  background: var(--ink-soft);
}
.stand[aria-pressed='true']::after {
  width: 10px;
  height: 10px;
  background: var(--lagoon);
}
</style>
