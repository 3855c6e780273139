// npm start: installs what is missing, builds what is stale, serves the app.
import { ensureBuild, ensurePackages } from './ensure.mjs'

ensurePackages()
await ensureBuild()
await import('../dist/node/server.js')
