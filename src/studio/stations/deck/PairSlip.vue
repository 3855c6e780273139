<script setup lang="ts">
import IconBack from '~icons/ph/caret-left'
import IconDouble from '~icons/ph/copy-simple'
import IconForward from '~icons/ph/caret-right'
import IconRemove from '~icons/ph/trash'
import IconReplace from '~icons/ph/upload-simple'
import { ElButton, ElSegmented } from 'element-plus'
import { computed, ref, watch } from 'vue'
import type { Face, Pair } from '../../../core/deck/pair.ts'
import { tidyTags } from '../../../core/deck/edit.ts'
import { BOUNDS, LENGTHS } from '../../../core/settings/bounds.ts'
import { problemLine } from '../../../core/result.ts'
import { faceWords } from '../../../core/deck/face.ts'
import FilePicker from '../../parts/files/FilePicker.vue'
import TextField from '../../parts/settings/TextField.vue'
import { useBench } from '../../store/bench.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { imageSource } from '../../parts/cards/image-files.ts'
import LeaningCards from './LeaningCards.vue'
import PaperInk from './PaperInk.vue'
import PicturePicker from '../../parts/cards/PicturePicker.vue'

/** Everything about one pair: its faces, name, alt text, tags, colours. */
const props = defineProps<{ pair: Pair }>()
const emit = defineEmits<{ remove: []; move: [by: number]; double: [] }>()
const bench = useBench()
const { say } = useToasts()

/** another pair starts with its first face */
const side = ref<'a' | 'b'>('a')
watch(
  () => props.pair.id,
  () => (side.value = 'a'),
)
const picturesOpen = ref(false)
const picker = ref<InstanceType<typeof FilePicker>>()
const face = computed(() => props.pair[side.value] ?? props.pair.a)
const twins = computed({
  get: () => (props.pair.b ? 'related' : 'identical'),
  set: (value) => {
    if (value === 'identical') side.value = 'a'
    change(
      'change the twins',
      (pair) => {
        const { b: _b, ...rest } = pair
        return value === 'related'
          ? { ...rest, b: { kind: 'text', text: pair.name.slice(0, LENGTHS.text) } }
          : rest
      },
      null,
    )
  },
})
const TWINS = ['identical', 'related']
const SIDES = [
  { label: 'first', value: 'a' },
  { label: 'second', value: 'b' },
]

/** `about`: which part of the pair is changed; null makes it a step of its own. */
function change(label: string, to: (pair: Pair) => Pair, about: string | null): void {
  bench.edit(
    label,
    (game) => {
      const at = game.deck.pairs.findIndex(({ id }) => id === props.pair.id)
      if (at >= 0) game.deck.pairs[at] = to(props.pair)
    },
    about === null ? null : `${props.pair.id}/${about}`,
  )
}
const changeFace = (label: string, next: Face, about: string): void =>
  change(label, (pair) => ({ ...pair, [side.value]: next }), `${side.value}/${about}`)

/** Sets a key of the face, or removes it if nothing is left of it. */
function setFace(key: 'alt' | 'ink' | 'paper', value: string | null): void {
  const { [key]: _old, ...rest } = face.value
  changeFace(`change the ${key}`, (value ? { ...rest, [key]: value } : rest) as Face, key)
}
function setText(text: string): void {
  if (text.trim())
    changeFace('change the text', { ...colours(), kind: 'text', text: text.slice(0, LENGTHS.text) }, 'text')
}
const colours = (): Pick<Face, 'ink' | 'paper' | 'alt'> => {
  const { ink, paper, alt } = face.value
  return {
    ...(ink ? { ink } : {}),
    ...(paper ? { paper } : {}),
    ...(alt && face.value.kind === 'text' ? { alt } : {}),
  }
}
function setName(name: string): void {
  if (name.trim())
    change('rename a pair', (pair) => ({ ...pair, name: name.trim().slice(0, LENGTHS.name) }), 'name')
}
function setTags(text: string): void {
  const tags = tidyTags(text.split(','))
  change('change the tags', ({ tags: _tags, ...pair }) => (tags.length ? { ...pair, tags } : pair), 'tags')
}
function usePicture([pair]: Pair[]): void {
  if (pair) changeFace('change a picture', { ...colours(), ...pair.a }, 'picture')
}
async function useImage([file]: [File, ...File[]]): Promise<void> {
  const source = await imageSource(file)
  if (source.ok)
    changeFace(
      'change an image',
      { ...colours(), kind: 'image', src: source.value.src, alt: props.pair.name },
      'image',
    )
  else say(`${file.name}: ${problemLine(source.problem)}`, { tone: 'wrong' })
}
</script>

