import { describe, expect, test } from '@jest/globals'
import { newRound } from '../play/new-round.ts'
import { storyOf } from '../play/tape.ts'
import type { Input } from '../play/events.ts'
import type { Own } from '../settings/levels.ts'
import type { Mind } from '../settings/mind.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { countBounds, testSeed } from '../testing/chance.ts'
import { levelOf, mindWith } from '../testing/levels.ts'
import { fitMind, TOO_FEW, type FittedValue } from './fit.ts'
import { joinEvidence, evidenceOf } from './memory-evidence.ts'
import { gatherEvidence } from './fit-records.ts'
import { playMinds } from './play-minds.ts'

/** Games that a mind played, as what was pressed. */
function recorded(mind: Mind, games: number, pairs: number, own: Own = {}, seed = 'fit') {
  const { settings, dealer } = levelOf(pairs, own)
  return Array.from({ length: games }, (_, i) => {
    const cells = dealer.deal(`${seed}-${i + 1}`)
    const round = newRound(settings, cells)
    playMinds(round, [mind], seed, i + 1)
    const inputs = round.events!.flatMap((event): Input[] =>
      event.kind === 'flip' ? [{ at: event.at, do: 'press', cell: event.cell }] : [],
    )
    return {
      settings,
      cells,
      inputs,
      seed: `${seed}-${i + 1}`,
      story: storyOf(round.events!, settings.board.columns),
    }
  })
}
const shownIn = (mind: Mind, games: number, pairs: number, seed?: string) =>
  joinEvidence(
    recorded(mind, games, pairs, {}, seed).map(({ settings, cells, inputs }) =>
      evidenceOf(settings, cells, { inputs }),
    ),
  )
const holds = ({ interval: [low, high] }: FittedValue, value: number): boolean =>
  low <= value && value <= high

