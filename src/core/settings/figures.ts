import type { Figure, Settings } from './settings.ts'

/** The rules of a level that decide which figures can be shown. */
export type FigureSettings = {
  head: Pick<Settings['head'], 'figures'>
  clock: Pick<Settings['clock'], 'mode'>
  limits: Pick<Settings['limits'], 'lives'>
  players: Pick<Settings['players'], 'names'>
}

/** The figures that the rules of a level ask for, in the usual order. */
function usual({ clock }: FigureSettings): Figure[] {
  const time: Figure[] = clock.mode === 'off' ? [] : [clock.mode === 'down' ? 'time-left' : 'time-used']
  return [...time, 'turns', 'lives', 'score']
}

/**
 * Whether a level has this figure: no time left without a clock that counts down, no lives without lives; several
 * players have their scores beside their names.
 */
function has({ clock, limits, players }: FigureSettings, figure: Figure): boolean {
  if (figure === 'time-left') return clock.mode === 'down'
  if (figure === 'lives') return limits.lives !== null
  if (figure === 'score' || figure === 'best') return players.names.length === 1
  return true
}

/** The figures at the head of a level's table, in their order. */
export const figuresOf = (told: FigureSettings): Figure[] =>
  (told.head.figures ?? usual(told)).filter((figure) => has(told, figure))
