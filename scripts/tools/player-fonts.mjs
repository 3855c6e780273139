// The letters of a shipped page: of each typeface only the Latin letters and the weights that the player uses.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import subsetFont from 'subset-font'

const letters = (first, last) =>
  Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)).join('')
const LATIN = `${letters(0x20, 0x7e)}${letters(0xa0, 0xff)}–—‘’“”„…•·×÷−→✦`

const subset = (root, file, wght) =>
  subsetFont(readFileSync(`${root}/node_modules/@fontsource-variable/${file}`), LATIN, {
    targetFormat: 'woff2',
    variationAxes: { wght },
  })

/**
 * Writes dist/fonts/figtree.woff2, which goes into the player's style, and dist/player/face-font.css, which is added to
 * it where a game has words on its cards.
 */
export async function writePlayerFonts(root) {
  mkdirSync(`${root}/dist/fonts`, { recursive: true })
  const figtree = await subset(root, 'figtree/files/figtree-latin-wght-normal.woff2', { min: 400, max: 700 })
  writeFileSync(`${root}/dist/fonts/figtree.woff2`, figtree)
  const faces = await subset(
    root,
    'bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2',
    650,
  )
  const src = `url(data:font/woff2;base64,${faces.toString('base64')}) format('woff2')`
  mkdirSync(`${root}/dist/player`, { recursive: true })
  writeFileSync(
    `${root}/dist/player/face-font.css`,
    `@font-face{font-family:'Bricolage Grotesque Variable';font-weight:650;src:${src}}\n`,
  )
}
