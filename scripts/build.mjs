import { ensureBuild, ensurePackages } from './ensure.mjs'

ensurePackages()
await ensureBuild()
console.log('built: dist/app, dist/player, dist/node')
