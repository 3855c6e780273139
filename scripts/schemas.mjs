// npm run schemas: writes docs/schema/ from the schemas that the code reads with.
import { ensureBuild, ensurePackages } from './tools/ensure.mjs'
import { ROOT } from './tools/root.mjs'

ensurePackages()
ensureBuild()
process.chdir(ROOT)
await import('../dist/node/schemas.js')
