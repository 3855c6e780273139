<script setup lang="ts">
import { ElButton, ElInputNumber, ElRadio, ElRadioGroup } from 'element-plus'
import IconImages from '~icons/ph/image'
import IconLetters from '~icons/ph/text-aa'
import IconPictures from '~icons/ph/compass'
import IconWords from '~icons/ph/translate'
import { computed, ref, shallowRef, watch } from 'vue'
import { PICTURE_THEMES, picturesOfTheme, type PictureTheme } from '../../../core/deck/picture-themes.ts'
import { pictureTitle } from '../../../core/deck/picture-words.ts'
import type { Game } from '../../../core/game/game.ts'
import {
  MOST_START_PICTURES,
  newGame,
  picturePairs,
  startPairs,
  type Start,
} from '../../../core/game/new-game.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { pictureIndex, type Picture } from '../../store/pictures.ts'
import { useJob } from '../../workers/jobs/useJob.ts'
import { chooseUnlike } from '../../workers/painting/theme.ts'
import type { ReadImage } from '../../parts/cards/image-files.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { percent } from '../../parts/settings/numbers.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'

/** a full board */
const MOST_PAIRS = BOUNDS.cards[1] / 2
const emit = defineEmits<{ make: [game: Game]; words: [] }>()
const { say } = useToasts()

const KINDS: { kind: Start; label: string; icon: typeof IconImages; title: string }[] = [
  { kind: 'pictures', label: 'Pictures', icon: IconPictures, title: 'New picture game' },
  { kind: 'images', label: 'Own images', icon: IconImages, title: 'New image game' },
  { kind: 'words', label: 'Words and meanings', icon: IconWords, title: 'New word game' },
  { kind: 'letters', label: 'Letters, numbers', icon: IconLetters, title: 'New letter game' },
]
const kind = ref<Start>('pictures')
/** of pictures; ours are those of a workshop */
const theme = ref<PictureTheme | 'ours'>('ours')
const THEMES: [typeof theme.value, string][] = [
  ['ours', 'A workshop'],
  ...PICTURE_THEMES.map(({ kind, words }): [PictureTheme, string] => [kind, words]),
]
const pairs = ref(8)
const picker = ref<InstanceType<typeof FilePicker>>()
/** the pictures of the library, once a theme is chosen */
const library = shallowRef<Picture[]>([])
const themePictures = computed(() =>
  theme.value === 'ours' ? [] : picturesOfTheme(library.value, theme.value),
)
const most = computed(() => {
  if (kind.value !== 'pictures') return MOST_PAIRS
  if (theme.value === 'ours') return MOST_START_PICTURES
  return Math.min(MOST_PAIRS, themePictures.value.length || MOST_PAIRS)
})
watch(theme, async () => {
  if (theme.value === 'ours' || library.value.length) return
  try {
    library.value = await pictureIndex()
  } catch (error) {
    say(`The picture library could not be loaded: ${(error as Error).message}`, { tone: 'wrong' })
  }
})
watch(most, () => (pairs.value = Math.min(pairs.value, most.value)))
const { share, run, cancel } = useJob((message) =>
  say(`The pictures could not be chosen: ${message}`, { tone: 'wrong' }),
)

async function make(): Promise<void> {
  if (kind.value === 'images') return picker.value?.choose()
  if (kind.value === 'words') return emit('words')
  if (kind.value === 'pictures' && theme.value !== 'ours') return makeByTheme(theme.value)
  const { title } = KINDS.find((one) => one.kind === kind.value)!
  emit('make', newGame(title, startPairs(kind.value, pairs.value)))
}

/** A game of a theme's pictures that look as little alike as can be found, to everyone. */
async function makeByTheme(chosen: PictureTheme): Promise<void> {
  if (!themePictures.value.length) return
  const input = { names: themePictures.value, count: pairs.value }
  const choice = await run((progress) => chooseUnlike(input, progress))
  if (!choice) return
  const { words } = PICTURE_THEMES.find((one) => one.kind === chosen)!
  emit('make', newGame(words, picturePairs(choice.names)))
  if (!choice.two) return
  const [one, other] = choice.two.map((name) => pictureTitle(name))
  say(
    `The two most alike, ${one} and ${other}, are ${percent(choice.most)} alike, also to those who see colours differently; no choice that was found has less.`,
  )
}

async function fromImages(files: readonly File[]): Promise<void> {
  const { imagePairs, readImages } = await import('../../parts/cards/image-files.ts')
  const images: ReadImage[] = []
  await readImages(files, (image, problem) => {
    if (image) images.push(image)
    else say(problem, { tone: 'wrong' })
  })
  const { pairs: made } = imagePairs(images, [], false)
  if (made.length) emit('make', newGame('New image game', made))
}
</script>

<template>
  <form class="new" @submit.prevent="make">
    <h2>New game</h2>
    <p id="kinds">What is on the cards?</p>
    <ElRadioGroup v-model="kind" class="kinds" aria-labelledby="kinds">
      <ElRadio v-for="one in KINDS" :key="one.kind" class="kind" :value="one.kind">
        <component :is="one.icon" aria-hidden="true" />{{ one.label }}
      </ElRadio>
    </ElRadioGroup>
    <p v-if="kind === 'pictures'" class="pairs">
      Theme
      <ChoiceWord v-model="theme" label="Theme" :choices="THEMES" />
    </p>
    <p v-if="kind === 'words'" class="pairs soft">Your own words, typed or from a file.</p>
    <p v-else-if="kind !== 'images'" class="pairs">
      How many pairs?
      <ElInputNumber v-model="pairs" :min="2" :max="most" step-strictly aria-label="How many pairs?" />
    </p>
    <p v-else class="pairs soft">One pair for each image you choose.</p>
    <p v-if="share !== null" class="pairs">
      <span role="status">Choosing pictures: {{ percent(share) }}</span>
      <ElButton class="btn" @click="cancel">Cancel</ElButton>
    </p>
    <ElButton v-else class="btn main" native-type="submit">{{
      kind === 'images' ? 'Choose images…' : kind === 'words' ? 'Write the words…' : 'Make it'
    }}</ElButton>
    <FilePicker ref="picker" label="Images for a new game" accept="image/*" multiple @take="fromImages" />
  </form>
</template>

<style scoped>
.new {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 18px 18px;
  border: 1.5px dashed #b9ad95;
  border-radius: var(--round-card);
}
h2 {
  font-size: 21px;
}
.kinds {
  display: grid;
  gap: 8px;
}
.kind {
  display: flex;
  height: auto;
  margin: 0;
  align-items: center;
  min-height: 42px;
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  font-weight: 600;
  cursor: pointer;
}
.kind svg {
  width: 24px;
  height: 24px;
  color: var(--ink-soft);
}
.kind:hover {
  border-color: #b9ad95;
}
.kind :deep(.el-radio__input) {
  position: absolute;
  opacity: 0;
}
.kind :deep(.el-radio__label) {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0;
  color: var(--ink);
  font: 600 15px var(--body);
}
.kind.is-checked {
  border-color: var(--lagoon);
  box-shadow: 0 0 0 2px #1f7f8040;
}
.kind.is-checked svg {
  color: var(--lagoon);
}
.kind:focus-within {
  outline: 2px solid var(--lagoon);
  outline-offset: 2px;
}
.pairs {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
}
.pairs {
  justify-content: space-between;
  white-space: nowrap;
}
.pairs .el-input-number {
  width: 112px;
}
</style>
