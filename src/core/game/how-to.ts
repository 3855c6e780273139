import type { Settings } from '../settings/settings.ts'
import type { MessageKey } from '../texts/messages.ts'
import type { Speech } from '../texts/speech.ts'

/**
 * How a level is played: the game's opening line and how to play, in its own words, empty where it has none; what a
 * turn is, what else its rules ask, and what holds on a screen only. `kinds`: what of all that could be new on a level.
 */
export type HowTo = {
  opening: string
  own: string
  turn: string
  rest: string[]
  onScreen: string[]
  kinds: MessageKey[]
}

/** In: a level's resolved settings, whether related pairs lie on the board, and the language. */
export function howToPlay(
  { turn, clock: limits, limits: most, look }: Settings,
  related: boolean,
  { say: sayIt, clock }: Speech,
): HowTo {
  const kinds: MessageKey[] = []
  const say: Speech['say'] = (key, ...values) => {
    kinds.push(key)
    return sayIt(key, ...values)
  }
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
  const turnWords = say(related ? 'playRelated' : 'playTwins')
  return { opening: sayIt('opening'), own: sayIt('howTo'), turn: turnWords, rest, onScreen, kinds }
}
