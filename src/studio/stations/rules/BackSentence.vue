<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { backOf } from '../../../core/game/backs.ts'
import type { Back } from '../../../core/settings/back.ts'
import BackDesigner from '../../parts/cards/BackDesigner.vue'
import BackView from '../../parts/cards/BackView.vue'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import OwnTab from '../../parts/settings/OwnTab.vue'
import { useBench } from '../../store/bench.ts'

/** "The back is another one", with a sample to press. */
type Whose = 'deck' | 'own'
const CHOICES: [Whose, string][] = [
  ['deck', 'that of the deck'],
  ['own', 'another one'],
]
const bench = useBench()
const back = computed(() => backOf(bench.game!, bench.settings!))
const isOwn = computed(() => bench.settings!.look.back !== null)
const title = computed(() => (bench.level ? `The back on ${bench.level.name}` : 'The back'))
const isOpen = ref(false)

/** Another back begins as the deck's, ready to be changed. */
function choose(whose: Whose): void {
  bench.set(
    'look',
    { back: whose === 'own' ? { ...bench.game!.deck.back } : null },
    'choose the back',
    'single',
  )
  isOpen.value = whose === 'own'
}
const change = (next: Back, about: string | null): void =>
  bench.set('look', { back: next }, 'change the back', about === null ? 'single' : 'joined')
</script>

<template>
  The back is
  <span data-setting="look.back"
    ><ChoiceWord
      :model-value="isOwn ? 'own' : 'deck'"
      label="The back"
      :choices="CHOICES"
      @update:model-value="choose" /></span
  ><template v-if="isOwn"
    >,
    <ElButton class="sample" aria-label="Change the back" data-tip="Change the back" @click="isOpen = true">
      <BackView :back="back" /> </ElButton></template
  ><OwnTab section="look" :names="['back']" />.
  <ModalDialog v-model="isOpen" :title="title" :width="640">
    <BackDesigner v-if="isOwn" :back="back" @change="change" />
  </ModalDialog>
</template>

<style scoped>
.sample {
  position: relative;
  display: inline-block;
  width: 30px;
  height: 36px;
  min-height: 0;
  margin: 0 4px;
  padding: 0;
  overflow: hidden;
  border: 0;
  border-radius: var(--round);
  vertical-align: middle;
  cursor: pointer;
}
</style>
