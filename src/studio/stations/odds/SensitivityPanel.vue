<script setup lang="ts">
import { computed } from 'vue'
import type { Mind } from '../../../core/settings/mind.ts'
import { stepWords } from './odds-words.ts'
import { useAnswer } from './useAnswer.ts'
import type { OddsSubject } from './useOddsSubject.ts'

/** How the wins of a mind change with one small step of each rule that matters. */
const props = defineProps<{ subject: OddsSubject; mind: Mind; ready: boolean }>()
const { answer, working } = useAnswer(
  () => props.subject,
  () => (props.ready ? { ask: 'hangs', mind: props.mind } : null),
)
const most = computed(() => Math.max(0.01, ...(answer.value ?? []).map(({ change }) => Math.abs(change))))
const signed = (value: number): string => {
  // small changes have a decimal
  const points = Math.abs(value) < 0.01 ? +(value * 100).toFixed(1) : Math.round(value * 100)
  return points > 0 ? `+${points}` : points < 0 ? `−${-points}` : '0'
}
const rows = computed(() =>
  (answer.value ?? []).map((one) => ({
    ...one,
    words: stepWords(one),
    // the right half of the bar is for more wins, the left for fewer
    from: `${50 + (Math.min(0, one.change) / most.value) * 50}%`,
    wide: `${(Math.abs(one.change) / most.value) * 50}%`,
    about: `${signed(one.interval[0])} to ${signed(one.interval[1])}`,
  })),
)
</script>

<template>
  <section aria-labelledby="hangs">
    <h2 id="hangs">What it hangs on</h2>
    <p class="soft">wins of 100 {{ mind.name.toLowerCase() }} players; grey: no measurable change</p>
    <p v-if="working || !ready" class="soft later" role="status">Working it out …</p>
    <p v-else-if="answer && !rows.length">Only the last pair ends a game here, so it is always won.</p>
    <ul v-else aria-label="Small steps">
      <li v-for="row in rows" :key="row.section + row.key" :class="{ soft: !row.told }" :data-tip="row.about">
        <span>{{ row.words }}</span>
        <span class="bar keeps-colours" aria-hidden="true">
          <i
            :class="{ less: row.change < 0, unsure: !row.told }"
            :style="{ left: row.from, width: row.wide }"
          />
        </span>
        <b
          >{{ signed(row.change) }}<span class="hidden-text"> ({{ row.about }})</span></b
        >
      </li>
    </ul>
  </section>
</template>

<style scoped src="./aside.css"></style>
<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 64px 34px;
  gap: 10px;
  align-items: center;
  padding: 5px 0;
  font-size: 14px;
  line-height: 1.3;
}
.bar {
  position: relative;
  height: 12px;
  border-radius: 3px;
  background: var(--sand);
}
.bar i {
  position: absolute;
  top: 0;
  height: 100%;
  min-width: 2px;
  border-radius: 3px;
  background: var(--lagoon);
}
.bar .less {
  background: var(--brick);
}
.bar .unsure {
  background: #b0a894;
}
li b {
  text-align: right;
}
</style>
