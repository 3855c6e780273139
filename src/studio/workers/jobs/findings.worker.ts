import { findingsOf, levelFindings, type Finding } from '../../../core/findings/findings.ts'
import type { Game } from '../../../core/game/game.ts'
import type { Level } from '../../../core/settings/levels.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'

/** A game to be looked over. What has not changed since the last one is left out; a level then is its place in that one. */
export type LookInput = {
  run: number
  pairs?: Pair[]
  house?: Settings
  levels: (Level | number)[]
  back: Game['deck']['back']
}
/** The findings of a game, and what the checks say of its house rules as if they were a level. */
export type LookOutput = { run: number; findings: Finding[]; house: Finding[] }

/** How long it is worked at a stretch before a newer game can take over, in ms. */
const STRETCH = 40

let game: Game = {
  id: 'looked-over',
  title: '',
  deck: { back: {} as never, pairs: [] },
  house: {} as never,
  levels: [],
}
let latest = 0

self.onmessage = ({ data }: MessageEvent<LookInput>): void => {
  const { run, pairs, house, levels, back } = data
  latest = run
  game = {
    ...game,
    deck: { back, pairs: pairs ?? game.deck.pairs },
    house: house ?? game.house,
    levels: levels.map((level) => (typeof level === 'number' ? game.levels[level]! : level)),
  }
  void lookOver(run, game)
}

async function lookOver(run: number, now: Game): Promise<void> {
  let began = performance.now()
  for (const [i, level] of now.levels.entries()) {
    // what is found of a level is kept, so that all together take no time at the end
    levelFindings(now, level, i, true)
    if (performance.now() - began < STRETCH) continue
    await new Promise((resolve) => setTimeout(resolve))
    if (latest !== run) return
    began = performance.now()
  }
  const house = levelFindings(now, { id: 'house', name: 'House rules' }, 0)
  self.postMessage({ run, findings: findingsOf(now), house } satisfies LookOutput)
}
