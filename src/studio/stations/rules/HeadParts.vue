<script setup lang="ts" generic="Part extends string">
import { ElButton } from 'element-plus'
import IconAway from '~icons/ph/x'
import { nextTick, ref } from 'vue'
import { useSortable } from '../../parts/look/useSortable.ts'

/** What stands in a row at the head of the table: dragged or moved by keys into another order, and removed. */
const props = defineProps<{ parts: readonly Part[]; words: Record<Part, string>; label: string }>()
const emit = defineEmits<{ remove: [part: Part]; order: [parts: Part[]] }>()
defineSlots<{ default(props: { part: Part }): unknown }>()
const list = ref<HTMLElement>()

function move(from: number, to: number): void {
  if (to < 0 || to >= props.parts.length || from === to) return
  const next = [...props.parts]
  const [part] = next.splice(from, 1)
  next.splice(to, 0, part!)
  emit('order', next)
}
async function key(event: KeyboardEvent, at: number): Promise<void> {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (!by || !event.altKey) return
  event.preventDefault()
  move(at, at + by)
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('.part')[at + by]?.querySelector('button')?.focus()
}
useSortable(list, move)
</script>

<template>
  <ol ref="list" :aria-label="label">
    <li v-for="(part, at) in parts" :key="part" class="part" @keydown="key($event, at)">
      <slot :part="part" />
      <ElButton
        class="away"
        :aria-label="`Hide ${words[part]}; Alt and an arrow move it`"
        :data-tip="`Hide ${words[part]}; Alt and an arrow move it`"
        @click="emit('remove', part)"
        ><IconAway
      /></ElButton>
    </li>
  </ol>
</template>

<style scoped>
ol {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.part {
  position: relative;
  display: grid;
  padding: 2px 24px 2px 10px;
  border-radius: var(--round);
  cursor: grab;
}
.part:hover,
.part:focus-within {
  background: #ffffff24;
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
</style>
