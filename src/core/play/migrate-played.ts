/** A game played before version 3 of the record format, as read from a file; nothing in it is checked yet. */
export type OldPlayed = { story?: unknown; expect?: unknown } & Record<string, unknown>
/** The settings of its level, as far as they are known. */
export type OldRules = {
  turn: { firstLook?: unknown }
  score: { lucky?: unknown; miss?: unknown; slip?: unknown; floorAtZero?: unknown; stars?: unknown }
}

/**
 * Brings a game played before version 3 up to date: after a first look, matches that were called lucky become glimpsed, and get no points for luck.
 * Expectations that cannot be converted are left out: the score if it may have been stopped at zero on the way, and stars by that score.
 */
export function migratePlayed(played: OldPlayed, { turn, score }: OldRules): OldPlayed {
  if (!(Number(turn.firstLook) > 0)) return played
  const bonus = Number(score.lucky ?? 0)
  const { story, expect } = played
  const told = Array.isArray(story)
    ? story.map((line: unknown) =>
        typeof line === 'string' ? line.replace(/ lucky \+?(\d+)$/, glimpsed) : line,
      )
    : story
  function glimpsed(_: string, points: string): string {
    const left = Number(points) - bonus
    return ` glimpsed ${left === 0 ? '0' : `+${left}`}`
  }
  return {
    ...played,
    ...(story === undefined ? {} : { story: told }),
    ...(typeof expect === 'object' && expect !== null
      ? { expect: migrateExpect(expect as Record<string, unknown>, bonus, score) }
      : {}),
  }
}

function migrateExpect(expect: Record<string, unknown>, bonus: number, rules: OldRules['score']): object {
  const { lucky, score, stars, ...rest } = expect
  if (lucky === undefined && bonus === 0) return expect
  const isFloored = rules.floorAtZero !== false && (Number(rules.miss) > 0 || Number(rules.slip) > 0)
  const canTell = bonus === 0 || (!isFloored && typeof lucky === 'number')
  const starsHold = bonus === 0 || (rules.stars as { by?: unknown } | null)?.by !== 'score'
  return {
    ...rest,
    ...(lucky === undefined ? {} : { lucky: 0, glimpsed: lucky }),
    ...(score !== undefined && canTell ? { score: Number(score) - (bonus && bonus * Number(lucky)) } : {}),
    ...(stars !== undefined && starsHold ? { stars } : {}),
  }
}
