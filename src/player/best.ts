import type { RoundResult } from '../core/play/result.ts'

/** The best results of each level, kept in the player's own browser. */
export type Best = Record<string, { stars: number | null; score: number; turns: number; time: number }>
export type Keep = { read(): string | null; write(text: string): void }

/** Keeps text under a key in localStorage; if that is refused, nothing is kept and nothing breaks. */
export function keepUnder(key: string): Keep {
  return {
    read() {
      try {
        return localStorage.getItem(key)
      } catch {
        return null
      }
    },
    write(text) {
      try {
        localStorage.setItem(key, text)
      } catch {
        // a private window or a full store: the game goes on without
      }
    },
  }
}

export function readBest(keep: Keep | null): Best {
  try {
    const value: unknown = JSON.parse(keep?.read() ?? '{}')
    return typeof value === 'object' && value !== null ? (value as Best) : {}
  } catch {
    return {}
  }
}

/** Adds a won round. Out: whether it beats the stored result: by stars, then score, then turns. */
export function keepBest(keep: Keep | null, level: string, result: RoundResult): boolean {
  if (!keep || result.outcome !== 'won') return false
  const best = readBest(keep)
  const { stars, score, turns, timeUsed: time } = result
  const old = best[level]
  const better =
    !old ||
    (stars ?? 0) - (old.stars ?? 0) > 0 ||
    ((stars ?? 0) === (old.stars ?? 0) && (score > old.score || (score === old.score && turns < old.turns)))
  if (better) keep.write(JSON.stringify({ ...best, [level]: { stars, score, turns, time } }))
  return better && old !== undefined
}
