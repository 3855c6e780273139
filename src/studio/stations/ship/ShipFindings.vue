<script setup lang="ts">
import IconOk from '~icons/ph/check-circle'
import IconStop from '~icons/ph/x-circle'
import IconWarn from '~icons/ph/warning-circle'
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { isDealing, isOfMinds, type Finding } from '../../../core/findings/finding.ts'
import { mendsOf, type Mend } from '../../../core/findings/mends.ts'
import { findingLine } from '../../../core/findings/words.ts'
import MendButtons from '../../parts/findings/MendButtons.vue'
import { useBench } from '../../store/bench.ts'

/**
 * All findings of a game before it is shipped, each with a link to where it can be mended; those that stop it come
 * first, with their mends. `current`: the checks are up to date.
 */
const props = defineProps<{ findings: readonly Finding[]; current: boolean }>()
const bench = useBench()
const route = useRoute()

/** for how many findings mends are looked for, since that takes time */
const MENDED = 5
const inOrder = computed(() =>
  [...props.findings].sort((a, b) => Number(b.severity === 'stops') - Number(a.severity === 'stops')),
)
const mends = computed(
  () =>
    new Map<Finding, Mend[]>(
      inOrder.value
        .slice(0, MENDED)
        .filter(({ severity }) => severity === 'stops')
        .map((finding) => [finding, mendsOf(bench.game!, finding)]),
    ),
)

/** The station and rung where a finding can be mended. */
function placeOf(finding: Finding) {
  const { level: place, section } = finding.where
  const level = place === null ? undefined : bench.game!.levels[place]?.id
  const station =
    section === 'deck' ? 'deck' : isDealing(finding) ? 'deal' : isOfMinds(finding) ? 'odds' : 'rules'
  return { name: 'bench', params: { id: String(route.params.id), station, ...(level ? { level } : {}) } }
}
</script>

<template>
  <p v-if="!findings.length && !current" class="soft">Checking every level …</p>
  <p v-else-if="!findings.length" class="fine">
    <IconOk aria-hidden="true" />Every level can be dealt and won, and every face is there.
  </p>
  <ul v-else>
    <li v-for="(finding, i) in inOrder" :key="i" :class="finding.severity">
      <component :is="finding.severity === 'stops' ? IconStop : IconWarn" aria-hidden="true" />
      <span
        ><strong>{{ finding.severity === 'stops' ? 'Stops the game' : 'Worth a look' }}.</strong>
        {{ findingLine(finding, bench.game!.levels) }}</span
      >
      <span class="acts">
        <MendButtons :mends="mends.get(finding) ?? []" />
        <RouterLink class="btn" :to="placeOf(finding)">Go there</RouterLink>
      </span>
    </li>
  </ul>
</template>

<style scoped>
.fine {
  display: flex;
  align-items: center;
  gap: 8px;
  color: var(--lagoon-deep);
  font-weight: 600;
}
.fine svg {
  width: 22px;
  height: 22px;
}
ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  gap: 8px 10px;
  padding: 10px 12px;
  border-radius: var(--round-card);
  background: var(--apricot-pale);
}
li .acts {
  display: flex;
  flex-wrap: wrap;
  grid-column: 2;
  gap: 8px;
}
.acts :deep(.btn + .btn) {
  margin-left: 0;
}
li.stops {
  background: var(--brick-pale);
}
li.stops svg {
  color: var(--brick);
}
li svg {
  width: 22px;
  height: 22px;
  color: #8c3713;
}
</style>
