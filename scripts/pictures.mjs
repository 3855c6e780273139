// Lays the picture library out as one SVG file a picture, with an index to search in, under public/pictures/.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const NAME = '@iconify-json/fluent-emoji-flat'

/** Writes the files unless those of this very version are there already. */
export function layOutPictures(root) {
  const require = createRequire(import.meta.url)
  const { version } = require(`${NAME}/package.json`)
  const folder = `${root}/public/pictures`
  const stamp = `${folder}/.version`
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === version) return
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const { icons } = require(`${NAME}/icons.json`)
  const { categories } = require(`${NAME}/metadata.json`)
  const kinds = new Map()
  for (const [kind, names] of Object.entries(categories)) for (const name of names) kinds.set(name, kind)
  for (const [name, { body }] of Object.entries(icons))
    writeFileSync(
      `${folder}/${name}.svg`,
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32">${body}</svg>`,
    )
  const index = Object.keys(icons).map((name) => [name, kinds.get(name) ?? 'Other'])
  writeFileSync(`${folder}/index.json`, JSON.stringify(index))
  writeFileSync(stamp, version)
}
