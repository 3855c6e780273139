<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import { keysOf, type ClauseName } from './clauses.ts'
import { useClauses } from './useClauses.ts'

/**
 * A clause of the story, shown only if it applies; settings of a level that are not in its sentence can be returned to
 * the house rules after it.
 */
const props = defineProps<{ name: ClauseName }>()
const { reads, hidden } = useClauses()
const section = computed(() => keysOf(props.name)[0])
const place = ref<HTMLElement>()

// when a clause is removed from within, the cursor goes to where it can be added again
watch(
  () => reads(props.name),
  async (reading) => {
    const paragraph = place.value?.closest('li, p')
    if (reading || !place.value?.contains(document.activeElement)) return
    await nextTick()
    paragraph?.querySelector<HTMLElement>('[data-and]')?.focus()
  },
)
</script>

<template>
  <span v-if="reads(name)" ref="place" :data-clause="name"
    ><slot /><IdleOwn :section="section" :names="hidden(name)" />{{ ' ' }}</span
  >
</template>
