// npm run schemas: writes docs/schema/ from the schemas that the code reads with.
import { ensureBuild, ensurePackages, ROOT } from './ensure.mjs'

ensurePackages()
await ensureBuild()
process.chdir(ROOT)
await import('../dist/node/schemas.js')
