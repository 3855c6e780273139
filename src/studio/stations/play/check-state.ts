import { passed, type Checked } from '../../../core/game/check.ts'

/** How a check stands: not run yet, as expected, or not. */
export const stateOf = (checked: Checked | undefined): 'waits' | 'holds' | 'fails' =>
  !checked ? 'waits' : passed(checked) ? 'holds' : 'fails'
