<script setup lang="ts">
import { ElColorPicker } from 'element-plus'
import { computed } from 'vue'
import { writeSettings } from '../../../core/settings/levels.ts'
import { LEAST_CONTRAST, tableContrast, THEMES, type Theme } from '../../../core/settings/themes.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import ShapeChoice from '../../parts/settings/ShapeChoice.vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import SettingNumber from '../../parts/settings/SettingNumber.vue'
import { valueWords } from '../../parts/settings/setting-words.ts'
import { useBench } from '../../store/bench.ts'

/** "The table looks like the boiler room, its cards are portrait and turn over sideways in 0.27 s." */
const bench = useBench()
const look = computed(() => bench.settings!.look)
/** an own size of the cards, which makes their shape irrelevant */
const size = computed(() => bench.settings!.layout.size)
const OWN = 'own'
const theme = computed(
  () =>
    THEMES.find(
      (one) =>
        (Object.keys(one.look) as (keyof Theme['look'])[]).every(
          (key) => one.look[key] === look.value[key],
        ) && one.layout.ratio === bench.settings!.layout.ratio,
    )?.name ?? OWN,
)
const choices = computed((): [string, string][] => [
  ...THEMES.map(({ name }) => [name, `like the ${name.toLowerCase()}`] as [string, string]),
  // says how it is, and is nothing to choose
  ...(theme.value === OWN ? [[OWN, 'its own way'] as [string, string]] : []),
])
const contrast = computed(() => tableContrast(look.value.table))

function take(name: string): void {
  const theme = THEMES.find((one) => one.name === name)
  if (!theme) return
  const rung = bench.level?.id ?? null
  const laid = writeSettings(bench.game!, rung, 'layout', theme.layout)
  bench.replace(writeSettings(laid, rung, 'look', theme.look), `the look "${name}"`)
}
</script>

<template>
  The table looks
  <ChoiceWord :model-value="theme" label="The look" :choices="choices" @update:model-value="take" />, its
  colour is
  <span data-setting="look.table">
    <ElColorPicker
      class="colour"
      :model-value="look.table"
      color-format="hex"
      aria-label="Colour of the table"
      append-to="#over"
      @change="$event && bench.set('look', { table: $event }, 'change the table')"
  /></span>
  <OwnTab section="look" :names="['table']" />
  and its cards are
  <span data-setting="layout.ratio layout.size">
    <RouterLink v-if="size" class="in-deal" :to="{ params: { station: 'deal' } }">{{
      valueWords('layout.size', size)
    }}</RouterLink>
    <ShapeChoice v-else /></span
  >. They
  <SettingChoice section="look" name="flip" />
  in <SettingNumber section="look" name="flipTime" />
  and are dealt
  <SettingChoice section="look" name="dealIn" />.<IdleOwn v-if="size" section="layout" :names="['ratio']" />
  <span v-if="contrast < LEAST_CONTRAST" class="bad" role="status"
    >Text on this table is hard to read: its contrast is {{ contrast.toFixed(1) }} : 1, and
    {{ LEAST_CONTRAST }} is needed. A darker colour helps.</span
  >
</template>

<style scoped>
.bad {
  color: var(--brick);
  font-size: 15px;
}
.in-deal {
  color: inherit;
  font-weight: 700;
}
</style>
