import type { Finding } from '../../../core/findings/finding.ts'
import { findingsOf, houseFindings, levelFindings } from '../../../core/findings/findings.ts'
import type { Game } from '../../../core/game/game.ts'
import type { Level } from '../../../core/settings/levels.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { debounceTime } from './debounce.ts'
import { nextTask } from '../../store/next-task.ts'

/**
 * A game to be checked, without the parts that have not changed since the last one; for an unchanged level or pair its
 * place in that game is sent.
 */
export type FindingsInput = {
  run: number
  pairs?: (Pair | number)[]
  house?: Settings
  levels: (Level | number)[]
  back: Game['deck']['back']
}
/** The findings of a game, and those of its house rules as if they were a level. */
export type FindingsOutput = { run: number; findings: Finding[]; house: Finding[] }

/** After this many ms of work, a newer game may take over. */
const STRETCH = 40
/** The page gets at least this many ms to show an edit before the checks start: on two cores they take one of them. */
const HEAD_START = 60

// empty until the first game comes
let game: Game = {
  id: 'checked',
  title: '',
  deck: { back: {} as never, pairs: [] },
  house: {} as never,
  levels: [],
}
let latest = 0
/** how long the last checks took, in ms */
let took = 0

self.onmessage = ({ data }: MessageEvent<FindingsInput>): void => {
  const { run, pairs, house, levels, back } = data
  latest = run
  game = {
    ...game,
    deck: { back, pairs: pairs ? fillIn(pairs, game.deck.pairs) : game.deck.pairs },
    house: house ?? game.house,
    levels: fillIn(levels, game.levels),
  }
  setTimeout(
    () => {
      if (latest === run) find(run, game).catch(reportError)
    },
    debounceTime(HEAD_START, took),
  )
}

/** A list in which numbers stand for the entries at those places in the previous one. */
const fillIn = <T extends object>(list: readonly (T | number)[], before: readonly T[]): T[] =>
  list.map((one) => (typeof one === 'number' ? before[one]! : one))

async function find(run: number, now: Game): Promise<void> {
  const start = performance.now()
  let began = start
  for (const [i, level] of now.levels.entries()) {
    // the findings of a level are kept, so that all together take no time at the end
    levelFindings(now, level, i, true)
    if (performance.now() - began < STRETCH) continue
    await nextTask()
    if (latest !== run) return
    began = performance.now()
  }
  const house = houseFindings(now)
  self.postMessage({ run, findings: findingsOf(now), house } satisfies FindingsOutput)
  took = performance.now() - start
}
