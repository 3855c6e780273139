import { resolveLevel, type Level, type Own } from './levels.ts'
import { READY_MINDS, type Mind } from './mind.ts'
import type { Settings } from './settings.ts'

/** The part of a game that says who may sit at its tables. */
type Sitting = { house: Settings; levels: readonly Level[]; minds?: readonly Mind[] }

/** The minds of a game: those that every game has, then its own. */
export const mindsOf = ({ minds = [] }: { minds?: readonly Mind[] }): Mind[] => [...READY_MINDS, ...minds]

/**
 * Who plays each seat, in turn: a mind, or null for a person. At a table of nothing but minds the first seat goes to a
 * person. In: a level's resolved settings and the minds to choose from; an unknown mind gives its seat to a person.
 */
export function seatMinds({ players }: Pick<Settings, 'players'>, minds: readonly Mind[]): (Mind | null)[] {
  const seats = players.names.map((_, seat) => {
    const id = players.minds[seat]
    return minds.find((mind) => mind.id === id) ?? null
  })
  return seats.includes(null) ? seats : [null, ...seats.slice(1)]
}

/** A game without one of its own minds; its seats go to persons. Returns a new game. */
export function withoutMind<G extends Sitting>(game: G, id: string): G {
  const emptied = <R extends Own>(rules: R): R =>
    rules.players?.minds?.includes(id)
      ? {
          ...rules,
          players: { ...rules.players, minds: rules.players.minds.map((one) => (one === id ? null : one)) },
        }
      : rules
  const { minds = [], ...rest } = game
  const others = minds.filter((mind) => mind.id !== id)
  // all but the minds is as in the game given
  return {
    ...rest,
    ...(others.length ? { minds: others } : {}),
    house: emptied(game.house),
    levels: game.levels.map(emptied),
  } as unknown as G
}

/** The settings of a level for one player, with a mind at the table as a second player. */
export const withRival = (settings: Settings, { id, name }: Mind): Settings => ({
  ...settings,
  players: { ...settings.players, names: [...settings.players.names.slice(0, 1), name], minds: [null, id] },
})

/** Whether somebody who plays this level alone may choose a mind to play against. */
export const mayChooseRival = ({ players }: Settings): boolean =>
  players.offersRival && players.names.length === 1

/** Whether a mind plays, or may play, on any level of a game. */
export const hasRivals = (game: Sitting): boolean =>
  everyTable(game).some(
    (settings) =>
      mayChooseRival(settings) || seatMinds(settings, mindsOf(game)).some((mind) => mind !== null),
  )

/** The ids of the minds that have a seat on any level of a game, or may be given one. */
export function seatedMinds(game: Sitting): Set<string> {
  const minds = mindsOf(game)
  const tables = everyTable(game)
  if (tables.some(mayChooseRival)) return new Set(minds.map(({ id }) => id))
  return new Set(tables.flatMap((settings) => seatMinds(settings, minds).flatMap((mind) => mind?.id ?? [])))
}

const everyTable = (game: Sitting): Settings[] => game.levels.map((level) => resolveLevel(game, level))
