import type { Game } from '../../../core/game/game.ts'
import { imagesOf } from '../../../core/game/own-files.ts'
import { bad, type Result } from '../../../core/result.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { messagesIn } from '../../../core/texts/ready.ts'
import type { PlayerCredits } from '../../../ship/credits.ts'
import { hasRivals } from '../../../core/settings/seats.ts'
import { gatherArt } from '../../../ship/pictures.ts'
import { pictureText } from '../../store/pictures.ts'
import { mayDraw } from '../../store/sound-images.ts'

/** The playable file of a game. The built player and the code that embeds it are loaded only now. */
export async function makeHtml(game: Game): Promise<Result<string>> {
  for (const { src, at } of imagesOf(game))
    if (!mayDraw(src)) return bad(at, 'this image cannot be shown to players; replace it or remove it first')
  const art = await gatherArt(game, pictureText)
  if (!art.ok) return art
  const [
    { shipHtml },
    { default: script },
    { default: credits },
    { default: style },
    { default: faceFont },
    words,
  ] = await Promise.all([
    import('../../../ship/html.ts'),
    hasRivals(game)
      ? import('../../../../dist/player/player-rivals.js?raw')
      : import('../../../../dist/player/player.js?raw'),
    hasRivals(game)
      ? import('../../../../dist/player/player-rivals-credits.json?raw')
      : import('../../../../dist/player/player-credits.json?raw'),
    import('../../../../dist/player/player.css?raw'),
    import('../../../../dist/player/face-font.css?raw'),
    messagesIn(languagesOf(game)),
  ])
  return {
    ok: true,
    value: shipHtml(
      game,
      { art: art.value, words },
      { script, style, faceFont, credits: JSON.parse(credits) as PlayerCredits },
    ),
  }
}
