<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { picturePairs } from '../../../core/game/new-game.ts'
import { pictureIndex, searchPictures, smallPictureUrl, type Picture } from '../../store/pictures.ts'
import { useBench } from '../../store/bench.ts'
import SearchField from '../look/SearchField.vue'
import ModalDialog from '../look/ModalDialog.vue'

/** The picture library: search by word, choose one or many. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ one?: boolean }>()
const emit = defineEmits<{ add: [pairs: Pair[]] }>()
const bench = useBench()

const AT_ONCE = 120
const library = ref<Picture[]>([])
const problem = ref('')
const query = ref('')
const limit = ref(AT_ONCE)
const picks = ref<string[]>([])
const matches = computed(() => searchPictures(library.value, query.value))
const inDeck = computed(
  () =>
    new Set(
      bench.game!.deck.pairs.flatMap(({ a, b }) =>
        [a, b].flatMap((face) => (face?.kind === 'picture' ? [face.name] : [])),
      ),
    ),
)

watch(open, async (isOpen) => {
  if (!isOpen) return
  picks.value = []
  try {
    library.value = await pictureIndex()
    problem.value = ''
  } catch (error) {
    problem.value = `The picture library could not be loaded: ${(error as Error).message}`
  }
})
watch(query, () => (limit.value = AT_ONCE))

function choose(name: string): void {
  if (props.one) {
    picks.value = [name]
    add()
  } else
    picks.value = picks.value.includes(name)
      ? picks.value.filter((one) => one !== name)
      : [...picks.value, name]
}
function add(): void {
  const ids = bench.game!.deck.pairs.map(({ id }) => id)
  emit('add', picturePairs(picks.value, ids))
  open.value = false
}
</script>

<template>
  <ModalDialog v-model="open" title="Pictures" :width="860">
    <div class="search">
      <SearchField
        v-model="query"
        label="Search the pictures"
        placeholder="a word, such as key, boat, music"
        autofocus
      />
      <span class="soft" role="status">{{ countWords(matches.length, 'picture') }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="results" tabindex="-1">
      <button
        v-for="picture in matches.slice(0, limit)"
        :key="picture.name"
        class="picture"
        type="button"
        :aria-pressed="picks.includes(picture.name)"
        :aria-label="picture.words + (inDeck.has(picture.name) ? ', in the deck' : '')"
        :data-tip="picture.words"
        @click="choose(picture.name)"
      >
        <img :src="smallPictureUrl(picture.name)" alt="" loading="lazy" width="48" height="48" />
        <span v-if="inDeck.has(picture.name)" class="has">in the deck</span>
      </button>
      <p v-if="library.length && !matches.length" class="none soft">
        No picture fits "{{ query }}". Try one word, or a more general one.
      </p>
      <ElButton v-if="matches.length > limit" class="btn more" @click="limit += AT_ONCE">
        Show more
      </ElButton>
    </div>
    <template v-if="!one" #buttons>
      <ElButton class="btn" @click="open = false">Cancel</ElButton>
      <ElButton class="btn main" :disabled="!picks.length" @click="add">
        {{ picks.length ? `Add ${countWords(picks.length, 'pair')}` : 'Choose pictures' }}
      </ElButton>
    </template>
  </ModalDialog>
</template>

<style scoped>
.search {
  display: flex;
  align-items: center;
  gap: 14px;
}
.search :deep(.el-input) {
  --el-input-height: 42px;
  flex: 1;
}
.results {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(82px, 1fr));
  gap: 8px;
  align-content: start;
  height: min(480px, 52vh);
  margin-top: 14px;
  padding: 4px;
  overflow-y: auto;
}
.picture {
  position: relative;
  display: grid;
  place-items: center;
  height: 82px;
  border: 1px solid var(--sand);
  border-radius: var(--round-card);
  background: var(--card);
  cursor: pointer;
}
.picture:hover {
  border-color: #b9ad95;
  background: #fff;
}
.picture[aria-pressed='true'] {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
  box-shadow: 0 0 0 2px var(--lagoon);
}
.has {
  position: absolute;
  bottom: 1px;
  color: var(--ink-soft);
  font-size: 12px;
  line-height: 1.2;
}
.none,
.more {
  grid-column: 1 / -1;
}
.more {
  justify-self: center;
}
.problem {
  margin-top: 12px;
}
</style>
