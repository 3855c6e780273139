<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Event } from '../../../core/play/events.ts'
import { eventWords, REFUSAL_WORDS } from './ledger-words.ts'
import { useInSight } from './useInSight.ts'

/** The events of the ledger, the latest first, a line each. */
const props = defineProps<{ events: readonly Event[]; columns: number }>()
const list = ref<HTMLElement>()
const LINE = 25
const { places, before, after } = useInSight(list, { count: () => props.events.length, size: LINE })
const lines = computed(() =>
  places.value.flatMap((place) => {
    const order = props.events.length - 1 - place
    const event = props.events[order]
    if (!event) return []
    const words = eventWords(event, props.columns)
    const why = event.kind === 'refused' ? `: ${REFUSAL_WORDS[event.reason]}` : ''
    return [{ order, place, at: (event.at / 1000).toFixed(1), words, told: words + why, kind: event.kind }]
  }),
)
</script>

<template>
  <div ref="list" class="events" tabindex="0" role="region" aria-label="Events">
    <p v-if="!events.length" class="soft">Nothing has happened yet. Press a card.</p>
    <ol v-else :style="{ paddingTop: `${before}px`, paddingBottom: `${after}px` }">
      <li
        v-for="line in lines"
        :key="line.order"
        :class="line.kind"
        :data-tip="line.told"
        :aria-posinset="line.place + 1"
        :aria-setsize="events.length"
      >
        <span>{{ line.at }}</span>{{ line.words }}
      </li>
    </ol>
  </div>
</template>

<style scoped>
.events {
  overflow-y: auto;
  contain: strict;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 14px;
}
li {
  height: 25px;
  padding: 2px 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li span {
  display: inline-block;
  width: 46px;
  color: var(--ink-soft);
}
li.refused,
li.lost,
li.life-lost {
  color: var(--brick);
}
li.match,
li.won {
  color: var(--lagoon-deep);
  font-weight: 600;
}
</style>
