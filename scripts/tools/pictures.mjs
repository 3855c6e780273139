// Writes the picture library to public/pictures/: one SVG file for each picture, a small one, and an index to search.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { availableParallelism } from 'node:os'
import sharp from 'sharp'

const NAME = '@iconify-json/fluent-emoji-flat'
/** units along a side of every picture */
const UNITS = 32
/** px along a side of a small one: enough for the light table's cards on the finest screens */
const SMALL = 160
/** units per inch at which an SVG without a size is drawn at one px a unit */
const INCH = 72

/** Writes the files unless those of this exact version are there already. */
export async function layOutPictures(root) {
  const require = createRequire(import.meta.url)
  const version = `${require(`${NAME}/package.json`).version}, ${SMALL} px`
  const folder = `${root}/public/pictures`
  const stamp = `${folder}/.version`
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === version) return
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(`${folder}/small`, { recursive: true })
  const { icons } = require(`${NAME}/icons.json`)
  const { categories } = require(`${NAME}/metadata.json`)
  const kinds = new Map()
  for (const [kind, names] of Object.entries(categories)) for (const name of names) kinds.set(name, kind)
  const waiting = Object.entries(icons)
  const lay = async () => {
    for (let next = waiting.pop(); next; next = waiting.pop()) {
      const [name, { body }] = next
      const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${UNITS} ${UNITS}">${body}</svg>`
      await writeFile(`${folder}/${name}.svg`, svg)
      await writeFile(`${folder}/small/${name}.webp`, await small(svg))
    }
  }
  await Promise.all(Array.from({ length: 2 * availableParallelism() }, lay))
  const index = Object.keys(icons).map((name) => [name, kinds.get(name) ?? 'Other'])
  writeFileSync(`${folder}/index.json`, JSON.stringify(index))
  writeFileSync(stamp, version)
}

const small = (svg) =>
  sharp(Buffer.from(svg), { density: (INCH * SMALL) / UNITS })
    .webp({ quality: 90, effort: 2 })
    .toBuffer()
