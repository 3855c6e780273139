import { resolve } from 'node:path'
import { Writable } from 'node:stream'

type Main = (typeof import('../src/cli/main.ts'))['main']
const ROOT = resolve(import.meta.dirname, '..')

function collector(): { stream: Writable; text(): string } {
  const chunks: string[] = []
  const stream = new Writable({
    write(chunk, _encoding, done) {
      chunks.push(String(chunk))
      done()
    },
  })
  return { stream, text: () => chunks.join('') }
}

/** Calls the command line in this process, as if from the project's folder. */
export async function call(
  main: Main,
  words: readonly string[],
): Promise<{ code: number; out: string; err: string }> {
  const [stdout, stderr] = [collector(), collector()]
  const streams = { stdout: stdout.stream, stderr: stderr.stream }
  const code = await main(words, streams, { folder: ROOT, built: resolve(ROOT, 'dist') })
  return { code, out: stdout.text(), err: stderr.text() }
}

/** Calls the built command line, in this process. */
export async function callBuilt(...words: string[]): ReturnType<typeof call> {
  const { main } = (await import(resolve(ROOT, 'dist/node/cli.js'))) as { main: Main }
  return call(main, words)
}

/** The same, where it has to end with 0. Out: what it printed. */
export async function luckyTwin(...words: string[]): Promise<string> {
  const { code, out, err } = await callBuilt(...words)
  if (code !== 0) throw new Error(`exit ${code}: ${err}`)
  return out
}
