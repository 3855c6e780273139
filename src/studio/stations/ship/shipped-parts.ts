import type { Game } from '../../../core/game/game.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { imagesOf } from '../../../core/game/own-files.ts'
import { bad, good, type Result } from '../../../core/result.ts'
import { hasRivals } from '../../../core/settings/seats.ts'
import { messagesIn } from '../../../core/texts/ready.ts'
import type { PlayerCredits } from '../../../ship/credits.ts'
import type { BuiltPlayer } from '../../../ship/html.ts'
import { gatherArt } from '../../../ship/pictures.ts'
import { drawings } from '../../store/drawings.ts'
import { pictureText } from '../../store/pictures.ts'
import { mayDraw } from '../../store/sound-images.ts'

/** What goes into shipped files beside the game. What was built is loaded only when it is asked for. */

/** Who made what is in the player of a game. */
export async function playerCredits(game: Game): Promise<PlayerCredits> {
  const { default: text } = hasRivals(game)
    ? await import('../../../../dist/player/player-rivals-credits.json?raw')
    : await import('../../../../dist/player/player-credits.json?raw')
  return JSON.parse(text) as PlayerCredits
}

/** The player that a game needs. */
export async function builtPlayer(game: Game): Promise<BuiltPlayer> {
  const [script, style, faceFont, credits] = await Promise.all([
    hasRivals(game)
      ? import('../../../../dist/player/player-rivals.js?raw')
      : import('../../../../dist/player/player.js?raw'),
    import('../../../../dist/player/player.css?raw'),
    import('../../../../dist/player/face-font.css?raw'),
    playerCredits(game),
  ])
  return { script: script.default, style: style.default, faceFont: faceFont.default, credits, drawings }
}

/**
 * The library pictures of a game as data URLs by name. Wrong: an image that cannot be shown, or a picture that the
 * library does not have.
 */
export function artOf(game: Game): Promise<Result<Record<string, string>>> {
  for (const { src, at } of imagesOf(game))
    if (!mayDraw(src))
      return Promise.resolve(bad(at, 'this image cannot be shown to players; replace it or remove it first'))
  return gatherArt(game, pictureText)
}

/** All that a page is made of. */
export async function shippedParts(game: Game) {
  const art = await artOf(game)
  if (!art.ok) return art
  const [player, words] = await Promise.all([builtPlayer(game), messagesIn(languagesOf(game))])
  return good({ art: art.value, words, player })
}
