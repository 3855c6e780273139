import type { Game } from '../../../core/game/game.ts'
import { imagesOf } from '../../../core/game/own-files.ts'
import { largerThan, SIZES } from '../../../core/settings/bounds.ts'
import { bad, type Result } from '../../../core/result.ts'
import { trust } from '../../store/sound-images.ts'

/**
 * Reads a game file, or a page with a game inside, that the user chose or dropped. The readers are loaded with the
 * first file.
 */
export async function openGameFile(file: File): Promise<Result<Game>> {
  if (file.size > SIZES.file) return bad('', largerThan(SIZES.file))
  const { readAnyGame } = await import('../../../core/files/any-game.ts')
  const game = readAnyGame(new Uint8Array(await file.arrayBuffer()))
  if (game.ok) for (const { src } of imagesOf(game.value)) trust(src)
  return game
}
