// npm test: installs what is missing, then lint, types, unit tests and browser tests; ends with their sum on one line.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  ensureBuild,
  ensureChromium,
  ensureHeadless,
  ensurePackages,
  run,
  runBeside,
} from './tools/ensure.mjs'
import { ROOT } from './tools/root.mjs'

ensurePackages()
ensureChromium()
ensureHeadless()
ensureBuild()

const reports = mkdtempSync(join(tmpdir(), 'lucky-twin-'))
const read = (name) => {
  try {
    return JSON.parse(readFileSync(join(reports, name), 'utf8'))
  } catch {
    return null
  }
}
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm'
let broken = false
/** A step that is not a test: if it fails, the whole run fails. */
const step = (name, code) => {
  if (code !== 0) {
    console.error(`${name} failed`)
    broken = true
  }
}

// beside each other: both use one core
const [lint, types] = await Promise.all(
  ['lint', 'typecheck'].map((name) => runBeside(npm, ['run', '-s', name])),
)
step('lint', lint)
step('type check', types)
const unitCode = run(npm, [
  'run',
  '-s',
  'unit',
  '--',
  '--json',
  `--outputFile=${join(reports, 'unit.json')}`,
  '--silent',
])
const browserCode = run(npm, ['run', '-s', 'browser'], {
  TEST_REPORT: join(reports, 'browser.json'),
})

const unit = read('unit.json')
const browser = read('browser.json')
if (!unit) step('unit tests', unitCode || 1)
if (!browser) step('browser tests', browserCode || 1)
// a file that could not run at all counts as one failure
const passed = (unit?.numPassedTests ?? 0) + (browser?.stats.expected ?? 0)
const failed =
  (unit ? unit.numFailedTests + unit.numRuntimeErrorTestSuites : 1) +
  (browser ? browser.stats.unexpected + browser.stats.flaky + browser.errors.length : 1)
rmSync(reports, { recursive: true, force: true })
console.log(`in ${ROOT}`)
console.log(`${passed} passed, ${failed + (broken ? 1 : 0)} failed`)
process.exit(failed || broken || unitCode || browserCode ? 1 : 0)
