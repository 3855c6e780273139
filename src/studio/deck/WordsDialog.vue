<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Pair } from '../../core/game/game.ts'
import FaceView from '../cards/FaceView.vue'
import { useBench } from '../store/bench.ts'
import { typedPairs } from './typed-pairs.ts'
import ModalDialog from '../look/ModalDialog.vue'

/** Pairs from typed words, seen before they are added. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()
const text = ref('')
const typed = computed(() =>
  typedPairs(
    text.value,
    bench.game!.deck.pairs.map(({ id }) => id),
  ),
)
const count = computed(() => typed.value.pairs.length)
const SHOWN = 8
const HINT = 'escapement = lets the wheel go tick by tick\nfusee = evens out the pull of the spring'

watch(open, () => (text.value = ''))

function add(): void {
  emit('add', typed.value.pairs)
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Words" :width="720">
    <p id="words-help" class="soft">
      One pair a line: a word and its twin, with a tab, comma, semicolon or = between them. A line with one
      word makes identical twins.
    </p>
    <textarea
      v-model="text"
      rows="8"
      aria-label="Words"
      aria-describedby="words-help"
      :placeholder="HINT"
      autofocus
    />
    <ul v-if="count" class="preview" aria-label="Pairs to be added">
      <li v-for="pair in typed.pairs.slice(0, SHOWN)" :key="pair.id">
        <span class="card"><FaceView :face="pair.a" /></span>
        <span class="card"><FaceView :face="pair.b ?? pair.a" /></span>
      </li>
      <li v-if="count > SHOWN" class="soft">and {{ count - SHOWN }} more</li>
    </ul>
    <ul v-if="typed.problems.length" class="problems" role="alert">
      <li v-for="problem in typed.problems.slice(0, 4)" :key="problem">{{ problem }}</li>
      <li v-if="typed.problems.length > 4">and {{ typed.problems.length - 4 }} more lines</li>
    </ul>
    <template #buttons>
      <button class="btn" type="button" @click="open = false">Cancel</button>
      <button class="btn main" type="button" :disabled="!count" @click="add">
        {{ count === 1 ? 'Add 1 pair' : `Add ${count} pairs` }}
      </button>
    </template>
  </ModalDialog>
</template>

<style scoped>
textarea {
  width: 100%;
  margin: 10px 0;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: #fff;
  color: var(--ink);
  font: 400 16px/1.5 var(--body);
  resize: vertical;
}
textarea::placeholder {
  color: #6f6b7d;
}
.preview {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.preview li {
  display: flex;
}
.card {
  width: 62px;
  height: 74px;
  margin-right: 3px;
  border-radius: 7px;
  box-shadow:
    0 0 0 1px var(--line),
    0 2px 6px #23243f1f;
  transform: rotate(-3deg);
}
.card + .card {
  transform: rotate(3deg);
}
.problems {
  margin: 12px 0 0;
  padding-left: 20px;
  color: var(--brick);
}
</style>
