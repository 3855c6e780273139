import { ensureBuild, ensurePackages } from './tools/ensure.mjs'

ensurePackages()
ensureBuild()
console.log('built: dist/app, dist/player, dist/node')
