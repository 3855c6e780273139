// A kit of a hundred cards, beside drawing those cards once; from the sources, in the browser.
import { readFileSync } from 'node:fs'
import { createServer } from 'vite'
import { CHROMIUM_FLAGS } from '../tools/chromium-flags.mjs'
import { ROOT } from '../tools/root.mjs'

const CARDS = 100
const RUNS = 5
const MOST = 4

/** The clockmaker's drawer with a hundred pictures of the library, and no level but the first. */
function game() {
  const game = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  const names = JSON.parse(readFileSync(`${ROOT}/public/pictures/index.json`, 'utf8'))
  game.deck.pairs = names.slice(0, CARDS).map(([name], i) => ({
    id: `p${i}`,
    name,
    a: { kind: 'picture', name },
  }))
  game.levels = game.levels.slice(0, 1)
  return game
}

/** In the page: how long a whole kit takes, and the cards drawn once at their largest size, in ms. */
async function measure({ game, runs }) {
  const [{ makeKit }, { drawKitImages }, { kitCards, KIT_DEFAULTS }, { pictureUrl }] = await Promise.all([
    import('/src/studio/stations/ship/make-kit.ts'),
    import('/src/studio/workers/painting/kit-images.ts'),
    import('/src/ship/kit/cards.ts'),
    import('/src/studio/store/pictures.ts'),
  ])
  // pictures that are on the page are read from the server once, and by neither side while it is timed
  for (const { a } of game.deck.pairs) {
    const image = new Image()
    image.src = pictureUrl(a.name)
    document.body.append(image)
  }
  const { width } = KIT_DEFAULTS
  const timed = async (start) => {
    const began = performance.now()
    await start().done
    return performance.now() - began
  }
  const once = () => drawKitImages(game, { cards: kitCards(game), atlas: null }, width, undefined, [3])
  const whole = () => makeKit(game, KIT_DEFAULTS, () => undefined)
  const ratios = []
  for (let i = 0; i <= runs; i++) {
    const alone = await timed(once)
    const all = await timed(whole)
    // the first loads what is needed
    if (i) ratios.push(all / alone)
  }
  return ratios.sort((a, b) => a - b)
}

export async function reportKit(executablePath) {
  const { chromium } = await import('@playwright/test')
  const server = await createServer({
    root: ROOT,
    configFile: `${ROOT}/vite.config.ts`,
    logLevel: 'error',
    server: { host: '127.0.0.1', port: 0, hmr: false },
  })
  await server.listen()
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_FLAGS })
  try {
    const page = await browser.newPage()
    await page.goto(server.resolvedUrls.local[0])
    await page.getByRole('heading').first().waitFor()
    const ratios = await page.evaluate(measure, { game: game(), runs: RUNS })
    const middle = ratios[RUNS >> 1]
    console.log(
      `Kit of ${CARDS} cards in three sizes: ${middle.toFixed(2)} times what drawing them once takes (${ratios[0].toFixed(2)} to ${ratios.at(-1).toFixed(2)}; at most ${MOST} is the target) ${middle > MOST ? 'FAIL' : 'ok'}`,
    )
  } finally {
    await browser.close()
    await server.close()
  }
}
