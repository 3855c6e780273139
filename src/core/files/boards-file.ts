import Papa from 'papaparse'
import { cardOf, NO_CARD, type Card } from '../deck/card.ts'
import { cellName, type Board } from '../board/cells.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { bad, good, type Result } from '../result.ts'

export type BoardFormat = 'json-lines' | 'csv' | 'tokens'
/** Boards that another program dealt, as they were read. */
export type ReadBoards = {
  format: BoardFormat
  board: Board
  /** whether rows and columns were guessed from the number of cells */
  guessed: boolean
  boards: Card[][]
  /** the name of each pair, by its number in the cards */
  names: string[]
  /** whether it is known which cards are twins: not if every card of a board has its own name */
  twinsKnown: boolean
  /** what was left out and why, one line each, and how many lines that were */
  problems: string[]
  leftOut: number
}
export type GivenSize = { rows?: number; columns?: number }

type BoardRow = { line: number; cells: (string | null)[]; rows?: number; columns?: number }
const MOST_TOLD = 20
const MOST_CELLS = BOUNDS.cards[1]
const MOST_NAMES = BOUNDS.pairs[1]

/**
 * Boards from text: JSON lines (objects with `cells`, or arrays), CSV with a board a row, or a board a line of any
 * words separated by spaces; a line without blanks is taken letter by letter. null, and an empty field of a CSV, is a
 * gap. Names that end in /a and /b are the two faces of a related pair. Boards that do not fit the others are left out
 * and reported with their line. A problem if no board is left.
 */
export function readBoards(text: string, wantedSize: GivenSize = {}): Result<ReadBoards> {
  const problems: string[] = []
  let leftOut = 0
  const tell = (line: number, why: string): void => {
    leftOut++
    if (problems.length < MOST_TOLD) problems.push(`line ${line}: ${why}`)
  }
  const clean = text.replace(/^\ufeff/, '')
  const format = formatOf(clean)
  if (!format) return bad('', 'no boards: the text is empty')
  const rows = ROWS[format](clean, tell)
  const length = commonest(rows.map(({ cells }) => cells.length)) ?? 0
  const sized = rows.filter(({ cells, line }) => {
    if (cells.length !== length) tell(line, `${cells.length} cells, where most boards have ${length}`)
    return cells.length === length
  })
  if (length > MOST_CELLS)
    return bad(`line ${sized[0]!.line}`, `${length} cells; at most ${MOST_CELLS} can be measured`)
  const gapsOf = ({ cells }: BoardRow): string =>
    cells.flatMap((name, i) => (name === null ? [i] : [])).join()
  const gaps = commonest(sized.map(gapsOf))
  const alikeBoards = sized.filter((row) => {
    const same = gapsOf(row) === gaps
    if (!same) tell(row.line, 'its gaps are not where most boards have them')
    return same
  })
  if (!alikeBoards.length) return bad('', problems[0] ?? 'no boards found')
  const size = sizeOf(length, wantedSize, alikeBoards[0]!)
  if (!size.ok) return size
  const { rows: r, columns: c, guessed } = size.value
  const holes = gaps === '' || gaps === undefined ? [] : gaps.split(',').map((i) => cellName(Number(i), c))
  if (length - holes.length < BOUNDS.cards[0])
    return bad(`line ${alikeBoards[0]!.line}`, 'fewer than two cards')
  const named = nameCards(alikeBoards)
  if (named.names.length > MOST_NAMES)
    return bad('', `${named.names.length} different names; at most ${MOST_NAMES} can be told apart`)
  return good({ format, board: { rows: r, columns: c, gaps: holes }, guessed, ...named, problems, leftOut })
}

function formatOf(text: string): BoardFormat | null {
  const first = /\S/.exec(text)?.[0]
  if (!first) return null
  if (first === '{' || first === '[') return 'json-lines'
  const line = text.slice(text.indexOf(first)).split(/\r?\n/, 1)[0]!
  return /[,;\t]/.test(line) ? 'csv' : 'tokens'
}

const word = (value: unknown): string | null => {
  if (value === null) return null
  if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean')
    return String(value)
  throw new Error('a cell is neither text, number nor null')
}

