import { passed, type CheckOutcome } from '../../../core/game/check.ts'

/** The state of a check: not run yet, as expected, or not. */
export const stateOf = (checked: CheckOutcome | undefined): 'waits' | 'holds' | 'fails' =>
  !checked ? 'waits' : passed(checked) ? 'holds' : 'fails'
