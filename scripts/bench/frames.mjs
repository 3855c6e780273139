// What the benches in a browser share: the built app, and how long its frames take.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { ROOT } from '../tools/root.mjs'

/** No frame may take longer, in ms. */
export const LONGEST_FRAME = 50

/** How many frames, of their lengths in ms, take too long, of how many, and the longest. */
export function longFrames(frames) {
  // a browser's times are whole tenths of a ms: three frames of a sixtieth read as 49.9 to 50.1
  const long = frames.filter((time) => time > LONGEST_FRAME + 0.1).length
  return { long, of: frames.length, worst: Math.max(...frames) }
}

/** The built app on a free port of this machine. Out: its address, and how to end it. */
export async function served() {
  const server = spawn(process.execPath, ['dist/node/server.js'], {
    cwd: ROOT,
    env: { ...process.env, HOST: '127.0.0.1', PORT: '' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  for (;;) {
    const [data] = await once(server.stdout, 'data')
    said += data
    const address = /http:\/\/\S+/.exec(said)?.[0]
    if (address) return { address, end: () => server.kill() }
  }
}
