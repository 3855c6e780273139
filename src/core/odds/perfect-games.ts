import type { Dealer } from '../deal/deal.ts'
import { PERFECT } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import { playGames, SEED, winsOf, type Games, type Playable } from './games.ts'
import { withoutLimits } from './without-limits.ts'
import { decidesWins, winsUnderLimits } from './wins-under-limits.ts'

/** How many games are played on small boards, and on larger ones fewer: about this many pairs in all. */
const GAMES = { most: 200, fewest: 20, pairs: 2000 } as const

export const countFor = ({ pairs }: Dealer): number =>
  Math.max(GAMES.fewest, Math.min(GAMES.most, Math.floor(GAMES.pairs / pairs)))

/**
 * A level as a perfect memory may play it: it meets cards in a shuffled order wherever they lie, so they need not be
 * laid, and the same cards may be used every time, unless chance decides how often pairs repeat.
 */
function quick(settings: Settings, dealer: Dealer): Playable {
  const first = dealer.cards('perfect')
  const { repeat } = settings.fill
  const byChance = repeat === 'at-random' || repeat === 'with-replacement'
  const deal = byChance ? dealer.cards : () => first
  return { settings, dealer: { ...dealer, deal } }
}

const cache = new WeakMap<Dealer, Games>()

/** Games of a perfect memory that nothing ends, kept with the level's dealer. Cost: some ms. */
export function perfectGames(settings: Settings, dealer: Dealer): Games {
  let games = cache.get(dealer)
  if (!games) {
    games = playGames(quick(withoutLimits(settings), dealer), PERFECT, SEED, 1, countFor(dealer))
    cache.set(dealer, games)
  }
  return games
}

/** How many of those games a perfect memory wins under the limits of these settings. */
export const perfectWins = (settings: Settings, dealer: Dealer): number =>
  decidesWins(settings)
    ? winsUnderLimits(perfectGames(settings, dealer), settings, dealer.pairs)
    : winsOf(playGames(quick(settings, dealer), PERFECT, SEED, 1, countFor(dealer)))
