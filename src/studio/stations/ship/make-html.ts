import type { Game } from '../../../core/game/game.ts'
import { good, type Result } from '../../../core/result.ts'
import type { CreditPart } from '../../../core/texts/credit-part.ts'
import { creditsOf, licensesText, worksIn } from '../../../ship/credits.ts'
import type { Weights } from '../../../ship/weigh.ts'
import { shippedParts } from './shipped-parts.ts'

/** A page as it is shipped, what it weighs, and whom it names. */
export type MadePage = {
  html: string
  bytes: number
  weights: Weights
  credits: CreditPart[]
  licenses: string
}

/** The playable file of a game. */
export async function makeHtml(game: Game): Promise<Result<MadePage>> {
  const parts = await shippedParts(game)
  if (!parts.ok) return parts
  const [{ shipHtml }, { weigh }] = await Promise.all([
    import('../../../ship/html.ts'),
    import('../../../ship/weigh.ts'),
  ])
  const { art, words, player } = parts.value
  const html = shipHtml(game, { art, words }, player)
  return good({
    html,
    bytes: new Blob([html]).size,
    weights: weigh(html, { game, art, words }),
    credits: creditsOf(game, player.credits),
    licenses: licensesText(game, worksIn.page(game, player.credits)),
  })
}
