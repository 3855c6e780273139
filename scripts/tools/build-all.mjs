// Builds everything: the picture library, the shipped player, the studio, and the programs for Node.
import { rmSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import { ROOT } from './root.mjs'
import { writeEnginePackage } from './engine-package.mjs'
import { writePlayerFonts } from './player-fonts.mjs'
import { writePlayerDrawings } from './player-drawings.mjs'
import { layOutPictures } from './pictures.mjs'
import { writeProjectParts } from './project-parts.mjs'

const config = (name) => ({ root: ROOT, configFile: `${ROOT}/${name}`, logLevel: 'warn' })

/** The studio puts the built player into the files it ships, so the player comes first. */
export async function buildPlayer() {
  await layOutPictures(ROOT)
  await writePlayerFonts(ROOT)
  writePlayerDrawings()
  await build(config('vite.player.config.ts'))
  await build({ ...config('vite.player.config.ts'), mode: 'rivals' })
}

/** The rules as a package of their own. */
async function buildEngine() {
  await build(config('vite.engine.config.ts'))
  writeEnginePackage()
  writeProjectParts()
}

/** The server, the command line and what the scripts run. */
export const buildNode = () => build(config('vite.node.config.ts'))

if (import.meta.main ?? process.argv[1] === fileURLToPath(import.meta.url)) {
  rmSync(`${ROOT}/dist`, { recursive: true, force: true })
  await buildPlayer()
  await buildEngine()
  await build(config('vite.config.ts'))
  await buildNode()
}
