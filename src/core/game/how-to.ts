import type { Settings } from '../settings/settings.ts'
import type { Speech } from '../texts/speech.ts'

/**
 * How a level is played: the game's opening line and how to play, in its own words, empty where it has none; what a
 * turn is, what else its rules ask, and what holds on a screen only.
 */
export type HowTo = { opening: string; own: string; turn: string; rest: string[]; onScreen: string[] }

/** In: a level's resolved settings, whether related pairs lie on the board, and the language. */
export function howToPlay(
  { turn, clock: limits, limits: most, look }: Settings,
  related: boolean,
  { say, clock }: Speech,
): HowTo {
  const rest = turn.firstLook > 0 ? [say('playLook', { n: turn.firstLook / 1000 })] : []
  const onScreen: string[] = []
  if (turn.onOpen === 'turn-back') onScreen.push(say('playOpen'))
  if (look.marks !== 'none') onScreen.push(say('playMarks'))
  const ends: string[] = []
  if (limits.mode === 'down') ends.push(say('playClock', { time: clock(limits.limit, true) }))
  if (most.turns !== null) ends.push(say('playTurns', { n: most.turns }))
  if (most.lives !== null)
    ends.push(say(most.livesLostOn === 'miss' ? 'playLives' : 'playSlips', { n: most.lives }))
  if (ends.length) rest.push(ends.join(' '))
  return {
    opening: say('opening'),
    own: say('howTo'),
    turn: say(related ? 'playRelated' : 'playTwins'),
    rest,
    onScreen,
  }
}
