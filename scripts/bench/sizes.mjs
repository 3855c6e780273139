// What a first visit to the shelf loads, and how large a shipped player is, gzipped.
import { readFileSync } from 'node:fs'
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
  line("Shipped file, the player's script", player, 30_000)
  line('What a rival adds to it', size(`${ROOT}/dist/player/player-rivals.js`) - player, 3_000)
}
