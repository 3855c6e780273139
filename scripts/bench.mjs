// npm run bench: speeds and sizes, each as a ratio against something in the same run or against its limit.
import { ensureBuild, ensureChromium, ensurePackages } from './tools/ensure.mjs'

ensurePackages()
ensureBuild()
const { reportSizes } = await import('./bench/sizes.mjs')
reportSizes()
const { reportPress } = await import('./bench/press.mjs')
await reportPress(ensureChromium())
const { reportShelf } = await import('./bench/shelf.mjs')
await reportShelf(ensureChromium())
const { reportEdge } = await import('./bench/edge.mjs')
await reportEdge(ensureChromium())
const { reportDeck } = await import('./bench/deck.mjs')
await reportDeck(ensureChromium())
const { reportLedger } = await import('./bench/ledger.mjs')
await reportLedger(ensureChromium())
await import('../dist/node/bench.js')
