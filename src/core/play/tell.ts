import type { Event, Happening } from './events.ts'
import type { Round } from './round.ts'

/** Adds to the list of events, with the time and the phase. Call it only if somebody listens: events cost time. */
export function tell(round: Round, what: Happening): void {
  round.events!.push({ at: round.at, phase: round.phase, ...what } as Event)
}
