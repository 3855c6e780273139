// Who made what is inside the built player: a file beside its script that says so, with the licences in full.
import { existsSync, readFileSync } from 'node:fs'
import { ROOT } from './root.mjs'

// that of all texts, then that of words on cards
const FONTS = ['@fontsource-variable/figtree', '@fontsource-variable/bricolage-grotesque']
const FONT_NAMES = { 'bricolage-grotesque': 'Bricolage Grotesque', figtree: 'Figtree' }
const PICTURES = '@iconify-json/fluent-emoji-flat'

const packageOf = (name) => `${ROOT}/node_modules/${name}`
const readJson = (path) => JSON.parse(readFileSync(path, 'utf8'))
const MIT = readFileSync(`${ROOT}/LICENSE`, 'utf8').replace(/^[\s\S]*?(?=Permission)/, '')

/** A set of drawings tells its author and licence in info.json, without the text of it. */
function drawings(name) {
  const { name: title, author, license } = readJson(`${packageOf(name)}/info.json`)
  if (license.spdx !== 'MIT') throw new Error(`${name}: its licence is ${license.spdx}, not MIT as before`)
  return {
    name: title,
    by: author.name,
    licence: license.spdx,
    text: `Copyright (c) ${author.name}\n\n${MIT}`,
  }
}

function licenceText(folder) {
  const file = ['LICENSE', 'LICENSE.md', 'LICENSE.txt', 'license'].find((one) =>
    existsSync(`${folder}/${one}`),
  )
  if (!file) throw new Error(`${folder}: no licence file`)
  return readFileSync(`${folder}/${file}`, 'utf8').trim()
}

function typeface(name) {
  const text = licenceText(packageOf(name))
  const [copyright] = /Copyright \d+ [^(]+/.exec(text)
  return {
    name: FONT_NAMES[name.split('/')[1]],
    by: copyright.replace(/^Copyright \d+ /, '').trim(),
    licence: readJson(`${packageOf(name)}/package.json`).license,
    text,
  }
}

function program(name) {
  const folder = packageOf(name)
  const { license, author } = readJson(`${folder}/package.json`)
  const by = typeof author === 'string' ? author.replace(/ *[<(].*/, '') : author?.name
  return { name, by: by ?? '', licence: license, text: licenceText(folder) }
}

/** A Vite plugin: writes `file` beside the script, from the packages whose code is in it. */
export const playerCredits = (file) => ({
  name: 'player-credits',
  generateBundle(_options, bundle) {
    const ids = Object.values(bundle).flatMap(({ modules = {} }) => Object.keys(modules))
    const names = new Set(ids.flatMap((id) => /node_modules\/((?:@[^/]+\/)?[^/]+)\//.exec(id)?.[1] ?? []))
    const own = { name: 'Lucky Twin', by: '', licence: 'MIT', text: licenceText(ROOT) }
    const credits = {
      pictures: drawings(PICTURES),
      type: FONTS.map(typeface),
      program: [own, drawings('@iconify-json/ph'), ...[...names].sort().map(program)],
    }
    this.emitFile({ type: 'asset', fileName: file, source: JSON.stringify(credits, null, 2) })
  },
})
