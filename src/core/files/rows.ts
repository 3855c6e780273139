import Papa from 'papaparse'

/**
 * A table as text. In: its rows, each with the same keys in the same order; or plain lists of cells, without a header.
 */

/** As CSV, with the keys as a header (RFC 4180, lines end with CR LF). */
export const rowsCsv = (rows: readonly object[]): string => `${Papa.unparse([...rows])}\r\n`

/** As a JSON array, a row a line. */
export const rowsJson = (rows: readonly object[]): string =>
  `[\n${rows.map((row) => `  ${JSON.stringify(row)}`).join(',\n')}\n]\n`
