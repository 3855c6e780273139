import type { Game } from '../../src/core/game/game.ts'
import { frameText, partsOf, plainJson } from '../../src/studio/store/game-parts.ts'

/** A game as the browser's storage has it, own images left where they are. In: a game file's content. */
export function storedGame({ format: _format, version: _version, ...file }: Record<string, unknown>) {
  const game = file as unknown as Game
  return {
    row: { key: game.id, rev: 4, touched: 5, frame: frameText(game), art: [] },
    parts: [...partsOf(game)].map(([at, part]) => ({ key: game.id, at, text: plainJson(part) })),
  }
}
