import lodash from 'lodash'
import { xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus'
import { Bench } from 'tinybench'
import { prepareDeal, type Dealer } from '../../src/core/deal/deal.ts'
import { draw } from '../../src/core/deal/draw.ts'
import { DEFAULTS, type Settings } from '../../src/core/game/settings.ts'
import type { Pair } from '../../src/core/game/game.ts'
import { playPerfectMemory } from '../../src/core/odds/players.ts'
import { newRound } from '../../src/core/play/round.ts'

const pairs: Pair[] = Array.from({ length: 18 }, (_, i) => ({
  id: `p${i}`,
  name: `P${i}`,
  a: { kind: 'text', text: String(i) },
}))
const rules: Settings = { ...DEFAULTS, board: { rows: 6, columns: 6, gaps: [] } }

function dealer(): Dealer {
  const made = prepareDeal(pairs, rules)
  if (!made.ok) throw new Error(made.problem.message)
  return made.value
}

/** The bare loop: deals with the same generator and plays the same strategy on integer arrays, without any machine. */
function bareGame(stream: { next(): number }, board: number[], seenAt: number[]): number {
  const cards = board.length
  for (let i = 0; i < cards; i++) board[i] = i >> 1
  for (let i = cards - 1; i > 0; i--) {
    const j = draw(stream, i + 1)
    const pair = board[i]!
    board[i] = board[j]!
    board[j] = pair
  }
  seenAt.fill(-1)
  let next = 0
  let turns = 0
  let found = 0
  while (found * 2 < cards) {
    turns++
    const first = next++
    const pair = board[first]!
    if (seenAt[pair]! >= 0) {
      found++
      continue
    }
    const second = next++
    const other = board[second]!
    if (other === pair) {
      found++
      continue
    }
    seenAt[pair] = first
    if (seenAt[other]! >= 0) {
      turns++
      found++
    } else seenAt[other] = second
  }
  return turns
}

async function compare(
  title: string,
  ours: () => void,
  theirs: () => void,
  against: string,
  wanted: number,
): Promise<void> {
  const bench = new Bench({ time: 1500, warmupTime: 500 })
  bench.add('ours', ours).add('theirs', theirs)
  await bench.run()
  const rate = (name: string): number => {
    const result = bench.getTask(name)!.result
    if (result.state !== 'completed') throw new Error(`${title}: ${name} did not run`)
    return 1000 / result.latency.p50
  }
  const ratio = rate('ours') / rate('theirs')
  console.log(
    `${title}: ${ratio.toFixed(2)} of ${against} (at least ${wanted} is meant) ${ratio < wanted ? 'SHORT' : 'ok'}`,
  )
}

const BATCH = 200
const level = dealer()

let seed = 0
const board = new Array<number>(36).fill(0)
const seenAt = new Array<number>(18).fill(-1)
const bareStream = xoroshiro128plusFromState([1, 2, 3, 4])
await compare(
  'Machine, perfect-memory games of 18 pairs',
  () => {
    for (let i = 0; i < BATCH; i++) playPerfectMemory(newRound(rules, level.deal(`bench-${seed++}`), false))
  },
  () => {
    for (let i = 0; i < BATCH; i++) bareGame(bareStream, board, seenAt)
  },
  'a bare loop of integer arrays',
  0.25,
)

const values = Array.from({ length: 36 }, (_, i) => i)
await compare(
  'Deal, shuffled 6 × 6',
  () => {
    for (let i = 0; i < BATCH; i++) level.deal(`bench-${seed++}`)
  },
  () => {
    for (let i = 0; i < BATCH; i++) lodash.shuffle(values)
  },
  "lodash's shuffle of the same 36 values",
  0.8,
)
