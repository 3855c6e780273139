<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconStop from '~icons/ph/x-circle'
import IconWarn from '~icons/ph/warning-circle'
import { computed } from 'vue'
import type { Finding } from '../../../core/findings/findings.ts'
import { useBench } from '../../store/bench.ts'
import { mendsOf, type Rung } from '../../../core/findings/mends.ts'

/** Findings with the ways out of each, one press each. Those of the same kind are told once, with how many there are. */
const props = defineProps<{ findings: readonly Finding[]; rung?: Rung }>()
const bench = useBench()
/** These say themselves what cannot be, or what was only not found. */
const OWN_WORDS: ReadonlySet<string> = new Set(['steps-unreachable', 'cannot-be-won'])

const shown = computed(() => {
  const byCode = new Map<string, Finding[]>()
  for (const finding of props.findings) {
    const key = `${finding.code} ${finding.at.startsWith('deck') ? '' : finding.at}`
    byCode.set(key, [...(byCode.get(key) ?? []), finding])
  }
  return [...byCode.values()].map(([first, ...others]) => ({
    ...first!,
    more: others.length,
    mends: mendsOf(bench.game!, first!, props.rung),
  }))
})
</script>

<template>
  <div role="status">
    <ul v-if="shown.length" class="findings">
      <li v-for="one in shown" :key="one.code + one.at" :class="one.level">
        <p>
          <IconStop v-if="one.level === 'stops'" aria-hidden="true" />
          <IconWarn v-else aria-hidden="true" />
          <span
            >{{ one.level === 'stops' && !OWN_WORDS.has(one.code) ? 'This cannot be dealt: ' : ''
            }}{{ one.message }}{{ one.more ? `, and ${one.more} more like this` : '' }}.</span
          >
        </p>
        <span v-if="one.mends.length || $slots.default" class="mends">
          <ElButton
            v-for="mend in one.mends"
            :key="mend.label"
            class="btn"
            @click="bench.replace(mend.to(bench.game!), `mend: ${mend.label}`)"
          >
            {{ mend.label }}
          </ElButton>
          <slot :finding="one" />
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
.btn {
  min-height: 32px;
  font-size: 14px;
}
</style>
