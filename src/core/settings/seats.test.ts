import { describe, expect, test } from '@jest/globals'
import { gameWith, settingsWith } from '../testing/games.ts'
import { mindWith } from '../testing/levels.ts'
import { READY_MINDS, type Mind } from './mind.ts'
import { hasRivals, mayChooseRival, seatedMinds, seatMinds, withoutMind, withRival } from './seats.ts'

const OWN: Mind = { ...mindWith({ hold: 3 }), id: 'own', name: 'Own' }
const table = (names: string[], minds: (string | null)[], offersRival = false) =>
  settingsWith({ players: { names, minds, offersRival } })
const idsOf = (settings: ReturnType<typeof table>) =>
  seatMinds(settings, [...READY_MINDS, OWN]).map((mind) => mind?.id ?? null)

describe('who plays each seat', () => {
  test.each([
    ['persons, where nothing is said', ['A', 'B'], [], [null, null]],
    ['minds go along with the names', ['A', 'B', 'C'], [null, 'keen', 'own'], [null, 'keen', 'own']],
    ['what is left out is a person', ['A', 'B', 'C'], ['keen'], ['keen', null, null]],
    ['more minds than names', ['A'], [null, 'keen'], [null]],
    ['a mind that is not there', ['A', 'B'], [null, 'gone'], [null, null]],
    ['nothing but minds: the first is a person', ['A', 'B'], ['keen', 'own'], [null, 'own']],
    ['one alone is a person', ['A'], ['keen'], [null]],
  ])('%s', (_name, names, minds, expected) => {
    expect(idsOf(table(names, minds))).toEqual(expected)
  })

  test('a rival that was chosen sits second, with the name of its mind', () => {
    const settings = withRival(table(['Ann'], [], true), OWN)
    expect([settings.players.names, idsOf(settings)]).toEqual([
      ['Ann', 'Own'],
      [null, 'own'],
    ])
    expect(mayChooseRival(settings)).toBe(false)
  })

  test.each([
    [['Ann'], true, true],
    [['Ann'], false, false],
    [['Ann', 'Ben'], true, false],
  ])('of %j, offered %j: may choose %j', (names, offers, may) => {
    expect(mayChooseRival(table(names, [], offers))).toBe(may)
  })
})

describe('the minds of a game', () => {
  const game = (players: object) => ({ ...gameWith({ players }), minds: [OWN] })
  test.each<[string, object, boolean, string[]]>([
    ['nobody but persons', {}, false, []],
    ['one of its own', { names: ['A', 'B'], minds: [null, 'own'] }, true, ['own']],
    ['a ready one', { names: ['A', 'B'], minds: ['keen'] }, true, ['keen']],
    ['a seat beyond the names', { names: ['A'], minds: [null, 'own'] }, false, []],
    ['a choice', { offersRival: true }, true, [...READY_MINDS.map(({ id }) => id), 'own']],
  ])('%s', (_name, players, expected, ids) => {
    expect(hasRivals(game(players))).toBe(expected)
    expect([...seatedMinds(game(players))]).toEqual(ids)
  })

  test('one that is removed leaves its seats to persons, in the house rules and on levels', () => {
    const before = game({ names: ['A', 'B'], minds: ['keen', 'own'] })
    const house = { ...before.house, players: { ...before.house.players, minds: ['own', null] } }
    const after = withoutMind({ ...before, house }, 'own')
    expect(after.minds).toBeUndefined()
    expect(after.house.players.minds).toEqual([null, null])
    expect(after.levels[0]!.players!.minds).toEqual(['keen', null])
    expect(withoutMind(after, 'own')).toEqual(after)
  })
})
