import { describe, expect, test } from '@jest/globals'
import { prepareDeal, type Dealer } from '../deal/deal.ts'
import { streamOf } from '../deal/seed.ts'
import { cardCells } from '../deck/card.ts'
import { shuffle } from '../deal/shuffle.ts'
import { findingsOf } from '../findings/findings.ts'
import { mendsOf } from '../findings/mends.ts'
import { findingWords } from '../findings/words.ts'
import { newRound } from '../play/new-round.ts'
import { PERFECT } from '../settings/mind.ts'
import { resolveLevel, type Own } from '../settings/levels.ts'
import type { Settings } from '../settings/settings.ts'
import { gameWith, pairsNamed, settingsWith } from '../testing/games.ts'
import { playPerfectMemory } from '../testing/perfect-memory.ts'
import { playGames, winsOf } from './games.ts'
import { valueToWin, winsUnder, WELL, type Limit } from './winning.ts'

const board = { rows: 4, columns: 4, gaps: [] }
function leveled(own: Own, pairs = 8): { settings: Settings; dealer: Dealer } {
  const settings = settingsWith({ board, ...own })
  const dealer = prepareDeal(pairsNamed(pairs), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return { settings, dealer: dealer.value }
}
/**
 * The share that a perfect memory wins of games of its own, on other seeds than the code's; under a clock it is the
 * mind's pace that matters, else another way to play does.
 */
function played({ settings, dealer }: ReturnType<typeof leveled>, games: number): number {
  if (settings.clock.mode === 'down')
    return winsOf(playGames({ settings, dealer }, PERFECT, 'mine', 1, games)) / games
  let won = 0
  for (let i = 0; i < games; i++) {
    const cells = dealer.deal(`mine-${i}`)
    const round = newRound(settings, cells, false)
    playPerfectMemory(round, shuffle(cardCells(cells), streamOf(`mine-${i}`, 'picking')))
    if (round.phase === 'won') won++
  }
  return won / games
}

describe('winning under one limit', () => {
  test.each<[Limit, (value: number) => Own, number]>([
    ['turns', (turns) => ({ limits: { turns } }), 1],
    ['lives', (lives) => ({ limits: { lives } }), 1],
    ['clock', (limit) => ({ clock: { mode: 'down', limit } }), 1000],
  ])('the %s that are told to be enough are, and one step less are not', (by, own, step) => {
    const level = leveled(own(by === 'clock' ? 60_000 : 20))
    const value = valueToWin(level.settings, level.dealer, by)!
    // 2,000 games of its own: 0.9 is known to 0.02 with three standard errors
    expect(played(leveled(own(value)), 2000)).toBeGreaterThan(by === 'clock' ? 0.8 : WELL - 0.02)
    expect(played(leveled(own(value - step)), 2000)).toBeLessThan(by === 'clock' ? 0.97 : WELL + 0.02)
  })

  test('turns on different pairs are known exactly: with as many turns as pairs every turn must be a match', () => {
    // a perfect memory clears two pairs in two turns if its first two cards match: 1 in 3
    const two = leveled({ board: { rows: 2, columns: 2, gaps: [] }, limits: { turns: 2 } }, 2)
    expect(winsUnder(two.settings, two.dealer, 'turns')).toEqual({
      share: expect.closeTo(1 / 3, 9),
      won: 0,
      games: 0,
    })
    const three = leveled({ board: { rows: 2, columns: 2, gaps: [] }, limits: { turns: 3 } }, 2)
    expect(winsUnder(three.settings, three.dealer, 'turns')!.share).toBeCloseTo(1, 9)
  })

  test('a limit that is not there is none', () => {
    const { settings, dealer } = leveled({})
    for (const by of ['turns', 'lives', 'clock'] as const) expect(winsUnder(settings, dealer, by)).toBeNull()
  })

  test('one limit is looked at alone, however severe another is', () => {
    const { settings, dealer } = leveled({ limits: { turns: 8 }, clock: { mode: 'down', limit: 600_000 } })
    expect(winsUnder(settings, dealer, 'clock')!.share).toBe(1)
    expect(winsUnder(settings, dealer, 'turns')!.share).toBeLessThan(0.01)
  })
})

describe('what only luck wins', () => {
  test.each<[string, Own, RegExp]>([
    [
      'a clock',
      { clock: { mode: 'down', limit: 20_000 } },
      /^only luck wins: 0:20 on the clock is enough for a perfect memory in 0 of 200 games; 0:\d\d on the clock is in 9 of 10$/,
    ],
    [
      'turns',
      { limits: { turns: 9 } },
      /^only luck wins: 9 turns are enough .* in fewer than 1 of 20 games; 13 turns are in 9 of 10$/,
    ],
    [
      'lives',
      { limits: { lives: 2 } },
      /^only luck wins: 2 lives are enough .* in fewer than 1 of 20 games; 6 lives are in 9 of 10$/,
    ],
  ])('%s is found, said, and mended so that a perfect memory wins 9 of 10', (_what, own, words) => {
    const game = gameWith({ board, ...own }, pairsNamed(8))
    const finding = findingsOf(game).find(({ code }) => code === 'needs-luck')!
    expect(findingWords(finding)).toMatch(words)
    const [mend] = mendsOf(game, finding)
    expect(mend!.label).toMatch(/: wins 9 of 10$/)
    const mended = mend!.to(game)
    expect(findingsOf(mended).filter(({ code }) => code === 'needs-luck')).toEqual([])
    const settings = resolveLevel(mended, mended.levels[0])
    const dealer = prepareDeal(mended.deck.pairs, settings)
    if (!dealer.ok) throw new Error(dealer.problem.message)
    expect(played({ settings, dealer: dealer.value }, 500)).toBeGreaterThan(0.8)
  })
  test('what nobody can win is mended so too', () => {
    const game = gameWith({ board, limits: { turns: 7 } }, pairsNamed(8))
    const finding = findingsOf(game).find(({ code }) => code === 'cannot-be-won')!
    expect(mendsOf(game, finding).map(({ label }) => label)).toEqual(['13 turns: wins 9 of 10'])
  })
  test('a value that the finding knows is not worked out again', () => {
    const game = gameWith({ board, limits: { lives: 2 } }, pairsNamed(8))
    const finding = findingsOf(game).find(({ code }) => code === 'needs-luck')!
    const told = (enough: number | null): string[] =>
      mendsOf(game, { ...finding, values: { ...finding.values, enough } } as typeof finding).map(
        ({ label }) => label,
      )
    expect(told(7)).toEqual(['7 lives: wins 9 of 10'])
    expect(told(null)).toEqual(['No lives to lose'])
  })
})
