// npm test [NAME …]: installs what is missing, then lint, types, unit tests and browser tests; ends with how long each
// phase took, the ten slowest tests, what failed and why, and the sum on one line. With names only the tests run, unit and browser, whose
// path has one of them.
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import {
  ensureBuild,
  ensureChromium,
  ensureHeadless,
  ensurePackages,
  run,
  runBeside,
} from './tools/ensure.mjs'
import { ROOT } from './tools/root.mjs'

const names = process.argv.slice(2)
/** The seconds that each phase took, by its name. */
const phases = {}
/** Runs a phase, and notes how long it took. */
async function phase(name, work) {
  const start = performance.now()
  const result = await work()
  phases[name] = (performance.now() - start) / 1000
  return result
}

await phase('packages', ensurePackages)
await phase('chromium', () => {
  ensureChromium()
  ensureHeadless()
})
await phase('build', ensureBuild)

const reports = mkdtempSync(join(tmpdir(), 'lucky-twin-'))
const read = (name) => {
  try {
    return JSON.parse(readFileSync(join(reports, name), 'utf8'))
  } catch {
    return null
  }
}
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm'
/** the names of steps that failed as a whole */
const broken = []
/** A step that is not a test: if it fails, the whole run fails. */
const step = (name, code) => {
  if (code !== 0) {
    console.error(`${name} failed`)
    broken.push(name)
  }
}

if (!names.length) {
  // beside each other: both use one core
  const [lint, types] = await phase('lint and types', () =>
    Promise.all(['lint', 'typecheck'].map((name) => runBeside(npm, ['run', '-s', name]))),
  )
  step('lint', lint)
  step('type check', types)
}

/** The files whose path has one of the names, or all. Out: null if there are none. */
const filesNamed = (folder, end) => {
  if (!names.length) return []
  const files = readdirSync(join(ROOT, folder), { recursive: true })
    .map((file) => join(folder, file))
    .filter((file) => file.endsWith(end) && names.some((name) => file.includes(name)))
  return files.length ? files : null
}

/** Runs the tests of one kind. Out: its exit code. */
function runTests(kind, files, words, env) {
  if (!files) return 0
  return phase(`${kind} tests`, () => run(npm, ['run', '-s', kind, '--', ...words, ...files], env))
}
const unitFiles = filesNamed('src', '.test.ts')
const browserFiles = filesNamed('tests', '.spec.ts')
if (!unitFiles && !browserFiles) {
  console.error(`no tests are named ${names.join(' or ')}`)
  process.exit(1)
}
const unitCode = await runTests('unit', unitFiles, [
  '--json',
  `--outputFile=${join(reports, 'unit.json')}`,
  '--silent',
])
const browserCode = await runTests('browser', browserFiles, [], {
  TEST_REPORT: join(reports, 'browser.json'),
})

const unit = read('unit.json')
const browser = read('browser.json')
if (unitFiles && !unit) step('unit tests', unitCode || 1)
if (browserFiles && !browser) step('browser tests', browserCode || 1)
rmSync(reports, { recursive: true, force: true })

/** All tests of a browser report, in whatever groups they stand. */
const testsIn = (suite) => [
  ...(suite.specs ?? []).flatMap(({ file, title, tests }) =>
    tests.map(({ results }) => ({
      name: `${file} › ${title}`,
      ms: results.reduce((sum, { duration }) => sum + duration, 0),
      errors: results.flatMap(({ errors }) => errors.map(({ message }) => message ?? '')),
    })),
  ),
  ...(suite.suites ?? []).flatMap(testsIn),
]
const timed = [
  ...(unit?.testResults ?? []).flatMap(({ name, assertionResults }) =>
    assertionResults.map(({ fullName, duration, failureMessages }) => ({
      name: `${name.slice(ROOT.length + 1)} › ${fullName}`,
      ms: duration ?? 0,
      errors: failureMessages,
    })),
  ),
  ...(browser ? testsIn(browser) : []),
]
console.log('The ten slowest tests:')
for (const { name, ms } of timed.sort((a, b) => b.ms - a.ms).slice(0, 10))
  console.log(`${(ms / 1000).toFixed(1).padStart(8)} s  ${name}`)
console.log('Time by phase:')
for (const [name, seconds] of Object.entries(phases))
  console.log(`${seconds.toFixed(1).padStart(8)} s  ${name}`)

const wrong = timed.filter(({ errors }) => errors.length)
if (wrong.length || broken.length) console.log('What failed:')
for (const name of broken) console.log(`    ${name}, see above`)
for (const { name, errors } of wrong) {
  console.log(`    ${name}`)
  const lines = stripVTControlCharacters(errors[0]).split('\n').filter(Boolean)
  console.log(
    lines
      .slice(0, 8)
      .map((line) => `        ${line}`)
      .join('\n'),
  )
}

// a file that could not run at all counts as one failure
const passed = (unit?.numPassedTests ?? 0) + (browser?.stats.expected ?? 0)
const failed =
  (unit ? unit.numFailedTests + unit.numRuntimeErrorTestSuites : unitFiles ? 1 : 0) +
  (browser ? browser.stats.unexpected + browser.stats.flaky + browser.errors.length : browserFiles ? 1 : 0)
console.log(`in ${ROOT}`)
console.log(`${passed} passed, ${failed + broken.length} failed`)
process.exit(failed || broken.length || unitCode || browserCode ? 1 : 0)
