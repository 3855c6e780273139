import { describe, expect, test } from '@jest/globals'
import { cellsOf, pairsNamed, settingsWith } from '../testing/games.ts'
import { OPEN_CARD_RECORDS } from '../testing/open-card-records.ts'
import { RECORDS } from '../testing/round-records.ts'
import type { Input } from './events.ts'
import { apply } from './machine.ts'
import { newRound } from './new-round.ts'
import { replay } from './replay.ts'
import { resultOf } from './result.ts'

function played(steps: string): { inputs: Input[]; until?: number } {
  const inputs: Input[] = []
  let until: number | undefined
  for (const step of steps.split(', ')) {
    const [time, what] = step.split(' ') as [string, string]
    const at = Number(time)
    if (what === 'wait') until = at
    else if (what === 'back') inputs.push({ at, do: 'turn-back' })
    else if (what === 'pause' || what === 'resume') inputs.push({ at, do: what })
    else inputs.push({ at, do: 'press', cell: Number(what) })
  }
  return { inputs, until }
}

describe('the rules, one by one', () => {
  test.each([...RECORDS, ...OPEN_CARD_RECORDS])(
    '%s',
    (_what, own, steps, { phase, up, player, ...expected }) => {
      const settings = settingsWith({ ...own, board: { rows: 2, columns: 2 }, deal: { way: 'in-order' } })
      const round = replay(settings, cellsOf(settings, pairsNamed(2)), played(steps))
      expect(resultOf(round)).toMatchObject(expected)
      if (expected.refused) expect(round.refused).toEqual(expected.refused)
      if (player !== undefined) expect(round.player).toBe(player)
      if (phase) expect(round.phase).toBe(phase)
      if (up) expect(round.states.map((state) => state![0]).join(' ')).toBe(up)
    },
  )

  test('related twins match, two of the same face do not', () => {
    const settings = settingsWith({
      board: { rows: 1, columns: 4 },
      deal: { way: 'arranged', arranged: ['p0/a', 'p0/a', 'p0/b', 'p0/b'] },
    })
    const cells = cellsOf(
      settings,
      pairsNamed(1, () => true),
    )
    expect(resultOf(replay(settings, cells, played('0 0, 1 1')))).toMatchObject({ misses: 1 })
    expect(resultOf(replay(settings, cells, played('0 0, 1 2')))).toMatchObject({ matches: 1 })
  })

  test('a slip looks only at cards that still lie on the board', () => {
    const settings = settingsWith({
      board: { rows: 1, columns: 6 },
      deal: { way: 'arranged', arranged: ['p0/a', 'p0/a', 'p0/a', 'p0/a', 'p1/a', 'p1/a'] },
    })
    const cells = cellsOf(settings, pairsNamed(2))
    // never seen before it was matched; seen, and then matched as the second or as the first card of a turn
    for (const steps of [
      '0 0, 1 1, 1000 2, 1001 4',
      '0 0, 1 4, 2000 1, 2001 0, 4000 2, 4001 5',
      '0 0, 1 4, 2000 0, 2001 1, 4000 2, 4001 5',
    ]) {
      const { events } = replay(settings, cells, played(steps))
      expect(events!.findLast((event) => event.kind === 'miss')).toMatchObject({ how: 'fresh' })
    }
  })

  test('a refused press leaves one event with its reason, and changes no count', () => {
    const settings = settingsWith({ board: { rows: 2, columns: 2 } })
    const round = newRound(settings, cellsOf(settings, pairsNamed(2)))
    apply(round, { at: 5, do: 'press', cell: 0 })
    const before = resultOf(round)
    apply(round, { at: 5, do: 'press', cell: 0 })
    expect(round.events!.at(-1)).toEqual({
      at: 5,
      phase: 'one-up',
      kind: 'refused',
      cell: 0,
      reason: 'face-up',
    })
    expect({ ...resultOf(round), refused: {} }).toEqual(before)
  })
})
