<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconAway from '~icons/ph/x'
import { computed, nextTick, ref } from 'vue'
import { figuresOf } from '../../../core/settings/figures.ts'
import { FIGURES, type Figure } from '../../../core/settings/settings.ts'
import { useSortable } from '../../parts/look/useSortable.ts'
import OwnTab from '../../parts/settings/OwnTab.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import { useBench } from '../../store/bench.ts'

/** A small copy of the table's head: its figures are dragged into order, removed and added. */
const bench = useBench()
const settings = computed(() => bench.settings!)
const WORDS: Record<Figure, [words: string, example: string]> = {
  'time-left': ['time left', '0:42'],
  'time-used': ['time used', '0:48'],
  turns: ['turns', '9'],
  flips: ['flips', '18'],
  'pairs-left': ['pairs left', '5'],
  score: ['score', '450'],
  streak: ['in a row', '2'],
  lives: ['lives', '3'],
  best: ['best', '1,250'],
}
/** what is shown; figures that mean nothing under these rules are kept, and pale */
const figureChoice = computed<readonly Figure[]>(
  () => settings.value.head.figures ?? figuresOf(settings.value),
)
const meaningful = computed(() => new Set(figuresOf(settings.value)))
const others = computed(() => FIGURES.filter((name) => !figureChoice.value.includes(name)))
const list = ref<HTMLElement>()

const set = (figures: Figure[] | null, label: string): void => bench.set('head', { figures }, label, 'single')
const add = (name: Figure): void => set([...figureChoice.value, name], `show "${WORDS[name][0]}"`)
const away = (name: Figure): void =>
  set(
    figureChoice.value.filter((one) => one !== name),
    `hide "${WORDS[name][0]}"`,
  )
function move(from: number, to: number): void {
  if (to < 0 || to >= figureChoice.value.length || from === to) return
  const next = [...figureChoice.value]
  const [name] = next.splice(from, 1)
  next.splice(to, 0, name!)
  set(next, 'order the figures')
}
async function key(event: KeyboardEvent, at: number): Promise<void> {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (!by || !event.altKey) return
  event.preventDefault()
  move(at, at + by)
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('.figure')[at + by]?.querySelector('button')?.focus()
}
useSortable(list, move)
</script>

<template>
  <div class="head-editor" data-setting="head.figures" role="group" aria-label="The head of the table">
    <div class="head" :style="{ '--table': settings.look.table }">
      <div class="names">
        <span v-if="settings.head.title" class="title">{{ bench.game!.title }}</span>
        <strong v-if="settings.head.level">{{ bench.level?.name ?? bench.game!.levels[0]!.name }}</strong>
      </div>
      <ol ref="list" aria-label="Figures on the table">
        <li
          v-for="(name, at) in figureChoice"
          :key="name"
          class="figure"
          :class="{ quiet: !meaningful.has(name) }"
          @keydown="key($event, at)"
        >
          <span class="label">{{ WORDS[name][0] }}</span>
          <span class="value" aria-hidden="true">{{ meaningful.has(name) ? WORDS[name][1] : '–' }}</span>
          <ElButton
            class="away"
            :aria-label="`Hide ${WORDS[name][0]}; Alt and an arrow move it`"
            :data-tip="`Hide ${WORDS[name][0]}; Alt and an arrow move it`"
            @click="away(name)"
            ><IconAway
          /></ElButton>
        </li>
      </ol>
      <span v-if="figureChoice.length === 0" class="none">no figures</span>
    </div>
    <p class="more">
      <ElButton v-for="name in others" :key="name" class="add" @click="add(name)"
        >+ {{ WORDS[name][0] }}</ElButton
      >
      <ElButton v-if="settings.head.figures" class="btn" @click="set(null, 'figures as the rules ask')"
        >As the rules ask</ElButton
      >
      <OwnTab section="head" :names="['figures']" />
    </p>
    <p class="words">
      The level's name <SettingChoice section="head" name="level" />; the game's title
      <SettingChoice section="head" name="title" />.
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
  align-items: center;
  justify-content: space-between;
  gap: 8px 28px;
  min-height: 64px;
  padding: 8px 16px;
  border-radius: var(--round-card);
  background: var(--table);
  color: #f3eee2;
}
.names {
  display: grid;
  min-width: 0;
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
ol {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.figure {
  position: relative;
  display: grid;
  padding: 2px 24px 2px 10px;
  border-radius: var(--round);
  cursor: grab;
}
.figure:hover,
.figure:focus-within {
  background: #ffffff24;
}
.quiet .value {
  color: #d5d2e2;
}
.value {
  font-size: 18px;
  font-weight: 700;
  line-height: 1.2;
}
.away {
  position: absolute;
  top: 2px;
  right: 1px;
  width: 22px;
  min-width: 0;
  height: 22px;
  min-height: 0;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  opacity: 0.6;
}
.away:hover,
.away:focus-visible {
  background: none;
  color: inherit;
  opacity: 1;
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