describe('fitting', () => {
  // 30 figures, of whose intervals one in 20 misses: more than 10 miss once in a million seeds; intervals that miss
  // half the time are seen 19 times of 20
  test('gives back minds from 40 records, as often as its intervals of 95 % say', () => {
    const minds = [
      mindWith({ notice: 0.95, fade: 0.02 }, { first: 1200, second: 800, spread: 0.3 }),
      mindWith({ notice: 0.9, fade: 0.1 }, { first: 900, second: 700, spread: 0.5 }),
      mindWith({ notice: 0.5, fade: 0.05 }, { first: 1500, second: 1500, spread: 0.2 }),
    ]
    const figures = minds.flatMap((mind) =>
      ['one', 'two'].flatMap((seed) => {
        const fit = fitMind(shownIn(mind, 40, 12, testSeed(seed)))
        expect(fit.turns).toBeGreaterThan(150)
        // the curve is that of the turns themselves
        expect(fit.curve.reduce((sum, { of }) => sum + of, 0)).toBe(fit.turns)
        const steps = fit.curve.map(({ ago }) => ago)
        expect(steps).toEqual([...steps].sort((a, b) => a - b))
        const { notice, fade } = mind.memory
        const { first, second, spread } = mind.pace
        return [
          holds(fit.notice!, notice),
          holds(fit.fade!, fade),
          holds(fit.first!, first),
          holds(fit.second!, second),
          holds(fit.spread!, spread),
        ]
      }),
    )
    expect(figures).toHaveLength(30)
    expect(figures.filter((isWithin) => !isWithin).length).toBeLessThanOrEqual(countBounds(30, 0.05)[1])
  })
  test('of a perfect memory ends at 1 and 0', () => {
    const { notice, fade } = fitMind(shownIn(mindWith({}), 20, 10))
    expect([notice!.value, notice!.interval[1]]).toEqual([1, 1])
    expect([fade!.value, fade!.interval[0]]).toEqual([0, 0])
  })
  test('of one that remembers nothing ends near 0', () => {
    const { notice, fade } = fitMind(shownIn(mindWith({ notice: 0 }), 12, 10))
    // where all is forgotten at once, how much was noticed cannot be told
    expect(notice!.value * (1 - fade!.value)).toBeLessThan(0.15)
    expect(fade!.interval[1]).toBe(1)
  })
  test('says nothing on fewer than 30 turns', () => {
    const shown = shownIn(mindWith({}), 1, 4)
    const fit = fitMind(shown)
    expect(fit.turns).toBeLessThan(TOO_FEW)
    expect(fit).toMatchObject({ notice: null, fade: null, first: null, second: null, spread: null })
    expect(fitMind({ games: [], first: [], second: [] })).toMatchObject({ turns: 0, curve: [] })
  })
  test('waits are counted from when the board was ready, but for those with a pause', () => {
    const { settings, dealer } = levelOf(4, { turn: { firstLook: 2000 } })
    const cells = dealer.deal('one')
    const inputs: Input[] = [
      { at: 2300, do: 'press', cell: 0 },
      { at: 2500, do: 'pause' },
      { at: 9000, do: 'resume' },
      { at: 9700, do: 'press', cell: 1 },
    ]
    expect(evidenceOf(settings, cells, { inputs })).toEqual({ games: [], first: [300], second: [] })
  })
  test('a card that was turned up and back alone was seen', () => {
    const { settings, dealer } = levelOf(6, { turn: { onOpen: 'turn-back' } })
    const cells = dealer.deal('one')
    const twin = cells.findIndex((card, cell) => cell > 0 && card === cells[0])
    const inputs = [0, 0, twin, 0].map((cell, i): Input => ({ at: (i + 1) * 500, do: 'press', cell }))
    const evidence = evidenceOf(settings, cells, { inputs })
    const turn = { first: twin, second: 0, isMatch: true, firstSeen: false, secondSeen: true }
    expect(evidence.games[0]!.turns).toEqual([{ ...turn, twin: 0, ago: 0, alone: [0] }])
    expect(evidence).toMatchObject({ first: [500, 500], second: [500] })
    // who takes such pairs remembers, and who passes them by does not
    const noticeOf = (second: number): number => {
      const played = [0, 0, twin, second].map((cell, i): Input => ({ at: (i + 1) * 500, do: 'press', cell }))
      const one = evidenceOf(settings, cells, { inputs: played })
      return fitMind(joinEvidence(Array.from({ length: TOO_FEW }, () => one))).notice!.value
    }
    const other = cells.findIndex((_card, cell) => cell !== 0 && cell !== twin)
    expect([noticeOf(0), noticeOf(other)]).toEqual([1, 0])
  })
})

describe('records of a game', () => {
  const own: Own = { board: { rows: 2, columns: 6 } }
  const game = gameWith(own, pairsNamed(6))
  const records = recorded(mindWith({ fade: 0.1 }), 5, 6).map(({ inputs, seed, story }, i) => ({
    name: `${i}.play.json`,
    record: { game: 'test-game', level: 'first', seed, inputs, story },
  }))
  test('that play as they did are used', () => {
    const { used, left, shown } = gatherEvidence(game, records)
    expect([used, left]).toEqual([5, []])
    expect(shown.games).toHaveLength(5)
  })
  test('of another game, another level, or one that has changed since are named and left out', () => {
    const [one, two, three, four] = records.map(({ name, record }) => ({ name, record: { ...record } }))
    one!.record.game = 'other-game'
    two!.record.level = 'gone'
    three!.record.story = ['A1 A2 fresh 7', ...three!.record.story.slice(1)]
    const { used, left } = gatherEvidence(game, [one!, two!, three!, four!])
    expect(used).toBe(1)
    expect(left).toEqual([
      { name: '0.play.json', why: 'a record of "other-game"' },
      { name: '1.play.json', why: 'level: no level "gone" in this game' },
      { name: '2.play.json', why: 'its level has changed since: turn 1 plays another way' },
    ])
  })
})
