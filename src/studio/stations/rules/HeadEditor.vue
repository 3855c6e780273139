<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconRestart from '~icons/ph/arrow-counter-clockwise'
import IconPause from '~icons/ph/pause'
import IconHow from '~icons/ph/question'
import IconLeave from '~icons/ph/sign-out'
import IconSound from '~icons/ph/speaker-high'
import IconLevels from '~icons/ph/stairs'
import { computed, type Component } from 'vue'
import { figuresOf } from '../../../core/settings/figures.ts'
import { BUTTONS, FIGURES, type Figure, type TableButton } from '../../../core/settings/settings.ts'
import OwnTab from '../../parts/settings/OwnTab.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import { useBench } from '../../store/bench.ts'
import HeadParts from './HeadParts.vue'

/** A small copy of the table's head: its figures and buttons are dragged into order, removed and added. */
const bench = useBench()
const settings = computed(() => bench.settings!)
const FIGURE_WORDS: Record<Figure, string> = {
  'time-left': 'time left',
  'time-used': 'time used',
  turns: 'turns',
  flips: 'flips',
  'pairs-left': 'pairs left',
  score: 'score',
  streak: 'in a row',
  lives: 'lives',
  best: 'best',
}
const EXAMPLES: Record<Figure, string> = {
  'time-left': '0:42',
  'time-used': '0:48',
  turns: '9',
  flips: '18',
  'pairs-left': '5',
  score: '450',
  streak: '2',
  lives: '3',
  best: '1,250',
}
const BUTTON_WORDS: Record<TableButton, string> = {
  restart: 'start over',
  levels: 'choose a level',
  'how-to': 'how to play',
  sound: 'sound',
  pause: 'pause',
  leave: 'leave',
}
const BUTTON_ICONS: Record<TableButton, Component> = {
  restart: IconRestart,
  levels: IconLevels,
  'how-to': IconHow,
  sound: IconSound,
  pause: IconPause,
  leave: IconLeave,
}
/** what is shown; figures that mean nothing under these rules are kept, and pale */
const figures = computed<readonly Figure[]>(() => settings.value.head.figures ?? figuresOf(settings.value))
const meaningful = computed(() => new Set(figuresOf(settings.value)))
const buttons = computed(() => settings.value.head.buttons)
const without = <Part,>(all: readonly Part[], chosen: readonly Part[]): Part[] =>
  all.filter((one) => !chosen.includes(one))

const setFigures = (figures: Figure[] | null, label: string): void =>
  bench.set('head', { figures }, label, 'single')
const setButtons = (buttons: TableButton[], label: string): void =>
  bench.set('head', { buttons }, label, 'single')
</script>

<template>
  <div class="head-editor" role="group" aria-label="The head of the table">
    <div class="head" :class="settings.head.size" :style="{ '--table': settings.look.table }">
      <div class="names">
        <span v-if="settings.head.title" class="title">{{ bench.game!.title }}</span>
        <strong v-if="settings.head.level">{{ bench.level?.name ?? bench.game!.levels[0]!.name }}</strong>
      </div>
      <HeadParts
        v-slot="{ part }"
        class="figures"
        data-setting="head.figures"
        :parts="figures"
        :words="FIGURE_WORDS"
        label="Figures on the table"
        @remove="setFigures(without(figures, [$event]), `hide &quot;${FIGURE_WORDS[$event]}&quot;`)"
        @order="setFigures($event, 'order the figures')"
      >
        <span class="label">{{ FIGURE_WORDS[part] }}</span>
        <span class="value" :class="{ quiet: !meaningful.has(part) }" aria-hidden="true">{{
          meaningful.has(part) ? EXAMPLES[part] : '–'
        }}</span>
      </HeadParts>
      <span v-if="figures.length === 0" class="none">no figures</span>
      <HeadParts
        v-slot="{ part }"
        class="buttons"
        data-setting="head.buttons"
        :parts="buttons"
        :words="BUTTON_WORDS"
        label="Buttons on the table"
        @remove="setButtons(without(buttons, [$event]), `hide &quot;${BUTTON_WORDS[$event]}&quot;`)"
        @order="setButtons($event, 'order the buttons')"
      >
        <component
          :is="BUTTON_ICONS[part]"
          class="drawing"
          :data-tip="BUTTON_WORDS[part]"
          aria-hidden="true"
        />
        <span class="hidden-text">{{ BUTTON_WORDS[part] }}</span>
      </HeadParts>
    </div>
    <p class="more">
      <ElButton
        v-for="name in without(FIGURES, figures)"
        :key="name"
        class="add"
        @click="setFigures([...figures, name], `show &quot;${FIGURE_WORDS[name]}&quot;`)"
        >+ {{ FIGURE_WORDS[name] }}</ElButton
      >
      <ElButton
        v-for="name in without(BUTTONS, buttons)"
        :key="name"
        class="add"
        @click="setButtons([...buttons, name], `show the button &quot;${BUTTON_WORDS[name]}&quot;`)"
        ><component :is="BUTTON_ICONS[name]" aria-hidden="true" />+ {{ BUTTON_WORDS[name] }}</ElButton
      >
      <ElButton v-if="settings.head.figures" class="btn" @click="setFigures(null, 'figures as the rules ask')"
        >As the rules ask</ElButton
      >
      <OwnTab section="head" :names="['figures', 'buttons']" />
    </p>
    <p class="words">
      The level's name <SettingChoice section="head" name="level" />; the game's title
      <SettingChoice section="head" name="title" />. Figures are <SettingChoice section="head" name="size" />.
      In the result, flips are <SettingChoice section="finish" name="flips" /> and slips
      <SettingChoice section="finish" name="slips" />.
      <template v-if="buttons.includes('leave')"
        >Leave is shown only where a page around the game asks for it.</template
      >
    </p>
  </div>
</template>

<style scoped>
.head-editor {
  max-width: 760px;
  margin-top: 12px;
  padding-left: 36px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: flex-end;
  gap: 4px 16px;
  min-height: 64px;
  padding: 8px 12px 8px 16px;
  border-radius: var(--round-card);
  background: var(--table);
  color: #f3eee2;
}
.names {
  display: grid;
  flex: 1 1 110px;
  overflow-wrap: anywhere;
}
.names strong {
  font: 700 18px/1.3 var(--head);
}
.title,
.label,
.none {
  color: #d5d2e2;
  font-size: 13px;
}
.value {
  font-size: 18px;
  font-weight: 700;
  line-height: 1.2;
}
.value.quiet {
  color: #d5d2e2;
}
.large .label {
  font-size: 15px;
}
.large .value {
  font-size: 25px;
}
.buttons :deep(.part) {
  padding: 2px 20px 2px 6px;
}
.drawing {
  width: 20px;
  height: 34px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin: 8px 0 0;
}
.add {
  min-height: 28px;
  margin: 0;
  padding: 0 12px;
  border: 1px dashed var(--line);
  border-radius: 14px;
  background: none;
  color: var(--ink-soft);
  font-size: 14px;
}
.add svg {
  margin-right: 5px;
}
.add:hover {
  border-color: var(--lagoon);
  color: var(--lagoon-deep);
}
.btn {
  min-height: 28px;
  margin: 0 0 0 auto;
  padding: 0 10px;
  font-size: 14px;
}
.words {
  margin: 6px 0 0;
  font-size: 17px;
  line-height: 1.85;
}
</style>
