import { describe, expect, test } from '@jest/globals'
import { prepareDeal } from '../deal/deal.ts'
import { cardOf } from '../deck/card.ts'
import { newRound } from '../play/new-round.ts'
import { READY_MINDS, type Memory, type Mind } from '../settings/mind.ts'
import type { Own } from '../settings/levels.ts'
import { exactTurns } from '../testing/exact-minds.ts'
import { pairsNamed, settingsWith } from '../testing/games.ts'
import { countBounds, MOST_ERRORS, testSeed } from '../testing/chance.ts'
import { levelOf, mindWith, PERFECT } from '../testing/levels.ts'
import { mindStreams } from './chance.ts'
import { joinGames, playGames } from './games.ts'
import { oddsOf, OddsTally, type Odds } from './odds-of.ts'
import { par } from './par.ts'
import { playMinds } from './play-minds.ts'
import { MindPlayer } from './player-mind.ts'
import { missChances } from './turns.ts'

const ready = (id: string): Mind => READY_MINDS.find((mind) => mind.id === id)!
/** Seeded games of a mind on a board of two rows of different pairs. */
function played(pairs: number, mind: Mind, games: number, own: Own = {}): Odds {
  return oddsOf(playGames(levelOf(pairs, own), mind, testSeed('odds'), 1, games))
}
const errors = ({ turns }: Odds, expected: number): number => Math.abs(turns.mean - expected) / turns.error!

describe('the exact turns that games are held against', () => {
  test.each([2, 3, 4])('are par for a perfect memory, and n² for none, on %i pairs', (pairs) => {
    expect(exactTurns(pairs, PERFECT)).toBeCloseTo(par(pairs).turns, 8)
    expect(exactTurns(pairs, { ...PERFECT, notice: 0 })).toBeCloseTo(pairs * pairs, 6)
  })
})

// 2,500 games: turns vary by less than half their mean, so a memory that needs 7 % more or less is seen 99 times of 100
describe('a mind needs as many turns as its memory says', () => {
  const GAMES = 2500
  const MEMORIES: [number, Partial<Memory>][] = [
    ...[0, 1, 2, 3, 4].map((hold): [number, Partial<Memory>] => [2, { hold }]),
    ...[0, 1, 2, 3, 4, 6].map((hold): [number, Partial<Memory>] => [3, { hold }]),
    ...[1, 2, 4, 8].map((hold): [number, Partial<Memory>] => [4, { hold }]),
    ...[2, 3].flatMap((pairs) => [0.25, 0.5, 1].map((fade): [number, Partial<Memory>] => [pairs, { fade }])),
    ...[2, 3].flatMap((pairs) => [0, 0.5].map((notice): [number, Partial<Memory>] => [pairs, { notice }])),
    [2, { notice: 0.5, hold: 2, fade: 0.25 }],
  ]
  test.each(MEMORIES)('%i pairs, %j', (pairs, memory) => {
    const games = played(pairs, mindWith(memory), GAMES)
    expect(games.won).toBe(GAMES)
    const exact = exactTurns(pairs, { ...PERFECT, ...memory })
    expect(errors(games, exact)).toBeLessThan(MOST_ERRORS)
  })
  test('a perfect one has the exact distribution of turns', () => {
    const pairs = 6
    const { histogram, games } = played(pairs, mindWith({}), GAMES)
    missChances(pairs).forEach((chance, misses) => {
      const [fewest, most] = countBounds(games, chance)
      const count = histogram[pairs + misses] ?? 0
      expect([misses, count, fewest <= count && count <= most]).toEqual([misses, count, true])
    })
  })
  test('the better the memory, the fewer turns', () => {
    const turns = ['perfect', 'keen', 'everyday', 'fleeting', 'none'].map(
      (id) => played(8, ready(id), 400).turns.mean,
    )
    expect(turns).toEqual([...turns].sort((a, b) => a - b))
  })
})

