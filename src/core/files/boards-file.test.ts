import { describe, expect, test } from '@jest/globals'
import { cardsMatch } from '../deck/card.ts'
import { readBoards, type ReadBoards } from './boards-file.ts'

const readOf = (text: string, size = {}): ReadBoards => {
  const read = readBoards(text, size)
  if (!read.ok) throw new Error(read.problem.message)
  return read.value
}
/** The boards again as the names of their pairs. */
const named = ({ boards, names }: ReadBoards): (string | null)[][] =>
  boards.map((cells) => cells.map((card) => (card < 0 ? null : names[card >> 2]!)))

describe('boards are read', () => {
  test.each([
    [
      'our own deals',
      '{"level":"x","seed":"s","rows":2,"columns":2,"cells":["k/a","c/a","k/b","c/a"]}',
      'json-lines',
      false,
    ],
    ['arrays', '[1,2,2,1]\n\n[2,1,2,1]\n', 'json-lines', true],
    ['arrays of rows', '[["x","y"],["y","x"]]', 'json-lines', false],
    ['CSV', '\ufeffA,B,B,A\r\nB,B,A,A\r\n', 'csv', true],
    ['semicolons and quotes', '"a;1";b;b;"a;1"', 'csv', true],
    ['tabs', 'x\ty\ty\tx', 'csv', true],
    ['words', 'sun moon moon sun', 'tokens', true],
    ['letters', 'ABBA\nBABA', 'tokens', true],
  ])('%s', (_, text, format, guessed) => {
    const read = readOf(text)
    expect(read).toMatchObject({ format, guessed, problems: [], board: { rows: 2, columns: 2 } })
    expect(read.names).toHaveLength(2)
  })
  test('gaps are kept, by null and by empty fields', () => {
    expect(readOf('[1,null,1,2,null,2]', { rows: 2 }).board).toEqual({
      rows: 2,
      columns: 3,
      gaps: ['B1', 'B2'],
    })
    expect(readOf('a,,a\nb,,b', { rows: 1 })).toMatchObject({
      board: { gaps: ['B1'] },
      boards: [
        [0, -1, 0],
        [4, -1, 4],
      ],
    })
  })
  test('the two faces of a related pair match each other and not themselves', () => {
    const [[one, two, three]] = readOf('k/a k/b k/a k/b').boards as [number[]]
    expect(cardsMatch(one!, two!)).toBe(true)
    expect(cardsMatch(one!, three!)).toBe(false)
  })
  test('where every card has a name of its own, twins are not known', () => {
    expect(readOf('1 2 3 4\n4 3 2 1')).toMatchObject({ twinsKnown: false })
  })
  test('rows and columns that are given or said go before a guess', () => {
    const line = JSON.stringify({ rows: 3, columns: 4, cells: [...'AABBCCDDEEFF'] })
    expect(readOf(line)).toMatchObject({ guessed: false, board: { rows: 3, columns: 4 } })
    expect(readOf(line, { rows: 2 })).toMatchObject({ board: { rows: 2, columns: 6 } })
    expect(readOf('AABBCCDDEEFF', { columns: 2 })).toMatchObject({ board: { rows: 6, columns: 2 } })
  })
})

describe('what is wrong is told with its line, and the rest is taken', () => {
  test.each([
    ['boards of other lengths', 'A,A,B,B\nA,B\nB,B,A,A', ['line 2: 2 cells, where most boards have 4']],
    [
      'gaps elsewhere',
      'A,A,,B,B\nA,A,B,,B\nA,B,,A,B',
      ['line 2: its gaps are not where most boards have them'],
    ],
    ['torn JSON', '[1,1]\n[1,\n[1,1]', ['line 2: not JSON']],
    [
      'no cells',
      '{"cells":[1,1]}\n{"level":"x"}\n7',
      ['line 2: not a list of cells', 'line 3: not a list of cells'],
    ],
    ['an odd cell', '[1,1]\n[1,{}]', ['line 2: a cell is neither text, number nor null']],
    [
      'a torn quotation mark',
      'A,A\nB,B\n"A,A\nB,B',
      ['line 3: a quotation mark is not closed; what follows it is not read'],
    ],
  ])('%s', (_, text, problems) => {
    const read = readOf(text)
    expect(read.problems.map((line) => line.replace(/ \(.*/, ''))).toEqual(problems)
    expect(read.leftOut).toBe(problems.length)
    expect(named(read).length).toBeGreaterThan(0)
  })
  test('many such lines are counted, and the first of them told', () => {
    const read = readOf('A A B B\n'.repeat(40) + 'A\n'.repeat(30))
    expect(read.problems).toHaveLength(20)
    expect(read.leftOut).toBe(30)
    expect(read.boards).toHaveLength(40)
  })
  test.each([
    ['', 'no boards: the text is empty'],
    [' \n\n', 'no boards: the text is empty'],
    ['{"a":1}', 'line 1: not a list of cells'],
    ['A', 'fewer than two cards'],
    ['A '.repeat(402), '402 cells; at most 400 can be measured'],
    [
      Array.from({ length: 26 }, (_, i) => Array.from({ length: 40 }, (_, j) => i * 40 + j).join(' ')).join(
        '\n',
      ),
      '1040 different names; at most 1000 can be told apart',
    ],
  ])('%.20j is refused', (text, message) => {
    expect(readBoards(text)).toMatchObject({ ok: false, problem: { message } })
  })
  test('a size that does not fit the cells is refused', () => {
    expect(readBoards('A A B B', { rows: 3 })).toMatchObject({
      problem: { message: '3 × ? does not make 4 cells' },
    })
  })
})
