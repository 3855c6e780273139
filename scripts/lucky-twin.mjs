#!/usr/bin/env node
// The command line, as `npx lucky-twin` finds it; its code is in src/cli, built to dist/node.
import { existsSync } from 'node:fs'

const built = new URL('../dist/node/cli.js', import.meta.url)
if (!existsSync(built)) {
  console.error('not built yet: run `npm run build` first')
  process.exit(2)
}
await import(built.href)
