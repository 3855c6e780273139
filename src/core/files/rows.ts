import Papa from 'papaparse'

/**
 * A table as text. In: its rows, each with the same keys in the same order; or plain lists of cells, without a header.
 */

/** What a spreadsheet takes for a formula (OWASP, CSV Injection), and what is written in front of it. */
const FORMULA = /^'*[=+\-@\t\r]/
const WRITTEN = /^'(?='*[=+\-@\t\r])/

/**
 * As CSV, with the keys as a header (RFC 4180, lines end with CR LF). A text that a spreadsheet would take for a formula
 * gets a ' in front; `csvCell` takes it away again.
 */
export const rowsCsv = (rows: readonly object[]): string =>
  `${Papa.unparse([...rows], { escapeFormulae: FORMULA })}\r\n`

/** A cell of a CSV that we wrote, as it was. */
export const csvCell = (text: string): string => text.replace(WRITTEN, '')

/** As a JSON array, a row a line. */
export const rowsJson = (rows: readonly object[]): string =>
  `[\n${rows.map((row) => `  ${JSON.stringify(row)}`).join(',\n')}\n]\n`
