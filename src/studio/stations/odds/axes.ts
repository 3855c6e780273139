import type { Measure } from '../../../core/odds/games.ts'

/** The axes on which the games of a level can be shown. */
export const AXES = ['time', 'turns', 'score', 'stars'] as const satisfies readonly Measure[]
export type Axis = (typeof AXES)[number]
