<script setup lang="ts">
import IconStop from '~icons/ph/x-circle'
import IconWarn from '~icons/ph/warning-circle'
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { isOfMinds, type Finding, type FindingCode } from '../../../core/findings/finding.ts'
import { findingWords } from '../../../core/findings/words.ts'
import { useBench } from '../../store/bench.ts'
import { mendsOf } from '../../../core/findings/mends.ts'
import MendButtons from './MendButtons.vue'

/** Findings with the mends of each, one press each. Findings of the same kind are shown once, with their number. */
const props = defineProps<{ findings: readonly Finding[] }>()
const bench = useBench()
const route = useRoute()
const odds = computed(() => ({ params: { ...route.params, station: 'odds' } }))
/** These say themselves what is impossible, or only was not found. */
const OWN_WORDS: ReadonlySet<FindingCode> = new Set(['steps-unreachable', 'cannot-be-won'])

const visible = computed(() => {
  const byCode = new Map<string, Finding[]>()
  for (const finding of props.findings) {
    const { level, section, key: name } = finding.where
    const key = section === 'deck' ? finding.code : [finding.code, level, section, name].join(' ')
    byCode.set(key, [...(byCode.get(key) ?? []), finding])
  }
  return [...byCode].map(([key, [first, ...others]]) => ({
    key,
    finding: first!,
    words: findingWords(first!),
    more: others.length,
    mends: mendsOf(bench.game!, first!),
  }))
})
</script>

<template>
  <div role="status">
    <ul v-if="visible.length" class="findings">
      <li v-for="one in visible" :key="one.key" :class="one.finding.severity">
        <p>
          <IconStop v-if="one.finding.severity === 'stops'" aria-hidden="true" />
          <IconWarn v-else aria-hidden="true" />
          <span
            >{{
              one.finding.severity === 'stops' && !OWN_WORDS.has(one.finding.code)
                ? 'This cannot be dealt: '
                : ''
            }}{{ one.words }}{{ one.more ? `, and ${one.more} more like this` : '' }}.</span
          >
        </p>
        <span class="mends">
          <MendButtons :mends="one.mends" />
          <RouterLink v-if="isOfMinds(one.finding) && route.params.station !== 'odds'" class="btn" :to="odds">
            Look in Odds
          </RouterLink>
          <slot :finding="one.finding" />
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 8px;
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 10px 12px;
  border-radius: var(--round-card);
}
.stops {
  background: var(--brick-pale);
  color: var(--brick);
}
.warns {
  background: var(--apricot-pale);
  color: #7c3214;
}
p {
  display: flex;
  gap: 8px;
  font-weight: 600;
  font-size: 14px;
}
p span::first-letter {
  text-transform: uppercase;
}
p svg {
  flex: none;
  width: 18px;
  height: 18px;
  margin-top: 2px;
}
.mends {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.mends:empty {
  display: none;
}
.mends :deep(.btn) {
  min-height: 32px;
  font-size: 14px;
}
</style>
