// npm start: installs what is missing, builds what is stale, serves the app.
import { ensureBuild, ensurePackages } from './tools/ensure.mjs'

ensurePackages()
ensureBuild()
await import('../dist/node/server.js')
