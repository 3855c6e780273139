<script setup lang="ts">
import { computed } from 'vue'
import { selectPairs } from '../../core/deck/select.ts'
import { boardFor, evenBoards } from '../../core/deal/board-for.ts'
import { cellName, openCells } from '../../core/deal/cells.ts'
import type { DealProblem } from '../../core/deal/deal.ts'
import type { Settings } from '../../core/game/settings.ts'
import { useBench } from '../store/bench.ts'

/** Why this board cannot be dealt, and the ways out, each one press. */
const props = defineProps<{ problem: DealProblem; settings: Settings }>()
const bench = useBench()
type Fix = { label: string; run: () => void }

const fixes = computed<Fix[]>(() => {
  const { board, fill } = props.settings
  switch (props.problem.code) {
    case 'odd-board': {
      const open = openCells(board)
      const middle = cellName(open[Math.floor(open.length / 2)]!, board.columns)
      return [
        {
          label: `Leave ${middle} empty`,
          run: () => bench.set('board', { gaps: [...board.gaps, middle] }, 'mend the board'),
        },
        ...(board.gaps.length
          ? [
              {
                label: `Fill ${board.gaps.at(-1)!}`,
                run: () => bench.set('board', { gaps: board.gaps.slice(0, -1) }, 'mend the board'),
              },
            ]
          : evenBoards(board.rows, board.columns)
              .slice(0, 2)
              .map((even) => ({
                label: `${even.rows} × ${even.columns}`,
                run: () => bench.set('board', even, 'mend the board'),
              }))),
      ]
    }
    case 'too-few-pairs': {
      const count = selectPairs(bench.game!.deck.pairs, fill.use).length
      const smaller = boardFor(count)
      return [
        { label: 'Repeat pairs evenly', run: () => bench.set('fill', { repeat: 'evenly' }, 'repeat pairs') },
        {
          label: `A board for ${count} pairs: ${smaller.rows} × ${smaller.columns}`,
          run: () => bench.set('board', smaller, 'mend the board'),
        },
        ...(fill.use !== 'all'
          ? [
              {
                label: 'Use the whole deck',
                run: () => bench.set('fill', { use: 'all' }, 'use the whole deck'),
              },
            ]
          : []),
      ]
    }
    case 'no-pairs':
      return fill.use === 'all'
        ? []
        : [
            {
              label: 'Use the whole deck',
              run: () => bench.set('fill', { use: 'all' }, 'use the whole deck'),
            },
          ]
    case 'too-few-cards':
      return [{ label: 'Fill all gaps', run: () => bench.set('board', { gaps: [] }, 'fill all gaps') }]
    default:
      return [
        { label: 'Shuffle instead', run: () => bench.set('deal', { way: 'shuffled' }, 'shuffle instead') },
      ]
  }
})
</script>

<template>
  <div class="fixes" role="alert">
    <p>This cannot be dealt: {{ problem.message }}.</p>
    <p v-if="bench.game!.deck.pairs.length === 0" class="soft">
      The deck is empty: add pairs on the light table first.
    </p>
    <button v-for="fix in fixes" :key="fix.label" class="btn" type="button" @click="fix.run">
      {{ fix.label }}
    </button>
  </div>
</template>

<style scoped>
.fixes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
  padding: 12px;
  border-radius: var(--round-card);
  background: var(--brick-pale);
}
p {
  flex: 1 1 100%;
  color: var(--brick);
  font-weight: 600;
}
</style>
