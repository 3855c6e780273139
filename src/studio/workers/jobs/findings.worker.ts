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
/** How long the page has to show an edit first, in ms: with two cores, this work would take one of them. Where it takes long itself, quick hands can make the next edit before it begins. */
const HEAD_START = { least: 60, most: 250 } as const

let game: Game = {
  id: 'checked',
  title: '',
  deck: { back: {} as never, pairs: [] },
  house: {} as never,
  levels: [],
}
let latest = 0
/** what the last work took, in ms */
let took = 0

self.onmessage = ({ data }: MessageEvent<FindingsInput>): void => {
  const { run, pairs, house, levels, back } = data
  latest = run
  game = {
    ...game,
    deck: { back, pairs: pairs ? known(pairs, game.deck.pairs) : game.deck.pairs },
    house: house ?? game.house,
    levels: known(levels, game.levels),
  }
  setTimeout(
    () => {
      if (latest === run) void find(run, game)
    },
    Math.min(HEAD_START.most, Math.max(HEAD_START.least, took)),
  )
}

/** A list in which numbers stand for what was at that place in the one before. */
const known = <T extends object>(list: readonly (T | number)[], before: readonly T[]): T[] =>
  list.map((one) => (typeof one === 'number' ? before[one]! : one))

async function find(run: number, now: Game): Promise<void> {
  const start = performance.now()
  let began = start
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
  took = performance.now() - start
}
