import type { Measure } from '../../../core/odds/games.ts'

/** What the games of a level are laid out by. */
export const AXES = ['time', 'turns', 'score', 'stars'] as const satisfies readonly Measure[]
export type Axis = (typeof AXES)[number]
