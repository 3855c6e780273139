import { passed, type Checked } from '../../../core/game/check.ts'

/** The state of a check: not run yet, as expected, or not. */
export const stateOf = (checked: Checked | undefined): 'waits' | 'holds' | 'fails' =>
  !checked ? 'waits' : passed(checked) ? 'holds' : 'fails'
