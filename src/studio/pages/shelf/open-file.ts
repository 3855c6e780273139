import type { Game } from '../../../core/game/game.ts'
import { imagesOf } from '../../../core/game/images.ts'
import { readUtf8 } from '../../../core/files/utf8.ts'
import { largerThan, SIZES } from '../../../core/settings/settings.ts'
import { bad, type Result } from '../../../core/result.ts'
import { trust } from '../../store/sound-images.ts'

/** Reads a game file that the user chose or dropped. The readers are fetched with the first file. */
export async function openGameFile(file: File): Promise<Result<Game>> {
  if (file.size > SIZES.file) return bad('', largerThan(SIZES.file))
  const game = await readFile(file)
  if (game.ok) for (const { src } of imagesOf(game.value)) trust(src)
  return game
}

async function readFile(file: File): Promise<Result<Game>> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
    const { readGameZip } = await import('../../../core/files/game-zip.ts')
    return readGameZip(bytes)
  }
  const { notAGame, otherKind } = await import('../../../core/files/file-kind.ts')
  const kind = otherKind(bytes)
  if (kind) return bad('', notAGame(kind))
  const { readGame } = await import('../../../core/files/game-file.ts')
  const text = readUtf8(bytes)
  return text.ok ? readGame(text.value) : text
}
