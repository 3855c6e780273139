// The drawings on the player's buttons, which every page carries beside its game.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { getIconData, iconToHTML, iconToSVG } from '@iconify/utils'
import { ROOT } from './root.mjs'

const NAMES = 'src/player/drawings.json'

/**
 * Writes dist/player/drawings.json: each drawing that src/player/drawings.json names, as SVG, by what it means there.
 */
export function writePlayerDrawings() {
  const read = (path) => JSON.parse(readFileSync(`${ROOT}/${path}`, 'utf8'))
  const all = read('node_modules/@iconify-json/ph/icons.json')
  const svg = (name) => {
    const drawing = getIconData(all, name)
    if (!drawing) throw new Error(`${NAMES}: there is no drawing "${name}"`)
    const { attributes, body } = iconToSVG(drawing, { height: 'unset' })
    return iconToHTML(body, attributes)
  }
  const drawings = Object.entries(read(NAMES)).map(([means, name]) => [means, svg(name)])
  mkdirSync(`${ROOT}/dist/player`, { recursive: true })
  writeFileSync(`${ROOT}/dist/player/drawings.json`, JSON.stringify(Object.fromEntries(drawings)))
}
