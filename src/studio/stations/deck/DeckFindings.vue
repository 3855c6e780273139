<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { withoutPairs } from '../../../core/deck/edit.ts'
import type { Finding } from '../../../core/findings/findings.ts'
import FindingsList from '../../parts/findings/FindingsList.vue'
import { useFindings } from '../../parts/findings/store.ts'
import { useBench } from '../../store/bench.ts'
import { BACK_COLOURS } from './back-colours.ts'
import { BACK, type Tie } from './useLookAlikes.ts'

/** Findings on the deck: those of the checks, and what is seen in the faces; `seen` are the ties that the table shows. */
const props = defineProps<{ ties: readonly Tie[]; seen: readonly Tie[] }>()
const emit = defineEmits<{ choose: [ids: string[]] }>()
const bench = useBench()
const checks = useFindings()

const nameOf = (id: string): string => bench.game!.deck.pairs.find((pair) => pair.id === id)?.name ?? ''
const alike = computed(() => props.ties.filter(({ one }) => one !== BACK))
const likest = computed(() => alike.value[0])
const seen = computed(() => props.seen.find(({ one }) => one !== BACK))

const findings = computed<Finding[]>(() => {
  const found = checks.all.filter(({ at }) => at.startsWith('deck'))
  const more = alike.value.length - 1
  if (likest.value)
    found.push({
      level: 'warns',
      code: 'look-alikes',
      at: 'deck.pairs',
      message: `${nameOf(likest.value.one)} and ${nameOf(likest.value.other)} look alike${more ? `, and ${more} more such pairs` : ''}`,
    })
  const back = props.ties.find(({ one }) => one === BACK)
  if (back)
    found.push({
      level: 'warns',
      code: 'back-like-face',
      at: 'deck.back',
      message: `the back could be taken for ${nameOf(back.other)}`,
    })
  return found
})

const removeOne = (): void =>
  bench.edit('remove a look-alike', ({ deck }) => {
    deck.pairs = withoutPairs(bench.game!.deck.pairs, new Set([likest.value!.other]))
  })
const mendBack = (): void =>
  bench.edit('mend the back', ({ deck }) => {
    deck.back = { pattern: 'herringbone', ...BACK_COLOURS.night }
  })
</script>

<template>
  <FindingsList :findings="findings">
    <template #default="{ finding }">
      <template v-if="finding.code === 'look-alikes' && likest">
        <ElButton v-if="seen" class="btn" @click="emit('choose', [seen.one, seen.other])">
          Choose both
        </ElButton>
        <ElButton class="btn" @click="removeOne">Remove {{ nameOf(likest.other) }}</ElButton>
      </template>
      <ElButton v-if="finding.code === 'back-like-face'" class="btn" @click="mendBack">
        A back in night
      </ElButton>
    </template>
  </FindingsList>
</template>
