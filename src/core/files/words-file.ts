import Papa from 'papaparse'
import type { Pair } from '../deck/pair.ts'
import { newId } from '../settings/new-id.ts'
import { BOUNDS, LENGTHS } from '../settings/settings.ts'

/** Pairs from two columns of text, as they were understood. */
export type WordPairs = {
  pairs: Pair[]
  /** what parts the columns */
  separator: string
  /** the first row, if it names the columns */
  header: [string, string] | null
  /** lines that are no pair, with their number and why; the first of them */
  problems: string[]
  /** how many lines were left out */
  leftOut: number
}

const SEPARATORS = ['\t', ';', '|', '=', ',']
const MOST_TOLD = 50
/** Words by which the head of a column is known. */
const HEADS = new Set(
  'word words meaning meanings term terms translation definition question answer first second left right front back side name pair twin text face english german french spanish italian latin'.split(
    ' ',
  ),
)

/**
 * Pairs from typed, pasted or opened text: two columns separated by tab, semicolon, |, = or comma, in quotation marks where
 * they hold such a sign or a line break. A row with two columns is a related pair, a row with one an identical one. `header`
 * says whether the first row names the columns; left out, it is found out. No more pairs than `room` are made, the rest is told.
 */
export function wordPairs(
  text: string,
  taken: readonly string[],
  options: { header?: boolean; room?: number } = {},
): WordPairs {
  const room = options.room ?? BOUNDS.pairs[1]
  const clean = text.replace(/^\ufeff/, '')
  const separator = separatorOf(clean)
  const ids = new Set(taken)
  const made: WordPairs = { pairs: [], separator, header: null, problems: [], leftOut: 0 }
  const tell = (line: number, why: string): void => {
    made.leftOut++
    if (made.problems.length < MOST_TOLD) made.problems.push(`line ${line}: ${why}`)
  }
  let line = 1
  let from = 0
  let first = true
  let beyond = 0
  Papa.parse<string[]>(clean, {
    delimiter: separator,
    step: ({ data, errors, meta }) => {
      const here = line
      const end = meta.cursor
      for (let at = clean.indexOf('\n', from); at >= 0 && at < end; at = clean.indexOf('\n', at + 1)) line++
      from = end
      const columns = data.map((column) => column.replace(/\s+/g, ' ').trim())
      if (!columns.some(Boolean)) return
      if (errors.some(({ type }) => type === 'Quotes'))
        return tell(here, 'a quotation mark is not closed; what follows it is not read')
      if (first) {
        first = false
        const known = columns.length === 2 && columns.every((column) => HEADS.has(column.toLowerCase()))
        if (options.header ?? known) {
          made.header = [columns[0] ?? '', columns[1] ?? '']
          return
        }
      }
      if (made.pairs.length >= room) return void beyond++
      const why = whyNot(columns)
      if (why) return tell(here, why)
      const [a, b] = columns as [string, string | undefined]
      const id = newId(a, ids, 'pair')
      ids.add(id)
      made.pairs.push({
        id,
        name: a.slice(0, LENGTHS.name),
        a: { kind: 'text', text: a },
        ...(b && b !== a ? { b: { kind: 'text' as const, text: b } } : {}),
      })
    },
  })
  if (beyond) {
    made.leftOut += beyond
    made.problems.unshift(
      `${beyond.toLocaleString('en')} rows more than there is room for: a deck holds ${BOUNDS.pairs[1].toLocaleString('en')} pairs`,
    )
  }
  return made
}

function whyNot(columns: readonly string[]): string | null {
  const [a = '', b = ''] = columns
  if (!a) return 'the first column is empty'
  if (columns.slice(2).some(Boolean)) return 'more than two columns'
  if (a.length > LENGTHS.text || b.length > LENGTHS.text) return `longer than ${LENGTHS.text} characters`
  return null
}

/** The sign that parts the columns: of those that occur, the one that stands on most of the first lines. */
function separatorOf(text: string): string {
  const lines = text.split('\n', 50).filter((line) => line.trim())
  const plain = lines.map((line) => line.replace(/"[^"]*"/g, '""'))
  let best = { sign: '\t', lines: 0 }
  for (const sign of SEPARATORS) {
    const count = plain.filter((line) => line.includes(sign)).length
    if (count > best.lines) best = { sign, lines: count }
  }
  return best.sign
}
