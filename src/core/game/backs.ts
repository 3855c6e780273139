import type { Back } from '../settings/back.ts'
import type { Settings } from '../settings/settings.ts'
import type { Game } from './game.ts'

/** The back of the cards on a level: its own, or that of the deck. In: the game and the level's resolved settings. */
export const backOf = ({ deck }: Pick<Game, 'deck'>, { look }: Pick<Settings, 'look'>): Back =>
  look.back ?? deck.back

/** Every back that a game says, with its place: that of the deck, then those of the house rules and of levels. */
export function backsOf({ deck, house, levels }: Game): { back: Back; at: string }[] {
  const rungs = [
    { own: house.look.back, at: 'house' },
    ...levels.map(({ look }, i) => ({ own: look?.back, at: `levels[${i}]` })),
  ]
  return [
    { back: deck.back, at: 'deck.back' },
    ...rungs.flatMap(({ own, at }) => (own ? [{ back: own, at: `${at}.look.back` }] : [])),
  ]
}
