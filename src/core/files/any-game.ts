import type { Game } from '../game/game.ts'
import { bad, type Result } from '../result.ts'
import { notAGame, otherKind, WEB_PAGE } from './file-kind.ts'
import { readGame } from './game-file.ts'
import { readGameZip } from './game-zip.ts'
import { readShippedPage } from './shipped-page.ts'
import { readUtf8 } from './utf8.ts'

/** A game from the bytes of a file: NAME.game.json, NAME.game.zip or a shipped page, told apart by their content. */
export function readAnyGame(bytes: Uint8Array): Result<Game> {
  try {
    return gameIn(bytes)
  } catch (error) {
    // the engine's own limit, of lists within lists
    if (error instanceof RangeError) return bad('', 'nested too deeply to be read')
    throw error
  }
}

function gameIn(bytes: Uint8Array): Result<Game> {
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return readGameZip(bytes)
  const kind = otherKind(bytes)
  if (kind && kind !== WEB_PAGE) return bad('', notAGame(kind))
  const text = readUtf8(bytes)
  if (!text.ok) return text
  return kind ? readShippedPage(text.value) : readGame(text.value)
}
