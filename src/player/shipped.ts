import type { Game } from '../core/game/game.ts'
import type { Mind } from '../core/settings/mind.ts'
import { keepUnder } from './best.ts'
import './fonts.css'
import { MINDS_PLAY } from './minds-play.ts'
import { mountPlayer } from './mount.ts'
import { rivalsAmong } from './rivals.ts'

// the start of a shipped file: reads the game embedded beside this script and mounts the table
const data = JSON.parse(document.getElementById('lucky-twin-game')!.textContent!) as {
  game: Game
  art: Record<string, string>
  minds?: Mind[]
}
const asked = new URLSearchParams(location.search)
document.title = data.game.title
mountPlayer(document.getElementById('lucky-twin')!, {
  game: data.game,
  art: (name) => data.art[name] ?? '',
  level: asked.get('level') ?? undefined,
  seed: asked.get('seed')?.slice(0, 64) || undefined,
  keep: keepUnder(`lucky-twin:${data.game.id}`),
  keepNames: keepUnder(`lucky-twin:${data.game.id}:names`),
  keepGame: keepUnder(`lucky-twin:${data.game.id}:open`),
  ...(MINDS_PLAY && { rivals: rivalsAmong(() => data.minds ?? []) }),
})
