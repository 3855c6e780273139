// Part of npm run lint: names every circle of imports between files, and between folders; lazy imports, imports of
// types and workers count too.
import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import ts from 'typescript'
import { ROOT } from './tools/root.mjs'

const files = new Set(
  ['src', 'scripts'].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true })
      .filter((name) => /\.(ts|vue|mjs)$/.test(name))
      .map((name) => join(folder, name)),
  ),
)

/** The files that a file imports by a path of its own. */
function importsOf(file) {
  const text = readFileSync(join(ROOT, file), 'utf8')
  const script = file.endsWith('.vue')
    ? [...text.matchAll(/<script[^>]*>([^]*?)<\/script>/g)].join('\n')
    : text
  const paths = [
    ...ts.preProcessFile(script).importedFiles.map(({ fileName }) => fileName),
    ...[...script.matchAll(/new URL\(\s*'([^']+)'/g)].map(([, path]) => path),
  ]
  return paths.map((path) => join(dirname(file), path)).filter((path) => files.has(path))
}

const imports = new Map([...files].map((file) => [file, importsOf(file)]))

/** A way from a place back to itself, or null. */
function circleOf(start, imports) {
  const from = new Map([[start, null]])
  for (const place of from.keys())
    for (const next of imports.get(place)) {
      if (next === start) {
        const way = [start]
        for (let at = place; at !== null; at = from.get(at)) way.unshift(at)
        return way
      }
      if (!from.has(next)) from.set(next, place)
    }
  return null
}

/** Names the circles. Out: whether there are any. */
function tellCircles(what, imports) {
  const members = new Set()
  for (const place of imports.keys()) {
    const circle = circleOf(place, imports)
    if (!circle || circle.some((one) => members.has(one))) continue
    for (const one of circle) members.add(one)
    console.error(`circle of ${what}: ${circle.join(' → ')}`)
  }
  return members.size > 0
}

/**
 * What each folder imports from others, its tests left out: they may use any. `folderOf` gives the folder of a file.
 */
function folded(folderOf) {
  const folders = new Map()
  for (const [file, imported] of imports) {
    if (file.endsWith('.test.ts')) continue
    const folder = folderOf(file)
    if (!folders.has(folder)) folders.set(folder, new Set())
    for (const one of imported) if (folderOf(one) !== folder) folders.get(folder).add(folderOf(one))
  }
  return folders
}
const upTo = (file, depth) => file.split('/').slice(0, depth).join('/')

const results = [
  tellCircles('imports', imports),
  tellCircles(
    'rooms',
    folded((file) => upTo(file, 2)),
  ),
  tellCircles(
    'folders of core',
    folded((file) => upTo(file, file.startsWith('src/core/') ? 3 : 2)),
  ),
  tellCircles(
    'folders of the studio',
    folded((file) => (file.startsWith('src/studio/') ? dirname(file) : upTo(file, 2))),
  ),
]
if (results.includes(true)) process.exit(1)
