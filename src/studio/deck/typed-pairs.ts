import Papa from 'papaparse'
import type { Pair } from '../../core/game/game.ts'
import { newId } from '../../core/game/new-id.ts'
import { LENGTHS } from '../../core/game/settings.ts'

export type TypedPairs = { pairs: Pair[]; problems: string[] }

/**
 * Pairs from typed or pasted lines. A line with two columns (tab, semicolon, comma, | or =) is a related pair, a line with one
 * an identical pair. Lines that cannot be a pair are told with their number and left out.
 */
export function typedPairs(text: string, taken: readonly string[]): TypedPairs {
  const lines = text.split(/\r?\n/)
  const delimiter = ['\t', ';', '|', '=', ','].find((one) => lines.some((line) => line.includes(one))) ?? '\t'
  const ids = [...taken]
  const pairs: Pair[] = []
  const problems: string[] = []
  lines.forEach((line, i) => {
    if (!line.trim()) return
    const columns = (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).map((column) => column.trim())
    const [a = '', b = ''] = columns
    const told = (why: string): void => void problems.push(`line ${i + 1}: ${why}`)
    if (!a) return told('the first column is empty')
    if (columns.length > 2 && columns.slice(2).some(Boolean)) return told('more than two columns')
    if (a.length > LENGTHS.text || b.length > LENGTHS.text)
      return told(`longer than ${LENGTHS.text} characters`)
    const id = newId(a, ids, 'pair')
    ids.push(id)
    pairs.push({
      id,
      name: a.slice(0, LENGTHS.name),
      a: { kind: 'text', text: a },
      ...(b && b !== a ? { b: { kind: 'text' as const, text: b } } : {}),
    })
  })
  return { pairs, problems }
}
