import { strToU8 } from 'fflate'
import { writeGame } from '../../core/files/game-file.ts'
import { IN_PROJECT } from '../../core/files/game-zip.ts'
import { backBackground } from '../../core/deck/back-look.ts'
import type { Back } from '../../core/settings/back.ts'
import type { Game } from '../../core/game/game.ts'
import { resolveLevel } from '../../core/settings/levels.ts'
import { fileStem } from '../../core/game/names.ts'
import { licensesText, worksIn, type PlayerCredits } from '../credits.ts'
import { picturesOf } from '../pictures.ts'

/**
 * What is the same in every project: dist/project.json, the files by their paths, and the packages that it asks for
 * with their versions.
 */
export type ProjectParts = {
  files: Record<string, string>
  packages: { dependencies: Record<string, string>; devDependencies: Record<string, string> }
}

const nameOf = (game: Game): string => fileStem(game).slice(0, 60)

const manifest = (game: Game, packages: ProjectParts['packages']): string =>
  `${JSON.stringify(
    {
      name: nameOf(game),
      version: '0.1.0',
      private: true,
      type: 'module',
      scripts: { start: 'vite --open', build: 'tsc && vite build', test: 'vitest run' },
      ...packages,
    },
    null,
    2,
  )}\n`

/** The lock file of every project, under the name of this one. */
function lockFile(game: Game, text: string): string {
  const lock = JSON.parse(text) as { name: string; packages: Record<string, { name?: string }> }
  lock.name = lock.packages['']!.name = nameOf(game)
  return `${JSON.stringify(lock, null, 2)}\n`
}

/** The look of a game's backs, for the cards of a project: the deck's, and those that levels have of their own. */
function backStyle(game: Game): string {
  const style = (selector: string, back: Back): string =>
    `${selector} {\n  background: ${backBackground(back, (name) => `pictures/${name}.svg`)};\n}\n`
  const ofLevels = game.levels.flatMap((level) => {
    const { back } = resolveLevel(game, level).look
    return back ? [style(`[data-level='${level.id}'] .card`, back)] : []
  })
  return style('.card', game.deck.back) + ofLevels.join('')
}

/**
 * A project to go on with: the engine's source, a table of its own, the game with its kept checks, its pictures and its
 * back.
 * In: the game; the drawings of its library pictures, as SVG by name; what is the same in every project. Out: its
 * files, by path.
 */
export function projectFiles(
  game: Game,
  svgs: Record<string, string>,
  { files, packages }: ProjectParts,
  credits: PlayerCredits,
): Record<string, Uint8Array> {
  const texts = {
    ...files,
    'README.md': files['README.md']!.replaceAll('TITLE', game.title),
    'package.json': manifest(game, packages),
    'package-lock.json': lockFile(game, files['package-lock.json']!),
    'LICENSES.txt': licensesText(game, worksIn.project(game, credits)),
    'public/back.css': backStyle(game),
    [IN_PROJECT]: writeGame(game),
    ...Object.fromEntries(picturesOf(game).map((name) => [`public/pictures/${name}.svg`, svgs[name]!])),
  }
  return Object.fromEntries(Object.entries(texts).map(([path, text]) => [path, strToU8(text)]))
}