const ROWS: Record<BoardFormat, (text: string, tell: (line: number, why: string) => void) => BoardRow[]> = {
  'json-lines': (text, tell) =>
    text.split(/\r?\n/).flatMap((line, i): BoardRow[] => {
      if (!line.trim()) return []
      let value: unknown
      try {
        value = JSON.parse(line)
      } catch (error) {
        tell(i + 1, `not JSON (${(error as Error).message})`)
        return []
      }
      const object = Array.isArray(value) ? { cells: value } : (value as { cells?: unknown } | null)
      const { cells, rows, columns } = (object ?? {}) as {
        cells?: unknown
        rows?: unknown
        columns?: unknown
      }
      if (!Array.isArray(cells)) {
        tell(i + 1, 'not a list of cells')
        return []
      }
      try {
        const nested = cells.length > 0 && cells.every(Array.isArray)
        return [
          {
            line: i + 1,
            cells: (nested ? (cells as unknown[][]).flat() : cells).map(word),
            ...(nested ? { rows: cells.length } : {}),
            ...(typeof rows === 'number' ? { rows } : {}),
            ...(typeof columns === 'number' ? { columns } : {}),
          },
        ]
      } catch (error) {
        tell(i + 1, (error as Error).message)
        return []
      }
    }),
  csv: (text, tell) => {
    const rows: BoardRow[] = []
    let line = 1
    Papa.parse<string[]>(text, {
      step: ({ data, errors, meta }) => {
        const torn = errors.find(({ type }) => type === 'Quotes')
        if (torn) tell(line, 'a quotation mark is not closed; what follows it is not read')
        else if (data.some((cell) => cell.trim()))
          rows.push({ line, cells: data.map((cell) => cell.trim() || null) })
        line = lineAfter(text, meta.cursor)
      },
    })
    return rows
  },
  tokens: (text) =>
    text.split(/\r?\n/).flatMap((line, i): BoardRow[] => {
      const cells = line.trim().split(/\s+/).filter(Boolean)
      if (!cells.length) return []
      return [{ line: i + 1, cells: cells.length > 1 ? cells : Array.from(cells[0]!) }]
    }),
}

/**
 * The number of the line that contains the character at `cursor`. Called with a rising cursor for one text at a time.
 */
const lineAfter = (() => {
  let of = ''
  let at = 0
  let line = 1
  return (text: string, cursor: number): number => {
    if (text !== of || cursor < at) [of, at, line] = [text, 0, 1]
    for (let next = text.indexOf('\n', at); next >= 0 && next < cursor; next = text.indexOf('\n', at)) {
      line++
      at = next + 1
    }
    return line
  }
})()

function commonest<T>(values: readonly T[]): T | undefined {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].reduce<[T | undefined, number]>(
    (best, entry) => (entry[1] > best[1] ? entry : best),
    [undefined, 0],
  )[0]
}

/** Rows and columns as given, as the boards say, or the most even ones that multiply to the number of cells. */
function sizeOf(
  cells: number,
  size: GivenSize,
  textSize: GivenSize,
): Result<{ rows: number; columns: number; guessed: boolean }> {
  const rows =
    size.rows ??
    (size.columns ? cells / size.columns : (textSize.rows ?? (textSize.columns && cells / textSize.columns)))
  if (rows !== undefined) {
    const columns = size.columns ?? cells / rows
    if (!Number.isInteger(rows) || !Number.isInteger(columns) || rows * columns !== cells)
      return bad(
        '',
        `${size.rows ?? textSize.rows ?? '?'} × ${size.columns ?? textSize.columns ?? '?'} does not make ${cells} cells`,
      )
    return good({ rows, columns, guessed: false })
  }
  let best = 1
  for (let r = 1; r * r <= cells; r++) if (cells % r === 0) best = r
  return good({ rows: best, columns: cells / best, guessed: true })
}

/** Cards from names; the two faces of a related pair are recognised by /a and /b at the end of every name. */
function nameCards(rows: readonly BoardRow[]): Pick<ReadBoards, 'boards' | 'names' | 'twinsKnown'> {
  const sided = rows.every(({ cells }) => cells.every((name) => name === null || /.\/[ab]$/.test(name)))
  const pairName = (name: string): string => (sided ? name.slice(0, -2) : name)
  const related = new Set<string>()
  if (sided)
    for (const { cells } of rows)
      for (const name of cells) if (name?.endsWith('/b')) related.add(pairName(name))
  const numbers = new Map<string, number>()
  let repeated = false
  const boards = rows.map(({ cells }) => {
    const here = new Set<number>()
    return cells.map((name) => {
      if (name === null) return NO_CARD
      const pair = pairName(name)
      const number = numbers.get(pair) ?? numbers.size
      numbers.set(pair, number)
      if (here.has(number)) repeated = true
      here.add(number)
      return cardOf(number, sided && name.endsWith('/b') ? 'b' : 'a', related.has(pair))
    })
  })
  return { boards, names: [...numbers.keys()], twinsKnown: repeated }
}
