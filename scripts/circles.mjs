// Part of npm run lint: names every circle of imports between files; lazy imports, imports of types and workers count too.
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

/** A way from a file back to itself, or null. */
function circleOf(start) {
  const from = new Map([[start, null]])
  for (const file of from.keys())
    for (const next of imports.get(file)) {
      if (next === start) {
        const way = [start]
        for (let at = file; at !== null; at = from.get(at)) way.unshift(at)
        return way
      }
      if (!from.has(next)) from.set(next, file)
    }
  return null
}

const members = new Set()
for (const file of files) {
  const circle = circleOf(file)
  if (!circle || circle.some((one) => members.has(one))) continue
  for (const one of circle) members.add(one)
  console.error(`circle of imports: ${circle.join(' → ')}`)
}
if (members.size) process.exit(1)
