// What a first visit to the shelf loads, and how large a shipped player is, gzipped.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { gzipSync } from 'node:zlib'
import { ROOT } from '../tools/root.mjs'

const app = `${ROOT}/dist/app`
const size = (path) => gzipSync(readFileSync(path)).length

/** The file of a chunk, by the end of its source path or its name. */
const chunk = (end) => {
  const manifest = JSON.parse(readFileSync(`${app}/.vite/manifest.json`, 'utf8'))
  const found = Object.keys(manifest).find((key) => key.endsWith(end) || manifest[key].name === end)
  return `${app}/${manifest[found].file}`
}

/** Every script and style that the entry and the shelf's own chunk import at once, from the build's manifest. */
function firstLoad() {
  const manifest = JSON.parse(readFileSync(`${app}/.vite/manifest.json`, 'utf8'))
  const seen = new Set()
  const files = { js: new Set(), css: new Set() }
  const visit = (key) => {
    if (seen.has(key)) return
    seen.add(key)
    const chunk = manifest[key]
    if (chunk.file.endsWith('.js')) files.js.add(chunk.file)
    for (const css of chunk.css ?? []) files.css.add(css)
    for (const next of chunk.imports ?? []) visit(next)
  }
  visit('index.html')
  visit('src/studio/pages/shelf/ShelfView.vue')
  return files
}

const line = (title, bytes, limit) =>
  console.log(
    `${title}: ${(bytes / 1000).toFixed(1)} kB, ${(bytes / limit).toFixed(2)} of the ${limit / 1000} kB meant ${bytes > limit ? 'OVER' : 'ok'}`,
  )

/** A shipped page of the clockmaker's drawer, as the command line makes it: 24 library pictures, no image behind. */
function shipped(change, ...options) {
  const folder = mkdtempSync(`${tmpdir()}/sizes-`)
  const game = JSON.parse(readFileSync(`${ROOT}/demo/clockmakers-drawer.game.json`, 'utf8'))
  change(game)
  writeFileSync(`${folder}/game.game.json`, JSON.stringify(game))
  const made = spawnSync(process.execPath, [
    `${ROOT}/scripts/lucky-twin.mjs`,
    'ship',
    `${folder}/game.game.json`,
    '--to',
    `${folder}/game.html`,
    ...options,
  ])
  if (made.status !== 0) throw new Error(String(made.stderr))
  return readFileSync(`${folder}/game.html`, 'utf8')
}
const zipped = (text) => gzipSync(text).length
const inside = (html, begin) => html.slice(html.indexOf(begin) + begin.length).split('</script>')[0]
/** The script of a page with the words of its languages. */
const scriptOf = (html) => {
  const { words } = JSON.parse(inside(html, 'id="lucky-twin-game">'))
  return inside(html, '<script>') + JSON.stringify(words)
}

/** What a page of 24 pictures weighs, its script with all features in use, and what each further language adds. */
function reportPages() {
  const speaking = (...tags) => tags.flatMap((tag) => ['--lang', tag])
  line('Shipped page with 24 library pictures', zipped(shipped(() => {}, ...speaking('en'))), 78_000)
  const rival = (game) => (game.house.players = { ...game.house.players, offersRival: true })
  line(
    'Its script and words in one language, with a rival',
    zipped(scriptOf(shipped(rival, ...speaking('en')))),
    33_000,
  )
  const one = zipped(shipped(() => {}, ...speaking('en')))
  const added = OTHERS.map((tag) => [tag, zipped(shipped(() => {}, ...speaking('en', tag))) - one])
  const [tag, most] = added.reduce((heaviest, next) => (next[1] > heaviest[1] ? next : heaviest))
  line(`What a further language adds, at most (${tag})`, most, 1_500)
}
const OTHERS = ['de', 'fr', 'es', 'pt', 'it', 'nl', 'pl', 'tr', 'uk', 'ar', 'he', 'ja', 'zh-Hans']

export function reportSizes() {
  const { js, css } = firstLoad()
  const sum = (files) => [...files].reduce((bytes, file) => bytes + size(`${app}/${file}`), 0)
  line('First load of the shelf, JavaScript', sum(js), 230_000)
  line('First load of the shelf, CSS', sum(css), 60_000)
  const charts = [...js].some((file) => chunk('chart').endsWith(file))
  line(`ECharts, ${charts ? 'ON' : 'not on'} the first load`, size(chunk('chart')), charts ? 0 : 190_000)
  const odds = ['OddsStation.vue', 'GamesView.vue', 'LadderCurve.vue'].map((end) => size(chunk(end)))
  line(
    'The station Odds with what opens in it, beside ECharts',
    odds.reduce((sum, bytes) => sum + bytes, 0),
    25_000,
  )
  const player = size(`${ROOT}/dist/player/player.js`)
  line(
    'What a rival adds to the script of a shipped page',
    size(`${ROOT}/dist/player/player-rivals.js`) - player,
    3_000,
  )
  line('The rules as a module', size(`${ROOT}/dist/engine/engine.js`), 15_000)
  reportPages()
}
