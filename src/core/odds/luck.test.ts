import { describe, expect, test } from '@jest/globals'
import { READY_MINDS } from '../settings/mind.ts'
import { levelOf, mindWith } from '../testing/levels.ts'
import { sensitivities, stepsThatMatter } from './sensitivity.ts'
import { playGames, type OneGame } from './games.ts'
import { betterShare, dealsShare, kindToHard, luckOf, playDeals, takeApart } from './luck.ts'

const ready = (id: string) => READY_MINDS.find((mind) => mind.id === id)!

describe('taking variance apart', () => {
  test('by hand', () => {
    // means 2 and 6: MSB = 2 · (2² + 2²) = 16, MSW = (1 + 1 + 1 + 1) / 2 = 2
    const apart = takeApart([
      [1, 3],
      [5, 7],
    ])
    expect(apart).toEqual({ mean: 4, betweenDeals: 7, withinDeals: 2 })
    expect(dealsShare(apart)).toBeCloseTo(7 / 9, 12)
  })
  test('nothing is the deal’s where only plays differ, all where only deals do, and nothing is told where nothing varies', () => {
    expect(
      dealsShare(
        takeApart([
          [1, 3],
          [3, 1],
          [2, 2],
        ]),
      ),
    ).toBe(0)
    expect(
      dealsShare(
        takeApart([
          [1, 1],
          [3, 3],
        ]),
      ),
    ).toBe(1)
    expect(
      dealsShare(
        takeApart([
          [2, 2],
          [2, 2],
        ]),
      ),
    ).toBeNull()
  })
})

describe('luck', () => {
  test('a mind that chooses at random on any deal owes nothing to it', () => {
    const level = levelOf(5, { score: { match: 100 } })
    const luck = luckOf(playDeals(level, mindWith({ notice: 0 }), 'blind', [1, 200], 10))
    expect(luck.turns).toBeLessThan(0.03)
    // each of five pairs is found by chance
    expect(luck.lucky).toBeLessThan(5)
  })
  test('all of it is the deal’s where cards that were seen lie side by side or do not', () => {
    // a first look of all cards leaves nothing to chance but the pairs themselves
    const level = levelOf(6, { turn: { firstLook: 1000 } })
    const deals = playDeals(level, mindWith({ glance: 1 }), 'seen', [1, 20], 3)
    expect(luckOf(deals)).toMatchObject({ turns: null, lucky: 0 })
  })
  test('the same plays come out however deals are cut into lots', () => {
    const level = levelOf(5)
    const lot = (from: number, to: number) => playDeals(level, ready('everyday'), 'lots', [from, to], 3)
    expect([...lot(1, 4), ...lot(5, 9)]).toEqual(lot(1, 9))
  })
  test('a deal that is always the same is played with other chances each time', () => {
    const level = levelOf(5, { deal: { seed: { fixed: 'one' } } })
    const [deal] = playDeals(level, ready('everyday'), 'fixed', [1, 1], 30)
    expect(deal!.seed).toBe('one')
    expect(new Set(deal!.plays.map(({ turns }) => turns)).size).toBeGreaterThan(1)
  })
})

describe('kind and hard deals', () => {
  const play = (end: OneGame['end'], turns: number): OneGame => ({
    end,
    turns,
    time: 0,
    score: 0,
    stars: -1,
    lucky: 0,
    slips: 0,
    waited: 0,
  })
  const deal = (seed: string, ...plays: OneGame[]) => ({ deal: 1, seed, plays })
  test('go by wins where games are lost, the kindest first, drawn towards the mean', () => {
    const { by, deals } = kindToHard([
      deal('hard', play('turns', 5), play('turns', 5), play('won', 5), play('turns', 5)),
      deal('kind', play('won', 9), play('won', 9), play('won', 9), play('won', 9)),
    ])
    expect(by).toBe('won')
    expect(deals.map(({ seed, mean }) => [seed, mean])).toEqual([
      ['kind', 1],
      ['hard', 0.25],
    ])
    expect(deals[0]!.shrunk).toBeGreaterThan(0.625)
    expect(deals[0]!.shrunk).toBeLessThan(1)
    expect(deals[0]!.shrunk + deals[1]!.shrunk).toBeCloseTo(1.25, 12)
  })
  test('go by turns where all are won', () => {
    const { by, deals } = kindToHard([
      deal('slow', play('won', 20), play('won', 22)),
      deal('quick', play('won', 10), play('won', 12)),
    ])
    expect([by, deals.map(({ seed }) => seed)]).toEqual(['turns', ['quick', 'slow']])
  })
  test('are all the same where deals make no difference', () => {
    const { deals } = kindToHard([
      deal('one', play('won', 10), play('won', 20)),
      deal('other', play('won', 20), play('won', 10)),
    ])
    expect(deals.map(({ shrunk }) => shrunk)).toEqual([15, 15])
  })
  test('of two minds the better one wins more deals; against itself half', () => {
    const level = levelOf(6)
    const plays = (id: string) => playDeals(level, ready(id), 'two', [1, 200], 1).map((one) => one.plays[0]!)
    expect(betterShare(plays('perfect'), plays('perfect'))).toBe(0.5)
    const better = betterShare(plays('perfect'), plays('fleeting'))
    expect(better).toBeGreaterThan(0.7)
    expect(better + betterShare(plays('fleeting'), plays('perfect'))).toBeCloseTo(1, 12)
  })
})

describe('what wins hang on', () => {
  test('only rules that matter are asked: none without a limit, looks only under a clock that runs on', () => {
    const keys = (own: Parameters<typeof levelOf>[1]) =>
      stepsThatMatter(levelOf(4, own).settings).map(({ key }) => key)
    expect(keys({})).toEqual([])
    expect(keys({ limits: { turns: 9 } })).toEqual(['turns', 'firstLook'])
    const clock = { mode: 'down', limit: 30_000 } as const
    expect(keys({ clock })).toEqual([
      'limit',
      'matchBonus',
      'missPenalty',
      'firstLook',
      'missLook',
      'matchLook',
    ])
    expect(keys({ clock: { ...clock, lookStopsClock: true } })).not.toContain('missLook')
    // a rule at its highest has no further step
    expect(keys({ limits: { turns: 9999 } })).toEqual(['firstLook'])
  })
  test('more turns help, a longer look under a clock hurts, and what does nothing is not told apart from 0', () => {
    const level = levelOf(6, { clock: { mode: 'down', limit: 33_000 }, limits: { turns: 40 } })
    const told = Object.fromEntries(
      sensitivities(level, ready('everyday'), 'hang', 1000).map((one) => [one.key, one]),
    )
    expect(told.limit).toMatchObject({ by: 5000, told: true })
    expect(told.limit!.change).toBeGreaterThan(0)
    expect(told.missLook!.change).toBeLessThan(0)
    expect(told.missLook!.told).toBe(true)
    expect(told.turns).toMatchObject({ change: 0, told: false })
    // the change is that of the shares themselves
    const share = (limit: number) => {
      const settings = { ...level.settings, clock: { ...level.settings.clock, limit } }
      const { ends } = playGames({ ...level, settings }, ready('everyday'), 'hang', 1, 1000)
      return ends.filter((end) => end === 0).length / 1000
    }
    expect(told.limit!.change).toBeCloseTo(share(38_000) - share(33_000), 12)
  })
})
