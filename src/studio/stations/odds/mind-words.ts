import { countWords } from '../../../core/count-words.ts'
import type { Memory } from '../../../core/settings/mind.ts'

/** A memory in a few words, for its card. */
export function memoryWords({ notice, hold, fade, blur }: Memory): string {
  if (notice === 0 || hold === 0 || fade === 1) return 'remembers nothing'
  if (hold === null && notice === 1 && fade === 0 && blur === 0) return 'forgets nothing'
  const cards = hold === null ? 'any number of cards' : countWords(hold, 'card')
  const loses = fade > 0 ? `, loses ${percent(fade)} a turn` : ''
  return `holds ${cards}${loses}`
}
const percent = (share: number): string => `${+(share * 100).toFixed(1)} %`
