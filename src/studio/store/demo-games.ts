import type { Game } from '../../core/game/game.ts'
import { onceEver, type StoredGame } from './db.ts'

/** Puts the demo games on a new shelf; once ever in a browser. */
export const layDemos = (): Promise<void> => onceEver('demo games', demoGames)

/** The demo games as they are on a new shelf. */
export async function demoGames(): Promise<StoredGame[]> {
  const files = await Promise.all([
    import('../../../demo/clockmakers-drawer.game.json'),
    import('../../../demo/signal-room.game.json'),
    import('../../../demo/tile-yard.game.json'),
  ])
  const now = Date.now()
  return files.map(({ default: file }, i) => {
    const { format: _format, version: _version, ...game } = file
    // JSON is read with texts for words, and our own demo games are checked by tests
    return { key: game.id, game: game as unknown as Game, rev: 1, touched: now - i }
  })
}
