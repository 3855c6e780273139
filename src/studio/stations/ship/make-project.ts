import type { Game } from '../../../core/game/game.ts'
import { good, type Result } from '../../../core/result.ts'
import type { ProjectParts } from '../../../ship/project/files.ts'
import { svgsOf } from '../../../ship/pictures.ts'
import { artOf, playerCredits } from './shipped-parts.ts'
import type { MadeSite } from './make-site.ts'

/** A game as a project to go on with. */
export async function makeProject(game: Game): Promise<Result<MadeSite>> {
  const art = await artOf(game)
  if (!art.ok) return art
  const [{ projectFiles }, { zipOf }, { default: parts }, credits] = await Promise.all([
    import('../../../ship/project/files.ts'),
    import('../../../ship/zip.ts'),
    import('../../../../dist/project.json?raw'),
    playerCredits(game),
  ])
  const files = projectFiles(game, svgsOf(art.value), JSON.parse(parts) as ProjectParts, credits)
  return good({ files, content: zipOf(files) as Uint8Array<ArrayBuffer> })
}
