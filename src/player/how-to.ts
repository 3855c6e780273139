import { NO_CARD, pairOf } from '../core/deck/card.ts'
import type { Table } from './table.ts'

/** How the level on the table is played, line by line: in the game's own words, or told from its rules. */
export function howTo({ game, round, settings, speech: { say, clock } }: Table): string[] {
  const opening = say('opening')
  const own = say('howTo')
  const { turn, clock: limits, limits: most } = settings
  const related = round?.cells.some((card) => card !== NO_CARD && game.deck.pairs[pairOf(card)]!.b)
  const told = [say(related ? 'playRelated' : 'playTwins')]
  if (turn.firstLook > 0) told.push(say('playLook', { n: turn.firstLook / 1000 }))
  const ends: string[] = []
  if (limits.mode === 'down') ends.push(say('playClock', { time: clock(limits.limit, true) }))
  if (most.turns !== null) ends.push(say('playTurns', { n: most.turns }))
  if (most.lives !== null)
    ends.push(say(most.livesLostOn === 'miss' ? 'playLives' : 'playSlips', { n: most.lives }))
  if (ends.length) told.push(ends.join(' '))
  return [...(opening ? [opening] : []), ...(own ? [own] : told)]
}
