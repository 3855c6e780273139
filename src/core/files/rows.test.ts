import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import Papa from 'papaparse'
import { csvCell, rowsCsv } from './rows.ts'

test('no text in a CSV is taken for a formula, and each is read back as it was', () => {
  const text = fc.oneof(
    fc.string(),
    fc.constantFrom('=1+1', '+1', '-1', '@x', '\t=1', "'=1", "''-1", "'", '−1', ''),
  )
  fc.assert(
    fc.property(fc.array(fc.record({ a: text, b: text }), { minLength: 1 }), (rows) => {
      const { data } = Papa.parse<{ a: string; b: string }>(rowsCsv(rows), {
        header: true,
        skipEmptyLines: true,
      })
      const cells = data.flatMap(({ a, b }) => [a, b])
      for (const cell of cells) expect(cell).not.toMatch(/^[=+\-@\t\r]/)
      expect(cells.map(csvCell)).toEqual(rows.flatMap(({ a, b }) => [a, b]))
    }),
  )
})

test('numbers stay numbers', () => expect(rowsCsv([{ x: -5, y: 0.5 }])).toBe('x,y\r\n-5,0.5\r\n'))
