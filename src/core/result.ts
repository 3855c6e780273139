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
