<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { BOUNDS, LENGTHS } from '../../../core/settings/bounds.ts'
import { english } from '../../../core/texts/english.ts'
import type { CreditPart } from '../../../core/texts/credit-part.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { download } from '../../parts/files/download.ts'
import LinesField from '../../parts/settings/LinesField.vue'
import { useBench } from '../../store/bench.ts'

/** Who made what is inside: lines of the author's own, and what the page says of pictures, type and program. */
const props = defineProps<{ credits: readonly CreditPart[]; licenses: string }>()
const bench = useBench()
const open = ref(false)
const draft = ref('')
const own = computed(() => (bench.game!.credits ?? []).join('\n'))
watch(own, (text) => (draft.value = text), { immediate: true })

function write(): void {
  const lines = draft.value
    .split('\n')
    .map((line) => line.trim().slice(0, LENGTHS.credit))
    .filter(Boolean)
    .slice(0, BOUNDS.credits[1])
  draft.value = lines.join('\n')
  if (draft.value !== own.value)
    bench.edit('change the credits', (game) => {
      game.credits = lines.length ? lines : undefined
    })
}
const summary = computed(() =>
  props.credits
    .filter(({ heading }) => heading)
    .map(({ heading, lines }) => `${english.say(heading!)}: ${lines.at(-1)}`)
    .join(' · '),
)
</script>

<template>
  <div class="credits">
    <LinesField
      v-model="draft"
      aria-label="Credits of your own, a line each"
      placeholder="Lines of your own, such as: Drawn by Ada"
      @change="write"
    />
    <p class="soft">{{ summary }}</p>
    <div class="buttons">
      <ElButton class="btn" @click="open = true">What it says…</ElButton>
      <ElButton class="btn" :disabled="!licenses" @click="download('LICENSES.txt', licenses, 'text/plain')">
        Licences in full
      </ElButton>
    </div>
    <ModalDialog v-model="open" title="Credits" :width="520">
      <template v-for="({ heading, lines }, i) in credits" :key="i">
        <h3 v-if="heading">{{ english.say(heading) }}</h3>
        <p v-for="line in lines" :key="line">{{ line }}</p>
      </template>
      <p class="soft">Players find this under Credits, when they pause.</p>
    </ModalDialog>
  </div>
</template>

<style scoped>
.credits {
  display: grid;
  justify-items: start;
  gap: 8px;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
h3 {
  margin: 14px 0 2px;
}
</style>
