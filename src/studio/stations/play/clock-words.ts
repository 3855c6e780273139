import { isLocked } from '../../../core/play/clock.ts'
import { isWaitingForButton, isWaitingForPress } from '../../../core/play/machine.ts'
import { NEVER, type Round } from '../../../core/play/round.ts'
import { seconds } from '../../parts/look/seconds.ts'

/** What the round is waiting for, in words: "locked for 0.6 s more". */
export function clockDueIn(round: Round): string {
  if (round.phase === 'lost') return `by ${round.lostBy}`
  if (isWaitingForButton(round)) return 'locked until the button'
  if (isWaitingForPress(round)) return 'until the next press'
  if (round.dueAt === NEVER || (round.phase !== 'judged' && round.phase !== 'first-look')) return ''
  const remaining = seconds(Math.max(0, round.dueAt - round.at))
  return round.phase === 'judged' && isLocked(round) ? `locked for ${remaining}` : remaining
}
