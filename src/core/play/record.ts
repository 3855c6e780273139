import { z } from 'zod'
import { arrangedCells } from '../deal/arranged.ts'
import { prepareDeal, type Cells, type Dealer, type DealProblem } from '../deal/deal.ts'
import { cardNameSchema, idSchema, seedSchema } from '../game/id-schema.ts'
import type { Game, Level } from '../game/game.ts'
import { findLevel, resolveLevel } from '../game/levels.ts'
import { BOUNDS, LENGTHS, type Settings } from '../game/settings.ts'
import { bad, good, quoted, type Result } from '../result.ts'
import { REASONS, type Input } from './events.ts'
import type { RoundResult } from './result.ts'
import { NEVER } from './round.ts'

/** Played games: what was dealt and pressed, and what should come of it. */

const time = z
  .int()
  .min(0)
  .max(NEVER - 1)
const count = z.int().min(0)
export const inputSchema = z.discriminatedUnion('do', [
  z.strictObject({ at: time, do: z.literal('press'), cell: z.int() }),
  z.strictObject({ at: time, do: z.enum(['turn-back', 'pause', 'resume']) }),
])

export const expectSchema = z.strictObject({
  outcome: z.enum(['won', 'lost', 'open']).optional(),
  lostBy: z.enum(['lives', 'turns', 'clock']).nullable().optional(),
  turns: count.optional(),
  flips: count.optional(),
  matches: count.optional(),
  misses: count.optional(),
  found: count.optional(),
  lucky: count.optional(),
  slips: count.optional(),
  fresh: count.optional(),
  longestStreak: count.optional(),
  score: z.int().optional(),
  stars: z.int().min(0).max(3).nullable().optional(),
  lives: z.int().min(0).max(BOUNDS.lives[1]).nullable().optional(),
  timeUsed: count.optional(),
  refused: z.partialRecord(z.enum(REASONS), count).optional(),
  players: z
    .array(z.strictObject({ matches: count, misses: count, score: z.int() }))
    .max(BOUNDS.players[1])
    .optional(),
})

export const playedShape = {
  level: idSchema,
  seed: seedSchema,
  deal: z.array(cardNameSchema.nullable()).max(BOUNDS.cards[1]).optional(),
  inputs: z.array(z.unknown()).max(BOUNDS.inputs[1]).pipe(z.array(inputSchema).max(BOUNDS.inputs[1])),
  until: time.optional(),
  story: z.array(z.string().max(LENGTHS.text)).max(BOUNDS.inputs[1]).optional(),
}
/** Inputs may not run backwards in time; the message names the first that does. */
export function inOrder(played: {
  inputs: readonly Input[]
  until?: number
}): { at: string; message: string } | null {
  let before = 0
  for (const [i, { at }] of played.inputs.entries()) {
    if (at < before)
      return { at: `inputs[${i}].at`, message: `${at} is before the input in front of it (${before})` }
    before = at
  }
  if (played.until !== undefined && played.until < before)
    return { at: 'until', message: `${played.until} is before the last input (${before})` }
  return null
}

export const checkSchema = z
  .strictObject({
    id: idSchema,
    name: z.string().min(1).max(LENGTHS.name),
    ...playedShape,
    expect: expectSchema,
  })
  .superRefine((check, context) => {
    const wrong = inOrder(check as Check)
    if (wrong) context.addIssue({ code: 'custom', path: wrong.at.split(/[.[\]]+/), message: wrong.message })
  }) as unknown as z.ZodType<Check>

/**
 * A game that was played: the level, its seed (and the deal itself, card by card, where no seed gives it), the inputs with their
 * times in ms, and how long time passed after them. `story` is what each turn came to, as `storyOf` tells it.
 */
export type Played = {
  level: string
  seed: string
  deal?: (string | null)[]
  inputs: Input[]
  until?: number
  story?: string[]
}
/** The same as a file of its own; with `expect` it says what must come of it. */
export type PlayRecord = Played & { game: string; expect?: Partial<RoundResult> }
/** The same kept in the game, to be run again after every change. */
export type Check = Played & { id: string; name: string; expect: Partial<RoundResult> }

type Prepared = { house: Settings; pairs: Game['deck']['pairs']; dealer: Result<Dealer, DealProblem> }
const prepared = new WeakMap<Level, Prepared>()

/** A level's dealer, made once for as long as that level, the house rules and the deck are the same values: a game may have a thousand checks. */
function dealerOf({ house, deck }: Game, level: Level, rules: Settings): Prepared['dealer'] {
  const kept = prepared.get(level)
  if (kept?.house === house && kept.pairs === deck.pairs) return kept.dealer
  const dealer = prepareDeal(deck.pairs, rules)
  prepared.set(level, { house, pairs: deck.pairs, dealer })
  return dealer
}

/**
 * The board and the rules of a played game, as the game's level stands now. What can go wrong: the level is not there, or cannot be
 * dealt, or the deal that was kept does not fit it.
 */
export function tableOf(
  game: Game,
  played: Pick<Played, 'level' | 'seed' | 'deal'>,
): Result<{ rules: Settings; cells: Cells }> {
  const level = findLevel(game, played.level)
  if (!level) return bad('level', `no level ${quoted(played.level)} in this game`)
  const rules = resolveLevel(game, level)
  if (played.deal) {
    const cells = arrangedCells(game.deck.pairs, rules.board, played.deal)
    return cells.ok ? good({ rules, cells: cells.value }) : bad('deal', cells.problem.message)
  }
  const dealer = dealerOf(game, level, rules)
  if (!dealer.ok) return bad(dealer.problem.at, dealer.problem.message)
  return good({ rules, cells: dealer.value.deal(played.seed) })
}
