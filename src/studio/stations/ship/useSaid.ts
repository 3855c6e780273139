import { computed, shallowRef, watch } from 'vue'
import { wrongText } from '../../../core/game/texts-schema.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { canSay, ownSaid, saidBefore, saySo } from '../../../core/game/message-table.ts'
import { languageName, type Language } from '../../../core/texts/languages.ts'
import type { MessageKey, Messages } from '../../../core/texts/messages.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import { loadLanguage } from '../../store/speech.ts'

/** What the open game says in each of its languages, and how to say it another way. */
export function useSaid() {
  const bench = useBench()
  const { say: tell } = useToasts()
  const languages = computed(() => languagesOf(bench.game!))
  const words = shallowRef<Partial<Record<Language, Messages>>>({})
  watch(
    languages,
    async (all) => {
      const loaded = await Promise.all(all.map(loadLanguage))
      words.value = Object.fromEntries(all.map((language, i) => [language, loaded[i]]))
    },
    { immediate: true },
  )
  const ready = computed(() => languages.value.every((language) => words.value[language]))

  const mayBeSaid = (language: Language, id: string): boolean => canSay(bench.game!, language, id)
  const own = (language: Language, id: string): string => ownSaid(bench.game!, language, id)
  /** What is said without a text of one's own; in words if that is not one text. */
  const before = (language: Language, id: string): string =>
    saidBefore(bench.game!, id, words.value[language]!) ||
    (id === 'says/howTo' ? 'told from the rules' : 'none')

  function write(language: Language, id: string, text: string): void {
    const [kind, key] = id.split('/')
    const wrong = wrongText(kind === 'says' ? (key as MessageKey) : null, text)
    if (wrong) return tell(`${languageName(language)}: ${wrong}`, { tone: 'wrong' })
    const next = saySo(bench.game!, language, id, text, words.value[language]!)
    bench.replace(next, text ? 'say it another way' : 'say it as before')
  }
  return { languages, words, ready, mayBeSaid, own, before, write }
}
