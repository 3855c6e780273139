import { computed } from 'vue'
import type { Section, Settings } from '../../../core/settings/settings.ts'
import { useBench } from '../../store/bench.ts'
import { settingWords } from './setting-words.ts'

/**
 * A setting of the open rung: its words, and its value, which can be written: as the level's own, or in the house rules
 * if those are open.
 */
export function useSetting<S extends Section, K extends keyof Settings[S] & string>(
  section: () => S,
  key: () => K,
) {
  const bench = useBench()
  const words = computed(() => settingWords(section(), key()))
  const value = computed({
    get: () => bench.settings![section()][key()],
    // a key that is computed has no type of its own
    set: (next) =>
      bench.set(
        section(),
        { [key()]: next } as unknown as Partial<Settings[S]>,
        `change "${words.value.label}"`,
      ),
  })
  return { words, value }
}
