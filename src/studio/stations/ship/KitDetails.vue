<script setup lang="ts">
import { ElButton, ElProgress } from 'element-plus'
import { countWords } from '../../../core/count-words.ts'
import { KIT_BOUNDS, kitCards, kitCardSize, type KitOptions } from '../../../ship/kit/cards.ts'
import { computed } from 'vue'
import NumberWord from '../../parts/settings/NumberWord.vue'
import { useBench } from '../../store/bench.ts'
import type { MadeKit } from './make-kit.ts'

/** What a kit is made with, and how far it is. */
const options = defineModel<KitOptions>({ required: true })
const props = defineProps<{ kit: MadeKit | null; problem: string; share: number | null }>()
defineEmits<{ cancel: [] }>()
const bench = useBench()
const set = (change: Partial<KitOptions>): void => {
  options.value = { ...options.value, ...change }
}
const cards = computed(() => kitCards(bench.game!).length)
const size = computed(() => kitCardSize(bench.game!, options.value.width))
const failures = computed(() => {
  const some = props.kit?.undrawn ?? []
  const named = some.slice(0, 5).join(', ')
  return some.length > 5 ? `${named} and ${some.length - 5} more` : named
})
const FILES: [string, string][] = [
  ['cards', 'each front and the back as PNG in three sizes; one image of all, with the place of each'],
  ['places', 'where each cell is on six screens, and how cards lie on any other'],
  ['deals', 'boards of every level, as JSON lines and CSV'],
  ['levels', 'every setting of every level, and the picture behind the cards'],
  ['texts, sounds', 'every text in each language; which sound is heard when'],
  ['test games', 'what was pressed, every event and the result, to test your own rules against'],
  ['README', 'how to use each, the rules in words, and how a deal follows from its seed'],
]
</script>

<template>
  <div class="choosing">
    <p class="sentence">
      Cards
      <NumberWord
        :model-value="options.width"
        label="Width of a card in px"
        :bounds="KIT_BOUNDS.width"
        @update:model-value="(width) => set({ width })"
      />
      × {{ size.height }} px, also at two and three times that size; for each level
      <NumberWord
        :model-value="options.deals"
        label="Deals of each level"
        :bounds="KIT_BOUNDS.deals"
        @update:model-value="(deals) => set({ deals })"
      />
      {{ options.deals === 1 ? 'deal' : 'deals' }} and
      <NumberWord
        :model-value="options.games"
        label="Test games of each level"
        :bounds="KIT_BOUNDS.games"
        @update:model-value="(games) => set({ games })"
      />
      test {{ options.games === 1 ? 'game' : 'games' }}.
    </p>
    <div v-if="share !== null" class="going">
      <ElProgress :percentage="share * 100" :show-text="false" aria-label="Making the kit" />
      <ElButton class="btn" @click="$emit('cancel')">Stop</ElButton>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="kit" role="status">{{ kit.count.toLocaleString('en') }} files, ready to download.</p>
    <p v-else-if="share === null" class="soft">{{ countWords(cards, 'front') }} to draw.</p>
    <p v-if="failures" class="problem" role="alert">
      These cards have an image that cannot be drawn, and show words instead: {{ failures }}. Replace the
      images in Deck.
    </p>
    <h3>Contains</h3>
    <dl>
      <template v-for="[name, what] in FILES" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </div>
</template>

<style scoped src="./choosing.css"></style>
<style scoped>
.going {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 14px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 6px 16px;
  margin: 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
</style>
