import type { Finding } from '../../../core/findings/finding.ts'
import { findingsOf, houseFindings } from '../../../core/findings/findings.ts'
import type { Face, Pair } from '../../../core/deck/pair.ts'
import type { Game } from '../../../core/game/game.ts'
import type { Level } from '../../../core/settings/levels.ts'
import type { Settings } from '../../../core/settings/settings.ts'
import { workerError } from '../../store/faults.ts'
import type { FindingsInput, FindingsOutput } from './findings.worker.ts'

export type Finder = { find(game: Game): Promise<GameFindings>; end(): void }
export type GameFindings = { findings: Finding[]; house: Finding[] }

const lightFace = (face: Face): Face => (face.kind === 'image' ? { ...face, src: '' } : face)
/** The checks do not depend on images. */
const light = (pair: Pair): Pair => ({
  ...pair,
  a: lightFace(pair.a),
  ...(pair.b ? { b: lightFace(pair.b) } : {}),
})
/** The place of each member in a list. */
const placesOf = <T>(list: readonly T[]): Map<T, number> => new Map(list.map((one, i) => [one, i]))

/**
 * Works out the findings of one game after another, in a worker that keeps what it knows: a game that differs in one
 * level costs the work of that one. `find` gives the findings of a game; a call that is overtaken by the next never
 * resolves. Without workers it is done at once.
 */
export function newFinder(): Finder {
  if (typeof Worker === 'undefined')
    return {
      find: (game) =>
        Promise.resolve({
          findings: findingsOf(game),
          house: houseFindings(game),
        }),
      end: () => undefined,
    }
  let worker: Worker | null = null
  let run = 0
  let answer: (found: GameFindings) => void = () => undefined
  let pairs: readonly Pair[] | null = null
  let pairPlaces = new Map<Pair, number>()
  let house: Settings | null = null
  let levels = new Map<Level, number>()

  function start(): Worker {
    const worker = new Worker(new URL('./findings.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<FindingsOutput>) => {
      if (data.run === run) answer(data)
    }
    worker.onerror = (event) => reportError(workerError(event))
    return worker
  }
  function find(game: Game): Promise<GameFindings> {
    worker ??= start()
    const { deck } = game
    worker.postMessage({
      run: ++run,
      ...(deck.pairs === pairs
        ? {}
        : { pairs: deck.pairs.map((pair) => pairPlaces.get(pair) ?? light(pair)) }),
      ...(game.house === house ? {} : { house: game.house }),
      levels: game.levels.map((level) => levels.get(level) ?? level),
      back: { ...deck.back, emblem: undefined, image: undefined },
    } satisfies FindingsInput)
    if (deck.pairs !== pairs) pairPlaces = placesOf(deck.pairs)
    pairs = deck.pairs
    house = game.house
    levels = placesOf(game.levels)
    return new Promise((resolve) => (answer = resolve))
  }
  return { find, end: () => worker?.terminate() }
}
