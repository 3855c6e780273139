<script setup lang="ts">
import { ElButton, ElTable, ElTableColumn } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { differences, findLevel, resolveLevel, withRulesOf } from '../../../core/settings/levels.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { SETTING_WORDS, valueWords } from '../../parts/settings/setting-words.ts'
import { useBench } from '../../store/bench.ts'
import { useDone } from '../../parts/toast/useDone.ts'

/** Two levels side by side, only their differences; the rules of one can be copied to the other, or to all. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const tell = useDone()
const one = ref('')
const other = ref('')
const levels = computed(() => bench.game?.levels ?? [])
const choices = computed(() => levels.value.map(({ id, name }) => [id, name] as const))
watch(
  open,
  (on) => {
    if (!on) return
    const at = Math.max(
      0,
      levels.value.findIndex(({ id }) => id === bench.rung),
    )
    one.value = levels.value[at]?.id ?? ''
    other.value = (levels.value[at + 1] ?? levels.value[at - 1])?.id ?? ''
  },
  { immediate: true },
)
const nameOf = (id: string): string => findLevel(bench.game!, id)?.name ?? ''
type Row = { key: string; label: string; one: string; other: string }
const rows = computed<Row[]>(() => {
  const game = bench.game!
  return differences(
    resolveLevel(game, findLevel(game, one.value)),
    resolveLevel(game, findLevel(game, other.value)),
  ).map(({ key, one, other }) => ({
    key,
    label: SETTING_WORDS[key as keyof typeof SETTING_WORDS].label,
    one: valueWords(key, one),
    other: valueWords(key, other),
  }))
})
function give(to: readonly string[]): void {
  const from = findLevel(bench.game!, one.value)
  if (!from) return
  const ids = new Set(to)
  bench.edit('copy rules', (game) => {
    game.levels = game.levels.map((level) => (ids.has(level.id) ? withRulesOf(level, from) : level))
  })
  tell(`The rules of "${from.name}" are copied`)
}
</script>

<template>
  <ModalDialog v-model="open" title="Two levels side by side" :width="680">
    <p v-if="levels.length < 2" class="soft">There is only one level yet. Add another to compare it with.</p>
    <ElTable v-else :data="rows" row-key="key" empty-text="Nothing: both are played in the same way.">
      <ElTableColumn prop="label" label="what differs" />
      <ElTableColumn prop="one">
        <template #header><ChoiceWord v-model="one" label="First level" :choices="choices" /></template>
      </ElTableColumn>
      <ElTableColumn prop="other">
        <template #header><ChoiceWord v-model="other" label="Second level" :choices="choices" /></template>
      </ElTableColumn>
    </ElTable>
    <template v-if="levels.length > 1" #buttons>
      <ElButton class="btn" :disabled="one === other" @click="give([other])">
        Give {{ nameOf(other) }} the rules of {{ nameOf(one) }}
      </ElButton>
      <ElButton class="btn" @click="give(levels.map(({ id }) => id))"> Give them to all levels </ElButton>
    </template>
  </ModalDialog>
</template>
