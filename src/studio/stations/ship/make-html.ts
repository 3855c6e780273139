import type { Game } from '../../../core/game/game.ts'
import { imagesOf } from '../../../core/game/own-files.ts'
import { bad, type Result } from '../../../core/result.ts'
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
  const [{ shipHtml }, { default: script }, { default: style }] = await Promise.all([
    import('../../../ship/html.ts'),
    hasRivals(game)
      ? import('../../../../dist/player/player-rivals.js?raw')
      : import('../../../../dist/player/player.js?raw'),
    import('../../../../dist/player/player.css?raw'),
  ])
  return { ok: true, value: shipHtml(game, art.value, { script, style }) }
}
