import type { Game } from '../game/game.ts'
import type { Finding } from './finding.ts'

/** Two pairs of a deck, by id, that are easily mistaken for each other; null stands for the back of the cards. */
export type Alike = { one: string | null; other: string }

/**
 * The findings about faces that look alike. In: a game, and which of its pairs do, the most alike first; how faces are
 * compared is described in likeness.ts. Pairs that the game no longer has are ignored.
 */
export function lookAlikeFindings({ deck }: Pick<Game, 'deck'>, alike: readonly Alike[]): Finding[] {
  const names = new Map<string | null, string>(deck.pairs.map(({ id, name }) => [id, name]))
  const findings: Finding[] = []
  const twos = alike.filter(({ one, other }) => names.has(one) && names.has(other))
  const [likest] = twos
  if (likest)
    findings.push({
      severity: 'warns',
      code: 'look-alikes',
      where: { level: null, section: 'deck', key: 'pairs' },
      values: {
        one: names.get(likest.one)!,
        other: names.get(likest.other)!,
        id: likest.other,
        more: twos.length - 1,
      },
    })
  const withBack = alike.find(({ one, other }) => one === null && names.has(other))
  if (withBack)
    findings.push({
      severity: 'warns',
      code: 'back-like-face',
      where: { level: null, section: 'deck', key: 'back' },
      values: { pair: names.get(withBack.other)! },
    })
  return findings
}
