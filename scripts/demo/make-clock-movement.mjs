// node scripts/demo/make-clock-movement.mjs: draws demo/clock-movement.svg and lays it behind the last level of
// demo/clockmakers-drawer.game.json.
import { ensurePackages } from '../tools/ensure.mjs'
import { ROOT } from '../tools/root.mjs'

ensurePackages()
// the studio itself needs these files, so only what runs in Node is built here
const { buildNode } = await import('../tools/build-all.mjs')
await buildNode()
process.chdir(ROOT)
await import('../../dist/node/clock-movement.js')
