<script setup lang="ts">
import { ElOption, ElSelect } from 'element-plus'
import IconSearch from '~icons/ph/magnifying-glass'
import { computed, nextTick, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { valueWords } from '../../parts/settings/setting-words.ts'
import { useBench } from '../../store/bench.ts'
import { CLAUSES, clauseOf } from './clauses.ts'
import { settingsLike, type FoundSetting } from './everyday-words.ts'
import { enter, enterClause, placeOf, useClauses } from './useClauses.ts'

/**
 * Finds any setting by a word of its name or an everyday word, including those that are off; choosing one goes to it,
 * and adds it if it was off.
 */
const bench = useBench()
const route = useRoute()
const router = useRouter()
const { reads, add } = useClauses()
const query = ref('')
const matches = computed(() => settingsLike(query.value))
/** while it is closed, the words beside each setting are not worked out, and no edit waits for them */
const isOpen = ref(false)

const clauseOff = ({ key }: FoundSetting) => {
  const clause = clauseOf(key)
  return clause && !reads(clause) ? clause : null
}
/** The words beside a found setting: its value, or what choosing it does. */
function beside(setting: FoundSetting): string {
  const off = clauseOff(setting)
  if (off) return `off; adds ${CLAUSES[off].adds}`
  const [section, name] = setting.key.split('.') as ['turn', 'onMiss']
  return `${valueWords(setting.key, bench.settings![section][name])}${setting.deal ? ', in Deal' : ''}`
}
async function go(key: string): Promise<void> {
  const setting = matches.value.find((one) => one.key === key)
  query.value = ''
  if (!setting) return
  if (setting.deal) return void router.push({ params: { ...route.params, station: 'deal' } })
  const off = clauseOff(setting)
  if (off) await add(off)
  // the field returns the focus to itself first
  else await nextTick()
  const clause = clauseOf(key)
  if (!enter(placeOf(key)) && clause) enterClause(clause)
}
</script>

<template>
  <ElSelect
    class="rule-search"
    :model-value="null"
    aria-label="Find a setting by a word; Enter goes to it"
    placeholder="find a setting"
    filterable
    default-first-option
    :filter-method="(text: string) => (query = text)"
    :suffix-icon="IconSearch"
    :fit-input-width="false"
    placement="bottom-end"
    append-to="#over"
    @visible-change="isOpen = $event"
    @update:model-value="go"
  >
    <ElOption v-for="setting in matches" :key="setting.key" :value="setting.key" :label="setting.label">
      <span class="found">
        {{ setting.label }}
        <span class="soft">{{ isOpen ? beside(setting) : '' }}</span>
      </span>
    </ElOption>
    <ElOption v-if="!matches.length" value="" label="No setting found" disabled />
  </ElSelect>
</template>

<style scoped>
.rule-search {
  width: 200px;
}
.rule-search :deep(.el-select__caret) {
  transform: none;
}
.found {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 24px;
  min-width: 330px;
}
</style>
