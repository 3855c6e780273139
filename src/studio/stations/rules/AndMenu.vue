<script setup lang="ts">
import { ElButton, ElDropdown, ElDropdownItem, ElDropdownMenu } from 'element-plus'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import type { ClauseName } from './clauses.ts'
import { enterClause, useClauses } from './useClauses.ts'

/** "and…": the rules that can be added to a paragraph of the story, by name. */
const props = defineProps<{ paragraph: number; about: string }>()
const { more, add } = useClauses()
const rules = computed(() => more(props.paragraph))
/** the clause that was just added, until the user does something else */
let added: ClauseName | null = null

const menu = ref<InstanceType<typeof ElDropdownMenu>>()
/** the entry that the keyboard is at */
let entry: HTMLElement | null = null
/** The menu takes the keyboard at once, and not when it has faded in. */
async function takeKeys(isOpen: boolean): Promise<void> {
  entry = null
  if (!isOpen) return
  await nextTick()
  const list = menu.value?.$el as HTMLElement | undefined
  list?.querySelector<HTMLElement>('[role=menuitem]')?.focus()
}
// once it has faded in, the menu takes the focus itself: it goes back to where the keys had come
function keepEntry({ target }: FocusEvent): void {
  if ((target as HTMLElement).role === 'menuitem') entry = target as HTMLElement
  else entry?.focus()
}

async function put(name: ClauseName): Promise<void> {
  added = name
  await add(name)
}
// the menu returns the focus to its button as it closes; the cursor belongs into the new clause
function redirect(): void {
  if (added) enterClause(added)
}
useEventListener(document, ['keydown', 'pointerdown'], () => (added = null), { capture: true })
</script>

<template>
  <ElDropdown
    v-if="rules.length"
    class="and"
    trigger="click"
    placement="bottom-start"
    append-to="#over"
    @visible-change="takeKeys"
    @command="put"
  >
    <ElButton class="more" data-and :aria-label="`and… more about ${about}`" @focus="redirect">and…</ElButton>
    <template #dropdown>
      <ElDropdownMenu ref="menu" @focusin="keepEntry">
        <ElDropdownItem v-for="[name, rule] in rules" :key="name" :command="name">{{
          rule.adds
        }}</ElDropdownItem>
      </ElDropdownMenu>
    </template>
  </ElDropdown>
</template>

<style src="../../parts/look/dropdown.css"></style>
<style scoped>
.and {
  vertical-align: baseline;
}
.more {
  height: auto;
  min-height: 0;
  padding: 0 4px 1px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--ink-soft);
  font: inherit;
  font-size: 15px;
  line-height: 1.4;
}
.more:hover,
.more:focus-visible {
  background: var(--sand);
  color: var(--ink);
}
</style>
