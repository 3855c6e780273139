// dist/engine: the rules as a package that installs, engine.js with its types, docs and licences.
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs'
import { generateDtsBundle } from 'dts-bundle-generator'
import { ROOT } from './root.mjs'

/** Adds to the built dist/engine/engine.js what makes it a package. */
export function writeEnginePackage() {
  const folder = `${ROOT}/dist/engine`
  const { version, license } = JSON.parse(readFileSync(`${ROOT}/package.json`, 'utf8'))
  const [types] = generateDtsBundle(
    [
      {
        filePath: `${ROOT}/src/engine/engine.ts`,
        output: { noBanner: true, exportReferencedTypes: false },
      },
    ],
    { preferredConfigPath: `${ROOT}/tsconfig.engine.json` },
  )
  writeFileSync(`${folder}/engine.d.ts`, types)
  const manifest = {
    name: 'lucky-twin-engine',
    version,
    description: 'The rules of Lucky Twin games: deal, play, replay',
    license,
    type: 'module',
    exports: { '.': { types: './engine.d.ts', default: './engine.js' } },
    sideEffects: false,
  }
  writeFileSync(`${folder}/package.json`, `${JSON.stringify(manifest, null, 2)}\n`)
  copyFileSync(`${ROOT}/docs/engine.md`, `${folder}/README.md`)
  const licence = (path) => readFileSync(`${ROOT}/${path}`, 'utf8').trim()
  const inside = licence('node_modules/pure-rand/LICENSE')
  writeFileSync(
    `${folder}/LICENSE`,
    `${licence('LICENSE')}\n\npure-rand, which is inside engine.js:\n\n${inside}\n`,
  )
}