<template>
  <section class="slip" aria-labelledby="slip-name">
    <header>
      <h2 id="slip-name">{{ pair.name }}</h2>
      <ElButton
        class="icon-btn"
        aria-label="Move earlier in the deck"
        data-tip="Earlier (Alt+↑)"
        @click="emit('move', -1)"
      >
        <IconBack />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="Move later in the deck"
        data-tip="Later (Alt+↓)"
        @click="emit('move', 1)"
      >
        <IconForward />
      </ElButton>
      <ElButton
        class="icon-btn"
        :aria-label="`Duplicate ${pair.name}`"
        data-tip="Duplicate"
        @click="emit('double')"
      >
        <IconDouble />
      </ElButton>
      <ElButton
        class="icon-btn"
        :aria-label="`Remove ${pair.name}`"
        data-tip="Remove (Delete)"
        @click="emit('remove')"
      >
        <IconRemove />
      </ElButton>
    </header>
    <LeaningCards v-model:side="side" :pair="pair" />
    <div class="row">
      <span id="twins-label">Twins</span>
      <ElSegmented v-model="twins" :options="TWINS" aria-labelledby="twins-label" size="small" />
    </div>
    <label class="row"
      >Name <TextField :model-value="pair.name" :maxlength="LENGTHS.name" label="Name" @change="setName"
    /></label>
    <label class="row"
      >Tags
      <TextField
        :model-value="(pair.tags ?? []).join(', ')"
        placeholder="metal, round"
        :maxlength="(LENGTHS.tag + 2) * BOUNDS.tags[1]"
        label="Tags, separated by commas"
        @change="setTags"
    /></label>
    <div v-if="pair.b" class="row">
      <span id="side-label">Face below</span>
      <ElSegmented v-model="side" :options="SIDES" aria-labelledby="side-label" size="small" />
    </div>
    <label v-if="face.kind === 'text'" class="row"
      >Text
      <TextField
        :model-value="face.text"
        :maxlength="LENGTHS.text"
        label="Text on the card"
        @typing="setText"
    /></label>
    <label class="row"
      >Read aloud as
      <TextField
        :model-value="face.alt ?? ''"
        :placeholder="faceWords({ ...face, alt: undefined }, pair.name)"
        :maxlength="LENGTHS.alt"
        label="Read aloud as"
        @change="(value) => setFace('alt', value.trim())"
    /></label>
    <div class="row">
      <span>Paper and ink</span>
      <PaperInk
        :paper="face.paper"
        :ink="face.ink"
        :inked="face.kind === 'text'"
        @paper="setFace('paper', $event)"
        @ink="setFace('ink', $event)"
      />
    </div>
    <div class="replace">
      <span class="soft">Replace with</span>
      <ElButton class="btn" @click="picturesOpen = true">A picture</ElButton>
      <ElButton class="btn" @click="picker?.choose()"><IconReplace />An image</ElButton>
      <ElButton v-if="face.kind !== 'text'" class="btn" @click="setText(pair.name)">Text</ElButton>
    </div>
    <FilePicker ref="picker" label="Image for this face" accept="image/*" @take="useImage" />
    <PicturePicker v-model="picturesOpen" one @add="usePicture" />
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
}
h2 {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
  font-size: 20px;
}
.row {
  display: grid;
  grid-template-columns: 96px 1fr;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  padding: 4px 0;
  border-bottom: 1px solid var(--sand);
  color: var(--ink-soft);
}
.replace {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
}
.replace .soft {
  flex: 1 1 100%;
}
</style>
