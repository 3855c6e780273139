import type { Game } from '../../../core/game/game.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { imagesOf } from '../../../core/game/own-files.ts'
import { bad, type Result } from '../../../core/result.ts'
import { hasRivals } from '../../../core/settings/seats.ts'
import { messagesIn } from '../../../core/texts/ready.ts'
import type { CreditPart } from '../../../core/texts/credit-part.ts'
import { creditsOf, licensesText, worksIn, type PlayerCredits } from '../../../ship/credits.ts'
import { gatherArt } from '../../../ship/pictures.ts'
import type { Weights } from '../../../ship/weigh.ts'
import { pictureText } from '../../store/pictures.ts'
import { mayDraw } from '../../store/sound-images.ts'

/** A page as it is shipped, what it weighs, and whom it names. */
export type MadePage = {
  html: string
  bytes: number
  weights: Weights
  credits: CreditPart[]
  licenses: string
}

/** Who made what is in the player of a game. */
export async function playerCredits(game: Game): Promise<PlayerCredits> {
  const { default: text } = hasRivals(game)
    ? await import('../../../../dist/player/player-rivals-credits.json?raw')
    : await import('../../../../dist/player/player-credits.json?raw')
  return JSON.parse(text) as PlayerCredits
}

/** The playable file of a game. The built player and the code that embeds it are loaded only now. */
export async function makeHtml(game: Game): Promise<Result<MadePage>> {
  for (const { src, at } of imagesOf(game))
    if (!mayDraw(src)) return bad(at, 'this image cannot be shown to players; replace it or remove it first')
  const art = await gatherArt(game, pictureText)
  if (!art.ok) return art
  const rivals = hasRivals(game)
  const [{ shipHtml }, { weigh }, script, credits, style, faceFont, words] = await Promise.all([
    import('../../../ship/html.ts'),
    import('../../../ship/weigh.ts'),
    rivals
      ? import('../../../../dist/player/player-rivals.js?raw')
      : import('../../../../dist/player/player.js?raw'),
    playerCredits(game),
    import('../../../../dist/player/player.css?raw'),
    import('../../../../dist/player/face-font.css?raw'),
    messagesIn(languagesOf(game)),
  ])
  const player = { script: script.default, style: style.default, faceFont: faceFont.default, credits }
  const html = shipHtml(game, { art: art.value, words }, player)
  return {
    ok: true,
    value: {
      html,
      bytes: new Blob([html]).size,
      weights: weigh(html, { game, art: art.value, words }),
      credits: creditsOf(game, credits),
      licenses: licensesText(game, worksIn.page(game, credits)),
    },
  }
}
