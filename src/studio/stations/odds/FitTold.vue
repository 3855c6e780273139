<script setup lang="ts">
import { computed } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { TOO_FEW, type Fit, type FittedValue } from '../../../core/odds/fit.ts'
import { seconds } from '../../parts/settings/numbers.ts'
import { percent } from '../../parts/settings/numbers.ts'

/**
 * The result of a fit: figures with their intervals, and the curve of how often a twin was taken, by how long ago it
 * was seen.
 */
const props = defineProps<{ fit: Fit }>()
const precise = (ms: number): string => seconds(ms, 2)
const FIGURES = [
  ['notice', 'remembers of a miss', percent],
  ['fade', 'loses each turn', percent],
  ['first', 'before the first card', precise],
  ['second', 'before the second card', precise],
  ['spread', 'spread', (value: number) => value.toFixed(2)],
] as const
const figures = computed(() =>
  FIGURES.map(([name, words, write]) => {
    const figure: FittedValue | null = props.fit[name]
    return {
      name,
      words,
      value: figure ? write(figure.value) : 'not known',
      about: figure
        ? `${write(figure.interval[0])} to ${write(figure.interval[1])}`
        : `on fewer than ${TOO_FEW}`,
    }
  }),
)
</script>

<template>
  <div class="told">
    <dl aria-label="The mind that fits">
      <div v-for="{ name, words, value, about } in figures" :key="name">
        <dt>{{ words }}</dt>
        <dd>
          <b>{{ value }}</b> <span class="soft">{{ about }}</span>
        </dd>
      </div>
    </dl>
    <table v-if="fit.curve.length" aria-label="Twins found, by how long ago they were seen">
      <thead>
        <tr>
          <th scope="col">seen</th>
          <th scope="col" colspan="2">taken</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in fit.curve.slice(0, 10)" :key="row.ago">
          <th scope="row">{{ countWords(row.ago, 'turn') }} ago</th>
          <td>{{ row.taken }} of {{ row.of }}</td>
          <td>
            <span
              class="bar"
              role="img"
              :aria-label="`${percent(row.interval[0])} to ${percent(row.interval[1])}`"
            >
              <i
                :style="{
                  left: `${100 * row.interval[0]}%`,
                  width: `${100 * (row.interval[1] - row.interval[0])}%`,
                }"
              />
              <b :style="{ left: `${(100 * row.taken) / row.of}%` }" />
            </span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.told {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  margin-top: 10px;
}
dl {
  margin: 0;
}
dl div {
  padding: 5px 0;
  border-bottom: 1px solid var(--sand);
}
dt {
  color: var(--ink-soft);
  font-size: 14px;
}
dd {
  margin: 0;
}
table {
  align-self: start;
  border-collapse: collapse;
  font-size: 14px;
}
th,
td {
  padding: 3px 8px 3px 0;
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}
thead th {
  color: var(--ink-soft);
}
.bar {
  position: relative;
  display: block;
  width: 120px;
  height: 18px;
}
.bar i {
  position: absolute;
  top: 6px;
  height: 6px;
  border-radius: 3px;
  background: #a9cfcd;
}
.bar b {
  position: absolute;
  top: 2px;
  width: 4px;
  height: 14px;
  margin-left: -2px;
  border-radius: 2px;
  background: var(--lagoon);
}
@media (max-width: 700px) {
  .told {
    grid-template-columns: 1fr;
  }
}
</style>
