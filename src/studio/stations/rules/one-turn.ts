import { cardOf } from '../../../core/deck/card.ts'
import type { Game } from '../../../core/game/game.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import type { OneTurn } from '../../../player/one-turn.ts'
import { writeNumber } from '../../parts/settings/numbers.ts'

/**
 * One turn as the Rules station shows it, drawn to scale and played with two cards; times in ms since the first flip.
 */

/** How long the player takes to find the twin, and waits after a turn. */
const BETWEEN = 900
const AFTER = 700
/** When the second card is pressed. */
export const secondFlip = ({ flipTime }: Settings['look']): number => flipTime + BETWEEN
/** Before the first flip the two cards rest for a moment. */
export const LEAD = 500

/** `over`: how much of it, from its beginning on, lies under the part before. */
export type TurnPart = { from: number; long: number; words: string; kind: string; over?: number }

/** The parts of a turn in order, for the strip. */
export function turnParts({ turn, look }: Pick<Settings, 'turn' | 'look'>, match: boolean): TurnPart[] {
  const lookTime = match ? turn.matchLook : turn.missLook
  const { flipTime } = look
  const locked = turn.duringLook === 'wait' || (!match && turn.onMiss === 'button')
  const judged = secondFlip(look)
  const until = judged + lookTime
  const open = !match && turn.onMiss !== 'timed'
  const settling = match ? { stay: '', fade: 'fade', leave: 'leave' }[turn.onMatch] : 'back'
  const waits: TurnPart[] = open
    ? [
        {
          from: until,
          long: AFTER,
          words: turn.onMiss === 'press' ? 'until the next press' : 'until the button',
          kind: turn.onMiss === 'button' ? 'open locked' : 'open',
        },
      ]
    : []
  const settled = until + (open ? AFTER : 0)
  const over = settling ? flipTime : 0
  return [
    { from: 0, long: flipTime, words: 'flip', kind: 'first' },
    { from: flipTime, long: BETWEEN, words: 'the player looks for the twin', kind: 'free' },
    {
      from: judged,
      long: lookTime,
      words: `both stay open ${writeNumber(lookTime, 'seconds')}`,
      kind: `${match ? 'match' : 'miss'}${locked ? ' locked' : ''}`,
    },
    ...waits,
    ...(settling ? [{ from: settled, long: over, words: settling, kind: 'settle' }] : []),
    { from: settled, long: over + AFTER, words: 'next press', kind: 'next', over },
  ]
}

/** From when to when missed cards move, if they do; it is within the look time, or is cut short by its end. */
export function missMotion({ look }: Pick<Settings, 'look'>): { from: number; long: number } | null {
  const long = look.missTime * look.missMoves
  return look.missMotion === 'none' || long === 0
    ? null
    : { from: secondFlip(look) + 0.9 * look.flipTime, long }
}

/** When all parts of a turn have ended. */
export const turnEnd = (parts: readonly TurnPart[]): number =>
  Math.max(...parts.map(({ from, long }) => from + long))

/** The presses of a match and of a miss by these rules; a deck of one pair has no miss. */
export function oneTurns(game: Game, settings: Settings): OneTurn[] {
  const { turn, look } = settings
  const [one, other] = game.deck.pairs
  if (!one) return []
  const related = one.b !== undefined
  const first = cardOf(0, 'a', related)
  const twin = cardOf(0, related ? 'b' : 'a', related)
  const stranger = cardOf(1, 'a', other?.b !== undefined)
  const play = (match: boolean): OneTurn => {
    const parts = turnParts(settings, match)
    const inputs: OneTurn['inputs'] = [
      { at: LEAD, do: 'press', cell: 0 },
      { at: LEAD + secondFlip(look), do: 'press', cell: 1 },
    ]
    const settled = LEAD + secondFlip(look) + turn.missLook + AFTER
    const back: OneTurn['inputs'] =
      match || turn.onMiss === 'timed'
        ? []
        : [turn.onMiss === 'press' ? { at: settled, do: 'press', cell: 0 } : { at: settled, do: 'turn-back' }]
    return {
      cells: [first, match ? twin : stranger],
      inputs: [...inputs, ...back],
      until: LEAD + turnEnd(parts),
    }
  }
  return other ? [play(true), play(false)] : [play(true)]
}

/** The open game as one level of two cells, played by these rules alone: no first look, no clock, nothing to lose. */
export function twoCards(game: Game, settings: Settings): Game {
  return {
    ...game,
    house: {
      ...settings,
      board: { rows: 1, columns: 2, gaps: [] },
      fill: { use: 'all', pick: 'first', repeat: 'evenly', counts: {} },
      deal: { ...settings.deal, way: 'shuffled' },
      turn: { ...settings.turn, firstLook: 0 },
      clock: { ...settings.clock, mode: 'off' },
      limits: { ...settings.limits, lives: null, turns: null },
      look: { ...settings.look, behind: null },
    },
    levels: [{ id: 'one-turn', name: 'One turn' }],
  }
}
