// The drawings on the player's buttons, as files for its style.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { getIconData, iconToHTML, iconToSVG } from '@iconify/utils'
import { ROOT } from './root.mjs'

/** Writes dist/icons/NAME.svg for each that src/player/icons.css names. */
export function writePlayerIcons() {
  const drawings = JSON.parse(readFileSync(`${ROOT}/node_modules/@iconify-json/ph/icons.json`, 'utf8'))
  const style = readFileSync(`${ROOT}/src/player/icons.css`, 'utf8')
  mkdirSync(`${ROOT}/dist/icons`, { recursive: true })
  for (const [, name] of style.matchAll(/dist\/icons\/([\w-]+)\.svg/g)) {
    const drawing = getIconData(drawings, name)
    if (!drawing) throw new Error(`src/player/icons.css: there is no drawing "${name}"`)
    const { attributes, body } = iconToSVG(drawing, { height: 'unset' })
    writeFileSync(`${ROOT}/dist/icons/${name}.svg`, iconToHTML(body, attributes))
  }
}
