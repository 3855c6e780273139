/** What can go wrong by a user's doing is returned as a value that names the place and what is wrong there. */
export type Problem = { at: string; message: string }
export type Result<T, P = Problem> = { ok: true; value: T } | { ok: false; problem: P }

export const good = <T>(value: T): { ok: true; value: T } => ({ ok: true, value })
export const bad = (at: string, message: string): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { at, message },
})

/** A problem in one line: "levels[0].board.rows: at most 20". */
export const problemLine = (problem: Problem): string =>
  problem.at ? `${problem.at}: ${problem.message}` : problem.message

/** So many characters of what somebody wrote are repeated in a message. */
const QUOTED = 80

/** Text as a message may hold it: cut before it is put into words, however long it is. */
export const cut = (text: string): string => (text.length > QUOTED ? `${text.slice(0, QUOTED)}…` : text)

/** Text in quotation marks, as a message quotes it. */
export const quoted = (text: string): string => `"${cut(text)}"`

/** Any JSON value as a message quotes it; of lists and objects only their kind where they are long. */
export function quotedValue(value: unknown): string {
  if (typeof value === 'string') return quoted(value)
  if (typeof value !== 'object' || value === null) return String(value)
  const { length } = Array.isArray(value) ? value : Object.keys(value)
  const kind = `${Array.isArray(value) ? 'a list' : 'an object'} of ${length}`
  if (length > QUOTED) return kind
  try {
    return cut(JSON.stringify(value, briefly))
  } catch {
    // nested too deeply to be written
    return kind
  }
}
const briefly = (_key: string, value: unknown): unknown => (typeof value === 'string' ? cut(value) : value)
