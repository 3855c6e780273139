// dist/project.json: what is the same in every project to go on with, its files by path and the packages it asks for.
import { readFileSync, writeFileSync } from 'node:fs'
import { posix } from 'node:path'
import { isDeepStrictEqual } from 'node:util'
import { ROOT } from './root.mjs'

const TEMPLATES = 'src/project-page/project'
/** Runs the checks of a project; none of our own scripts needs it. */
const VITEST = '^4.1.12'

const textOf = (path) => readFileSync(`${ROOT}/${path}`, 'utf8')

/** A source and all that it imports, with their paths; packages are left out. */
function withImports(path, found = new Map()) {
  if (found.has(path)) return found
  const text = textOf(path)
  found.set(path, text)
  for (const [, from] of text.matchAll(/(?:from|import) '(\.[^']+)'/g))
    withImports(posix.join(posix.dirname(path), from), found)
  return found
}

export function writeProjectParts() {
  const { dependencies, devDependencies } = JSON.parse(textOf('package.json'))
  const files = {
    'README.md': textOf(`${TEMPLATES}/README.md`),
    'index.html': textOf(`${TEMPLATES}/index.html`),
    'tsconfig.json': textOf(`${TEMPLATES}/tsconfig.json`),
    'tests/checks.test.ts': textOf(`${TEMPLATES}/checks.test.ts.txt`),
    'package-lock.json': textOf(`${TEMPLATES}/package-lock.json`),
    '.gitignore': 'node_modules\ndist\n',
    ...Object.fromEntries(withImports('src/project-page/main.ts')),
  }
  const packages = {
    dependencies: { 'pure-rand': dependencies['pure-rand'] },
    devDependencies: {
      '@types/node': devDependencies['@types/node'],
      typescript: devDependencies.typescript,
      vite: devDependencies.vite,
      vitest: VITEST,
    },
  }
  const { dependencies: locked, devDependencies: lockedToo } = JSON.parse(files['package-lock.json'])
    .packages['']
  if (!isDeepStrictEqual({ dependencies: locked, devDependencies: lockedToo }, packages))
    throw new Error(
      `${TEMPLATES}/package-lock.json has other packages than projects ask for: CONTRIBUTING.md says how it is renewed`,
    )
  writeFileSync(`${ROOT}/dist/project.json`, JSON.stringify({ files, packages }))
}
