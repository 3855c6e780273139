import type { Dealer } from '../../core/deal/deal.ts'
import { draw } from '../../core/deal/draw.ts'
import { streamOf, type Stream } from '../../core/deal/seed.ts'
import { twinFace, faceIndex } from '../../core/deck/card.ts'
import { cardNames } from '../../core/deck/card-name.ts'
import type { Pair } from '../../core/deck/pair.ts'
import type { Event, Input } from '../../core/play/events.ts'
import { advance, apply } from '../../core/play/machine.ts'
import { newRound } from '../../core/play/new-round.ts'
import { resultOf, type RoundResult } from '../../core/play/result.ts'
import { isOver, type Round } from '../../core/play/round.ts'
import type { Settings } from '../../core/settings/settings.ts'

/** A game to prove other rules by: what was dealt and pressed, all that happened, and the result. */
export type TestGame = {
  level: string
  seed: string
  cells: (string | null)[]
  inputs: Input[]
  until: number
  events: readonly Event[]
  result: RoundResult
}

/** In percent: how often a known pair is taken, a rare input is made, a press goes anywhere. */
const OFTEN = { pair: 55, rare: 6, anywhere: 12 } as const
/** ms: the longest wait before an input, and how long time passes after the last. */
const WAIT = { most: 1800, after: 120_000 } as const
const INPUTS_AT_MOST = 2000

/**
 * A game that uses the rules of a level in every way: matches and misses, presses that are refused, pauses, and cards
 * turned back. The same seed gives the same game. In: the level's id, its resolved settings and its dealer.
 */
export function testGame(
  level: string,
  rules: Settings,
  dealer: Dealer,
  pairs: readonly Pair[],
  seed: string,
): TestGame {
  const cards = dealer.deal(seed)
  const round = newRound(rules, cards)
  const chance = streamOf(seed, 'choosing')
  const inputs: Input[] = []
  while (!isOver(round) && inputs.length < INPUTS_AT_MOST) {
    const at = round.at + draw(chance, WAIT.most)
    for (const input of nextInputs(round, chance, at)) {
      inputs.push(input)
      apply(round, input)
    }
  }
  const until = round.at + WAIT.after
  advance(round, until)
  const events = round.events!
  return { level, seed, cells: cardNames(cards, pairs), inputs, until, events, result: resultOf(round) }
}

function nextInputs(round: Round, chance: Stream, at: number): Input[] {
  if (draw(chance, 100) < OFTEN.rare) {
    if (draw(chance, 2)) return [{ at, do: 'turn-back' }]
    const later = at + draw(chance, WAIT.most)
    return [
      { at, do: 'pause' },
      { at: later, do: 'press', cell: draw(chance, round.cells.length) },
      { at: later, do: 'resume' },
    ]
  }
  const isAnywhere = draw(chance, 100) < OFTEN.anywhere
  const cell = isAnywhere ? draw(chance, round.cells.length) : goodCell(round, chance)
  return [{ at, do: 'press', cell }]
}

/** A card that is face down; often the twin of the one that is up. */
function goodCell(round: Round, chance: Stream): number {
  const down = round.states.flatMap((state, cell) => (state === 'down' ? [cell] : []))
  const open = round.phase === 'one-up' ? round.cells[round.first]! : null
  const twins = open === null ? [] : down.filter((cell) => faceIndex(round.cells[cell]!) === twinFace(open))
  const among = twins.length && draw(chance, 100) < OFTEN.pair ? twins : down
  return among.length ? among[draw(chance, among.length)]! : draw(chance, round.cells.length)
}
