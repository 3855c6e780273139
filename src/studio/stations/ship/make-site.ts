import type { Game } from '../../../core/game/game.ts'
import { good, type Result } from '../../../core/result.ts'
import { shippedParts } from './shipped-parts.ts'

/** A site as a zip, and its files. */
export type MadeSite = { content: Uint8Array<ArrayBuffer>; files: Record<string, Uint8Array> }

/** A game as a folder for any static server. */
export async function makeSite(game: Game): Promise<Result<MadeSite>> {
  const parts = await shippedParts(game)
  if (!parts.ok) return parts
  const [{ shipSite }, { zipOf }, { drawIcons }] = await Promise.all([
    import('../../../ship/site.ts'),
    import('../../../ship/zip.ts'),
    import('../../workers/painting/site-icons.ts'),
  ])
  const { art, words, player } = parts.value
  const files = shipSite(game, { art, words }, player, await drawIcons(game))
  return good({ files, content: zipOf(files) as Uint8Array<ArrayBuffer> })
}
