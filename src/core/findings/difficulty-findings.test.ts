import { describe, expect, test } from '@jest/globals'
import type { Game } from '../game/game.ts'
import { playableOf, playGames, SEED } from '../odds/games.ts'
import { READY_MINDS, type Mind } from '../settings/mind.ts'
import { resolveLevel, type Own } from '../settings/levels.ts'
import { DEFAULTS } from '../settings/settings.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import type { Finding } from './finding.ts'
import { findingsOf, stopOf } from './findings.ts'
import { mendsOf } from './mends.ts'
import { findingLine } from './words.ts'

const BOARD = { board: { rows: 4, columns: 4 } }
/** A game with these levels, in their order. */
const ladderOf = (...levels: Own[]): Game => ({
  ...gameWith({}, pairsNamed(18)),
  levels: levels.map((own, i) => ({ id: `level-${i + 1}`, name: `Level ${i + 1}`, ...BOARD, ...own })),
})
const lives = (count: number): Own => ({ limits: { lives: count } })
const minds = (game: Game): Finding[] => findingsOf(game).filter(({ code }) => /^hardly|^easier/.test(code))
const codes = (game: Game): string[] => minds(game).map(({ code, where }) => `${where.level} ${code}`)
/** The share of 400 games that a ready mind wins on a level. */
function share(game: Game, id: string, place = 0): number {
  const mind: Mind = READY_MINDS.find((one) => one.id === id)!
  const level = playableOf(game, resolveLevel(game, game.levels[place]))
  if (!level.ok) throw new Error(level.problem.message)
  const { ends } = playGames(level.value, mind, `${SEED} fresh`, 1, 400)
  return ends.filter((end) => end === 0).length / ends.length
}
/** The game after the one mend of its one finding. */
function mended(game: Game): Game {
  const [finding, ...others] = minds(game)
  expect(others).toEqual([])
  const [mend] = mendsOf(game, finding!)
  return mend!.to(game)
}

describe('what minds find', () => {
  test('nothing of a level without a limit, nor of one with a fair one', () => {
    expect(codes(ladderOf({}, lives(7)))).toEqual([])
  })
  test('a level that hardly any everyday player wins, and a value with which 7 of 10 do', () => {
    const game = ladderOf(lives(4))
    expect(share(game, 'everyday')).toBeLessThan(0.08)
    expect(codes(game)).toEqual(['0 hardly-won'])
    const better = share(mended(game), 'everyday')
    expect(better).toBeGreaterThan(0.6)
    expect(better).toBeLessThan(0.85)
  })
  test('a level whose limit stops hardly any fleeting player, and a value that does', () => {
    const game = ladderOf(lives(90))
    expect(codes(game)).toEqual(['0 hardly-lost'])
    const better = share(mended(game), 'fleeting')
    expect(better).toBeGreaterThan(0.8)
    expect(better).toBeLessThan(0.98)
  })
  test('a level that is easier than the one before, and a value with which as many win', () => {
    const game = ladderOf(lives(6), lives(8))
    expect(codes(game)).toEqual(['1 easier-than-before'])
    expect(Math.abs(share(mended(game), 'everyday', 1) - share(game, 'everyday', 0))).toBeLessThan(0.15)
    expect(codes(ladderOf(lives(8), lives(6)))).toEqual([])
    expect(codes(ladderOf(lives(6), lives(6)))).toEqual([])
  })
  test('a level without a limit is easier than one with; there is nothing to solve', () => {
    const game = ladderOf(lives(6), {})
    expect(codes(game)).toEqual(['1 easier-than-before'])
    const [finding] = minds(game)
    expect(mendsOf(game, finding!)).toEqual([])
    // it has no clock whose time could be meant
    expect(finding!.where).toMatchObject({ section: 'clock', key: 'mode' })
    expect(findingLine(finding!, game.levels)).toMatch(
      /^Level 2: easier than Level 1, the level before: everyday players won every game here, \d+ of \d+ games there$/,
    )
  })
  test('nothing more where not even a perfect memory wins, nor where a mind sits as a rival', () => {
    expect(findingsOf(ladderOf(lives(1))).map(({ code }) => code)).toContain('needs-luck')
    expect(codes(ladderOf(lives(1)))).toEqual([])
    // nor is a level easier than one that is too hard, or that only luck wins
    expect(codes(ladderOf(lives(1), lives(7)))).toEqual([])
    expect(codes(ladderOf(lives(4), lives(7)))).toEqual(['0 hardly-won'])
    const rival = { names: ['Ann', 'Ben'], minds: [null, 'keen'] }
    expect(codes(ladderOf({ ...lives(90), players: rival }))).toEqual([])
  })
  test('nothing of boards whose games are too long to be tried', () => {
    const game = { ...gameWith({}, pairsNamed(200)), levels: [] }
    const level = { id: 'large', name: 'Large', board: { rows: 20, columns: 20 }, limits: { turns: 9999 } }
    expect(codes({ ...game, levels: [level] })).toEqual([])
  })
})

describe('what stops a level', () => {
  test.each<[string, Own, string | undefined]>([
    ['nothing', {}, undefined],
    ['a board that cannot be dealt', { board: { rows: 3, columns: 3 } }, 'odd-board'],
    ['fewer turns than pairs', { limits: { turns: 3 } }, 'cannot-be-won'],
    ['a warning is none', { limits: { lives: 1 } }, undefined],
  ])('%s', (_name, own, code) => {
    const game = ladderOf(own)
    expect(stopOf(game, game.levels[0]!)?.code).toBe(code)
    const all = findingsOf({ ...game, house: { ...DEFAULTS } }).filter(({ severity }) => severity === 'stops')
    expect(all.map((one) => one.code)).toEqual(code ? [code] : [])
  })
})
