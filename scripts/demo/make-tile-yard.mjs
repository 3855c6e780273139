// node scripts/demo/make-tile-yard.mjs: draws demo/tile-yard.png and makes demo/tile-yard.game.json of it.
import { ensurePackages } from '../tools/ensure.mjs'
import { ROOT } from '../tools/root.mjs'

ensurePackages()
// the studio itself needs these files, so only what runs in Node is built here
const { buildNode } = await import('../tools/build-all.mjs')
await buildNode()
process.chdir(ROOT)
await import('../../dist/node/tile-yard.js')
