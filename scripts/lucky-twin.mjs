#!/usr/bin/env node
// The command line, as `npx lucky-twin` finds it; its code is in src/cli, built to dist/node.
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const built = new URL('../dist/', import.meta.url)
const cli = new URL('node/cli.js', built)
if (!existsSync(cli)) {
  console.error('not built yet: run `npm run build` first')
  process.exit(2)
}
// a reader that has seen enough closes the pipe
process.stdout.on('error', (error) => process.exit(error.code === 'EPIPE' ? 0 : 2))
const { main } = await import(cli.href)
const { argv, stdout, stderr } = process
process.exitCode = await main(
  argv.slice(2),
  { stdout, stderr },
  { folder: process.cwd(), built: fileURLToPath(built) },
)