test('each trace fades on its own, however old it is', () => {
  // 4,000 boards: a chance that is wrong by 0.06 is seen 99 times of 100
  const [fade, boards] = [0.25, 4000]
  const mind = mindWith({ fade })
  const cells = pairsNamed(6).flatMap((_, pair) => [cardOf(pair, 'a', false), cardOf(pair, 'a', false)])
  const misses = [0, 4, 8]
  /** by cell: how often its trace is left after the three misses; and how often both of two are */
  const left = new Array<number>(cells.length).fill(0)
  let both = 0
  for (let board = 1; board <= boards; board++) {
    const player = new MindPlayer(mind, cells, 4, mindStreams(testSeed('fades'), board))
    for (const cell of misses) player.settled(cell, cell + 2, false)
    const held = new Set(player.traces.held())
    for (const cell of held) left[cell]!++
    if (held.has(0) && held.has(4)) both++
  }
  const isAbout = (count: number, chance: number): void => {
    const [fewest, most] = countBounds(boards, chance)
    expect(count).toBeGreaterThanOrEqual(fewest)
    expect(count).toBeLessThanOrEqual(most)
  }
  for (const [at, cell] of misses.entries())
    for (const one of [cell, cell + 2]) isAbout(left[one]!, (1 - fade) ** (misses.length - at))
  isAbout(both, (1 - fade) ** 5)
})

describe('a first look', () => {
  test('of each card for long enough leaves nothing to find', () => {
    const all = played(6, mindWith({ glance: 100 }), 200, { turn: { firstLook: 1200 } })
    expect(all.turns).toEqual({ mean: 6, error: 0 })
  })
  test('is no help where a mind never looks, and shows no more cards than there is time for', () => {
    const turns = [0, 2000, 400, 100].map(
      (glance) => played(6, mindWith({ glance }), 3000, { turn: { firstLook: 1999 } }).turns.mean,
    )
    expect(turns[1]).toBe(turns[0])
    expect(turns[2]).toBeLessThan(turns[1]! - 0.3)
    expect(turns[3]).toBe(6)
  })
  test('shows no more than can be held', () => {
    const held = played(6, mindWith({ glance: 1, hold: 0 }), 300, { turn: { firstLook: 1000 } })
    expect(held.turns.mean).toBeGreaterThan(25)
  })
})

describe('blur', () => {
  test('misses a remembered cell where there is one beside it', () => {
    const [sure, blurred] = [0, 0.5].map((blur) => played(6, mindWith({ blur }), 500).turns.mean)
    expect(blurred! - sure!).toBeGreaterThan(2)
  })
  test('that never lets a pair be met ends by itself', () => {
    // twins lie crosswise in two pairs of cells: each press for one hits the other
    const board = { rows: 2, columns: 3, gaps: ['B1', 'B2'] }
    const games = played(2, mindWith({ blur: 1 }), 60, { board })
    const given = games.games - games.won
    expect(given).toBeGreaterThan(0)
    expect(games.won).toBeGreaterThan(0)
    expect(games.histogram[1040]).toBe(given)
  })
  test('a remembered card that stands alone is never missed', () => {
    // two pairs on four cells that do not touch
    const board = { rows: 3, columns: 3, gaps: ['B1', 'A2', 'B2', 'C2', 'B3'] }
    const means = [0, 1].map((blur) => played(2, mindWith({ blur }), 500, { board }).turns.mean)
    expect(means[1]).toBe(means[0])
  })
})

