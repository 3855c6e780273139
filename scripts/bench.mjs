// npm run bench [PART …]: speeds and sizes, each as a ratio against something in the same run or against its limit; the
// named parts only, or all.
import { ensureBuild, ensureChromium, ensurePackages } from './tools/ensure.mjs'

/** Each part by its name, in the order in which they run. */
const PARTS = {
  sizes: async () => (await import('./bench/sizes.mjs')).reportSizes(),
  async press() {
    const { reportFirstFlip, reportFirstTurn, reportPress } = await import('./bench/press.mjs')
    await reportPress(ensureChromium())
    await reportFirstFlip(ensureChromium())
    await reportFirstTurn(ensureChromium())
  },
  kit: async () => (await import('./bench/kit.mjs')).reportKit(ensureChromium()),
  shelf: async () => (await import('./bench/shelf.mjs')).reportShelf(ensureChromium()),
  edge: async () => (await import('./bench/edge.mjs')).reportEdge(ensureChromium()),
  history: async () => (await import('./bench/history.mjs')).reportHistory(ensureChromium()),
  deck: async () => (await import('./bench/deck.mjs')).reportDeck(ensureChromium()),
  ledger: async () => (await import('./bench/ledger.mjs')).reportLedger(ensureChromium()),
  odds: async () => (await import('./bench/odds.mjs')).reportOdds(ensureChromium()),
  core: () => import('../dist/node/bench.js'),
}

const names = process.argv.slice(2)
const unknown = names.find((name) => !Object.hasOwn(PARTS, name))
if (unknown !== undefined) {
  console.error(`no part ${unknown}; there are ${Object.keys(PARTS).join(', ')}`)
  process.exit(2)
}
ensurePackages()
ensureBuild()
for (const [name, report] of Object.entries(PARTS)) if (!names.length || names.includes(name)) await report()
