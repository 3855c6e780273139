// What the commands need, made only if it is missing or stale. Node's own modules only: nothing is installed yet.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { CHROMIUM, headlessPath } from './chromium-paths.mjs'
import { ROOT } from './root.mjs'

const NPM = process.platform === 'win32' ? 'npm.cmd' : 'npm'

function filesBelow(path) {
  const whole = join(ROOT, path)
  if (!existsSync(whole)) return []
  if (!statSync(whole).isDirectory()) return [path]
  return readdirSync(whole)
    .sort()
    .flatMap((name) => filesBelow(join(path, name)))
}

function hashOf(paths) {
  const hash = createHash('sha256')
  for (const path of paths.flatMap(filesBelow)) hash.update(path).update(readFileSync(join(ROOT, path)))
  return hash.digest('hex')
}

const stampIs = (path, value) => existsSync(path) && readFileSync(path, 'utf8') === value

/** Installs the packages of the lock file, unless those of this exact lock file are there. */
export function ensurePackages() {
  const stamp = join(ROOT, 'node_modules', '.lucky-twin-lock')
  const lock = hashOf(['package-lock.json'])
  if (stampIs(stamp, lock)) return
  console.log('Installing packages …')
  const done = spawnSync(NPM, ['ci', '--no-audit', '--no-fund'], { cwd: ROOT, stdio: 'inherit' })
  if (done.status !== 0) process.exit(done.status ?? 1)
  writeFileSync(stamp, lock)
}

/**
 * Builds the player, the studio, the server and the command line, if their sources have changed. The build tool's
 * memory is freed with its process.
 */
export function ensureBuild() {
  const stamp = join(ROOT, 'dist', '.built')
  const made = hashOf([
    'src',
    'demo',
    'scripts',
    'public/mark.svg',
    'index.html',
    'package.json',
    'package-lock.json',
    'LICENSE',
    'docs/engine.md',
    'docs/kit.md',
    'docs/shuffle.md',
    'tsconfig.engine.json',
    'vite.config.ts',
    'vite.engine.config.ts',
    'vite.player.config.ts',
    'vite.node.config.ts',
  ])
  if (stampIs(stamp, made)) return
  console.log('Building …')
  const code = run(process.execPath, [join(ROOT, 'scripts', 'tools', 'build-all.mjs')])
  if (code !== 0) process.exit(code)
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, made)
}

/** Installs a Debian package, if this user may. Out: whether it is there now. */
function install(name) {
  const root = process.getuid?.() === 0
  const apt = (...rest) => {
    const [command, ...start] = root ? ['apt-get'] : ['sudo', '-n', 'apt-get']
    return spawnSync(command, [...start, ...rest], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      timeout: 600_000,
    }).status
  }
  console.log(`Installing ${name} …`)
  return apt('update') === 0 && apt('install', '-y', name) === 0
}

/** Chromium: Debian's, installed if it is missing and this user may. Out: its path. */
export function ensureChromium() {
  if (existsSync(CHROMIUM) || (install('chromium') && existsSync(CHROMIUM))) return CHROMIUM
  console.error(
    `The browser tests need chromium at ${CHROMIUM}, and it could not be installed with apt-get.\n` +
      'Install it as root (apt-get install chromium), or set CHROMIUM_PATH to one that is there.',
  )
  process.exit(1)
}

/** Chromium without windows too, in which most tests run; without it they run in chromium. */
export function ensureHeadless() {
  if (process.env.CHROMIUM_PATH || headlessPath() !== CHROMIUM) return
  if (!install('chromium-headless-shell')) console.log('Not to be had; the tests run in chromium.')
}

/** Runs a program to its end. Out: its exit code. */
export function run(command, args, env = {}) {
  return (
    spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1
  )
}

/** The same while others run: its output appears at its end, all at once. */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] })
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data))
    child.on('error', (error) => (said += error.message))
    child.on('close', (code) => {
      process.stdout.write(said)
      resolve(code ?? 1)
    })
  })
}