describe('pace', () => {
  /** What falls due in a game of one pair, or of misses, at a pace without spread. */
  const timeOf = (pairs: number, own: Own): number[] => {
    const settings = settingsWith({ board: { rows: 2, columns: pairs }, ...own })
    const dealer = prepareDeal(pairsNamed(pairs), settings)
    if (!dealer.ok) throw new Error(dealer.problem.message)
    const round = newRound(settings, dealer.value.deal('one'))
    playMinds(round, [mindWith({})], 'pace', 1)
    return round.events!.flatMap((event) => (event.kind === 'flip' ? [event.at] : []))
  }
  test('the first card after the board is ready, the second after the first', () =>
    expect(timeOf(1, { turn: { firstLook: 3000 } })).toEqual([4000, 4500]))
  test('a look that cannot be cut short is waited for', () => {
    const flips = timeOf(4, { turn: { missLook: 2000, matchLook: 2000 } })
    for (let turn = 1; turn < flips.length / 2; turn++)
      expect(flips[2 * turn]! - flips[2 * turn - 1]!).toBe(3000)
  })
  test.each([
    ['skip', { duringLook: 'skip' }],
    ['skip-and-flip', { duringLook: 'skip-and-flip' }],
    ['button', { onMiss: 'button', matchLook: 400 }],
  ] as const)('one that can be is looked at for 400 ms: %s', (_name, turn) => {
    const flips = timeOf(4, { turn: { missLook: 9000, matchLook: 9000, ...turn } })
    for (let at = 1; at < flips.length / 2; at++) expect(flips[2 * at]! - flips[2 * at - 1]!).toBe(1400)
  })
  test('cards that wait for a press wait for the end of their look', () => {
    const flips = timeOf(4, { turn: { onMiss: 'press', missLook: 700, matchLook: 700 } })
    for (let at = 1; at < flips.length / 2; at++) expect(flips[2 * at]! - flips[2 * at - 1]!).toBe(1700)
  })
  test('varies as it says, and changes nothing that is remembered', () => {
    const steady = played(6, mindWith({ hold: 3, fade: 0.1 }), 500)
    const varied = played(6, mindWith({ hold: 3, fade: 0.1 }, { spread: 1, first: 3000 }), 500)
    expect(varied.histogram).toEqual(steady.histogram)
    expect(varied.time.mean).toBeGreaterThan(steady.time.mean)
  })
  test('that would make a game last for weeks ends it', () => {
    const slow = played(20, mindWith({ notice: 0 }, { first: 60_000, second: 60_000, spread: 3 }), 20)
    expect(slow.won).toBeLessThan(slow.games)
    expect(slow.turns.mean).toBeLessThan(1000)
  })
  test('is rounded to whole ms, from 1 up', () => {
    const hasty = played(1, mindWith({}, { first: 1, second: 1, spread: 3 }), 200)
    expect(hasty.time.mean).toBeGreaterThan(1)
    const { time } = playGames(levelOf(1), mindWith({}, { spread: 1 }), 'odds', 1, 200)
    expect(time.every((ms) => Number.isInteger(ms) && ms >= 1)).toBe(true)
  })
})

test('several minds at one table see each other’s cards, and the same seed gives the same games', () => {
  const settings = settingsWith({
    board: { rows: 2, columns: 5 },
    players: { names: ['One', 'Two'] },
  })
  const dealer = prepareDeal(pairsNamed(5), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const game = (minds: Mind[]) => {
    const round = newRound(settings, dealer.value.deal('table'))
    playMinds(round, minds, 'seats', 1)
    return round
  }
  const [one, other] = [game([ready('perfect'), ready('none')]), game([ready('perfect'), ready('none')])]
  expect(one.phase).toBe('won')
  expect(one.events).toEqual(other.events)
  // perfect memories never miss a pair that a neighbour has shown
  const sure = game([ready('perfect')])
  expect(sure.seats!.every(({ misses }) => misses > 0)).toBe(true)
  expect(sure.slips).toBe(0)
})

test('games end where the clock, the lives or the turns end them, and are counted so', () => {
  const by = (own: Own) => played(6, ready('none'), 200, own)
  const clock = by({ clock: { mode: 'down', limit: 20_000 } })
  expect(clock.lostBy).toEqual({ clock: 200 - clock.won, lives: 0, turns: 0 })
  const lives = by({ limits: { lives: 3 } })
  expect(lives.lostBy).toEqual({ clock: 0, lives: 200 - lives.won, turns: 0 })
  const turns = by({ limits: { turns: 12 } })
  expect(turns.lostBy).toEqual({ clock: 0, lives: 0, turns: 200 - turns.won })
  expect(turns.histogram.length).toBeLessThanOrEqual(13)
  for (const { won } of [clock, lives, turns]) expect(won).toBeLessThan(200)
})

test('how games are cut into lots changes nothing', () => {
  const settings = settingsWith({ board: { rows: 2, columns: 6 }, clock: { mode: 'down', limit: 60_000 } })
  const dealer = prepareDeal(pairsNamed(6), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  const level = { settings, dealer: dealer.value }
  const lot = (from: number, to: number) => playGames(level, ready('everyday'), 'lots', from, to)
  const [first, second] = [lot(1, 130), lot(131, 200)]
  expect(oddsOf(joinGames([first, second]))).toEqual(oddsOf(lot(1, 200)))
  const tally = new OddsTally()
  for (const one of [lot(1, 1), lot(2, 130), second]) tally.add(one)
  expect(tally.odds()).toEqual(oddsOf(lot(1, 200)))
})
