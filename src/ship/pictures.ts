import { backsOf } from '../core/game/backs.ts'
import type { Game } from '../core/game/game.ts'
import { bad, good, type Result } from '../core/result.ts'

/** The names of all library pictures on the faces and the backs of a game and behind its cards, each once. */
export function picturesOf(game: Game): string[] {
  const faces = game.deck.pairs.flatMap((pair) => (pair.b ? [pair.a, pair.b] : [pair.a]))
  const emblems = backsOf(game).map(({ back }) => back.emblem)
  const behind = [game.house, ...game.levels].map(({ look }) => look?.behind)
  const pictures = [...faces, ...emblems, ...behind]
  return [...new Set(pictures.flatMap((one) => (one?.kind === 'picture' ? [one.name] : [])))]
}

/** Where a picture that is on no face is shown. */
function placeOf(game: Game, name: string): string {
  const shows = (one: { kind: string; name?: string } | null | undefined): boolean => one?.name === name
  if (shows(game.house.look.behind)) return 'house.look.behind'
  const at = game.levels.findIndex(({ look }) => shows(look?.behind))
  if (at >= 0) return `levels[${at}].look.behind`
  return `${backsOf(game).find(({ back }) => shows(back.emblem))!.at}.emblem`
}

const SVG_URL = 'data:image/svg+xml,'
/** The drawings of pictures as SVG, by name, from their data URLs, as `gatherArt` gives them. */
export const svgsOf = (art: Record<string, string>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(art).map(([name, url]) => [name, decodeURIComponent(url.slice(SVG_URL.length))]),
  )

/** A picture of the library as a whole SVG, from its drawing. All are 32 × 32. */
export const pictureSvg = (body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32">${body}</svg>`

/**
 * The pictures of a game as data URLs by name. In: `find`, which gives the SVG text of a name, or null if the library
 * has no such picture. A problem names the first face that asks for one.
 */
export async function gatherArt(
  game: Game,
  find: (name: string) => Promise<string | null>,
): Promise<Result<Record<string, string>>> {
  const art: Record<string, string> = {}
  for (const name of picturesOf(game)) {
    const svg = await find(name)
    if (svg === null) {
      const at = game.deck.pairs.findIndex(({ a, b }) =>
        [a, b].some((face) => face?.kind === 'picture' && face.name === name),
      )
      return bad(at < 0 ? placeOf(game, name) : `deck.pairs[${at}]`, `the library has no picture "${name}"`)
    }
    art[name] = `${SVG_URL}${encodeURIComponent(svg)}`
  }
  return good(art)
}
