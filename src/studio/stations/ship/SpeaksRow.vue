<script setup lang="ts">
import { ElButton, ElTag } from 'element-plus'
import IconRemove from '~icons/ph/x'
import { computed } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { missingIn } from '../../../core/game/message-table.ts'
import { foreignWords } from '../../../core/texts/foreign-words.ts'
import { languageName, LANGUAGES, type Language } from '../../../core/texts/languages.ts'
import ChoiceWord from '../../parts/settings/ChoiceWord.vue'
import { useDone } from '../../parts/toast/useDone.ts'
import { useBench } from '../../store/bench.ts'

/** The languages that a game is shipped in: its own, and those that are added. */
const bench = useBench()
const tell = useDone()
const languages = computed(() => languagesOf(bench.game!))
const others = computed(() => languages.value.slice(1))
const otherLanguages = computed(() => LANGUAGES.filter((one) => !languages.value.includes(one)))
const withNames = (all: readonly Language[]) => all.map((one) => [one, languageName(one)] as [string, string])

/** what makes one doubt that the game is written in English, as it says */
const foreign = computed(() => {
  if (languages.value[0] !== 'en') return null
  const { title, levels, deck } = bench.game!
  return foreignWords([title, ...[...levels, ...deck.pairs].map(({ name }) => name)])
})

function write(next: Language[], label: string): void {
  bench.edit(label, (game) => {
    game.texts = { languages: next, own: game.texts?.own ?? {} }
  })
}
const add = (language: string): void =>
  write([...languages.value, language as Language], `add ${languageName(language as Language)}`)
/** Makes another language the game's own; if it was among the others, they change places. */
function writeIn(language: string): void {
  const own = language as Language
  const rest = others.value.map((one) => (one === own ? languages.value[0]! : one))
  write([own, ...rest], `change the game's own language`)
}
function remove(language: Language): void {
  write(
    languages.value.filter((one) => one !== language),
    `remove ${languageName(language)}`,
  )
  tell(`${languageName(language)} is removed; its own texts are kept in the game`)
}
const lacking = (language: Language): string => {
  const missing = missingIn(bench.game!, language).length
  return missing ? `${countWords(missing, 'name')} as in ${languageName(languages.value[0]!)}` : ''
}
</script>

<template>
  <div class="speaks">
    <p>
      This game is written in
      <ChoiceWord
        :model-value="languages[0]!"
        label="The game's own language"
        :choices="withNames(LANGUAGES)"
        @update:model-value="writeIn"
      />{{ others.length ? ' and also speaks' : '.' }}
      <span v-if="otherLanguages.length" class="add">
        <ChoiceWord
          model-value=""
          label="Add a language"
          :choices="[['', '+ language'], ...withNames(otherLanguages)]"
          @update:model-value="(one) => one && add(one)"
        />
      </span>
    </p>
    <p v-if="foreign" class="foreign" role="status">
      {{ foreign.words.slice(0, 3).join(', ') }}: that does not look like English. Which language are the
      game's words in?
      <ElButton v-if="foreign.likely" class="btn small" @click="writeIn(foreign.likely)">{{
        languageName(foreign.likely)
      }}</ElButton>
    </p>
    <p v-if="others.length" class="tags">
      <ElTag v-for="one in others" :key="one" disable-transitions :data-tip="lacking(one)">
        <span :lang="one">{{ languageName(one) }}</span>
        <ElButton class="icon-btn" :aria-label="`Remove ${languageName(one)}`" @click="remove(one)"
          ><IconRemove
        /></ElButton>
      </ElTag>
    </p>
    <p class="soft">
      {{
        others.length
          ? 'Players see the language of their browser if the game has it, otherwise the first one.'
          : 'Players see it in this language, whatever their browser speaks.'
      }}
    </p>
  </div>
</template>

<style scoped>
.foreign {
  color: var(--brick);
}
.speaks {
  display: grid;
  gap: 6px;
}
.tags :deep(.el-tag) {
  --el-tag-text-color: var(--lagoon-deep);
  height: 28px;
  padding: 0 4px 0 10px;
  font-size: 14px;
}
.tags :deep(.el-tag__content) {
  display: flex;
  align-items: center;
  gap: 2px;
}
.tags .icon-btn {
  width: 24px;
  height: 24px;
  color: inherit;
}
.tags .icon-btn svg {
  width: 13px;
  height: 13px;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.add {
  margin-left: 4px;
}
</style>
