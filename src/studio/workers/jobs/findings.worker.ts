import type { Finding } from '../../../core/findings/finding.ts'
import { findingsOf, houseFindings, levelFindings } from '../../../core/findings/findings.ts'
import type { Game } from '../../../core/game/game.ts'
import type { Level } from '../../../core/settings/levels.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'

/** A game to be checked. What has not changed since the last one is left out; a level or a pair then is its place in that one. */
export type FindingsInput = {
  run: number
  pairs?: (Pair | number)[]
  house?: Settings
  levels: (Level | number)[]
  back: Game['deck']['back']
}
/** The findings of a game, and what the checks say of its house rules as if they were a level. */
export type FindingsOutput = { run: number; findings: Finding[]; house: Finding[] }

/** How long it is worked at a stretch before a newer game can take over, in ms. */
const STRETCH = 40
/** How long the page has to show an edit, and quick hands to make the next, in ms: with two cores, this work would take one of them. */
const HEAD_START = 200

let game: Game = {
  id: 'checked',
  title: '',
  deck: { back: {} as never, pairs: [] },
  house: {} as never,
  levels: [],
}
let latest = 0

self.onmessage = ({ data }: MessageEvent<FindingsInput>): void => {
  const { run, pairs, house, levels, back } = data
  latest = run
  game = {
    ...game,
    deck: { back, pairs: pairs ? known(pairs, game.deck.pairs) : game.deck.pairs },
    house: house ?? game.house,
    levels: known(levels, game.levels),
  }
  setTimeout(() => {
    if (latest === run) void find(run, game)
  }, HEAD_START)
}

/** A list in which numbers stand for what was at that place in the one before. */
const known = <T extends object>(list: readonly (T | number)[], before: readonly T[]): T[] =>
  list.map((one) => (typeof one === 'number' ? before[one]! : one))

async function find(run: number, now: Game): Promise<void> {
  let began = performance.now()
  for (const [i, level] of now.levels.entries()) {
    // what is found of a level is kept, so that all together take no time at the end
    levelFindings(now, level, i, true)
    if (performance.now() - began < STRETCH) continue
    await new Promise((resolve) => setTimeout(resolve))
    if (latest !== run) return
    began = performance.now()
  }
  const house = houseFindings(now)
  self.postMessage({ run, findings: findingsOf(now), house } satisfies FindingsOutput)
}
