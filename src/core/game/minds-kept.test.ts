import { describe, expect, test } from '@jest/globals'
import { readGame, writeGame } from '../files/game-file.ts'
import { gameElement, readShippedPage } from '../files/shipped-page.ts'
import { gameWith, nothingBeside } from '../testing/games.ts'
import { mindWith } from '../testing/levels.ts'

const mind = (id: string) => ({ ...mindWith({}), id })

describe('minds of a game', () => {
  test('are kept in its file, and are nothing to players', () => {
    const game = { ...gameWith(), minds: [mind('aunt'), mind('uncle')] }
    expect(readGame(writeGame(game))).toEqual({ ok: true, value: game })
    const shipped = readShippedPage(`<html>${gameElement(game, nothingBeside)}</html>`)
    expect(shipped.ok && shipped.value.minds).toBeUndefined()
  })
  test('that may play lie in a shipped page, also those that are always there', () => {
    const inPage = (players: object): string[] | undefined => {
      const game = { ...gameWith({ players }), minds: [mind('aunt'), mind('uncle')] }
      const data = JSON.parse(/>(\{.*\})</.exec(gameElement(game, nothingBeside))![1]!) as {
        minds?: { id: string }[]
      }
      return data.minds?.map(({ id }) => id)
    }
    const two = { names: ['Ann', 'Ben', 'Cem'] }
    expect(inPage(two)).toBeUndefined()
    expect(inPage({ ...two, minds: [null, 'uncle', 'keen'] })).toEqual(['keen', 'uncle'])
    expect(inPage({ offersRival: true })).toHaveLength(7)
  })
  test('are none in a game that has none', () =>
    expect(JSON.parse(writeGame(gameWith())).minds).toBeUndefined())
  test.each([
    [
      'the id of one that is always there',
      [mind('aunt'), mind('keen')],
      'minds[1].id',
      '"keen" is a mind that is always there',
    ],
    [
      'the same id twice',
      [mind('aunt'), mind('aunt')],
      'minds[1].id',
      '"aunt" is already the id of number 1',
    ],
    ['more than 20', Array.from({ length: 21 }, (_, i) => mind(`m${i}`)), 'minds', 'at most 20'],
    [
      'a chance of 2',
      [{ ...mind('aunt'), memory: { ...mind('aunt').memory, notice: 2 } }],
      'minds[0].memory.notice',
      'at most 1',
    ],
  ])('are refused with %s', (_name, minds, at, message) => {
    const read = readGame(writeGame({ ...gameWith(), minds }))
    expect(read).toMatchObject({ ok: false, problem: { at } })
    expect(!read.ok && read.problem.message).toContain(message)
  })
})

describe('minds at the table', () => {
  const seated = (minds: (string | null)[]) => ({
    ...gameWith({ players: { names: ['Ann', 'Ben'], minds } }),
    minds: [mind('aunt'), mind('uncle')],
  })
  test('are those of the game or the ready ones; another one is named, with its place', () => {
    expect(readGame(writeGame(seated([null, 'uncle']))).ok).toBe(true)
    expect(readGame(writeGame(seated(['keen', null]))).ok).toBe(true)
    const read = readGame(writeGame(seated([null, 'nobody'])))
    expect(!read.ok && read.problem).toEqual({
      at: 'levels[0].players.minds[1]',
      message: 'no mind "nobody" here',
    })
    const house = {
      ...gameWith(),
      house: { ...gameWith().house, players: { ...gameWith().house.players, minds: ['aunt'] } },
    }
    const without = readGame(writeGame(house))
    expect(!without.ok && without.problem.at).toBe('house.players.minds[0]')
  })
  test('go along in a shipped page, and no others', () => {
    const shipped = readShippedPage(gameElement(seated([null, 'uncle']), nothingBeside))
    expect(shipped.ok && shipped.value.minds!.map(({ id }) => id)).toEqual(['uncle'])
    const offered = { ...seated([]), levels: [{ id: 'one', name: 'One', players: { offersRival: true } }] }
    const all = readShippedPage(gameElement(offered, nothingBeside))
    expect(all.ok && all.value.minds!.map(({ id }) => id)).toEqual(['aunt', 'uncle'])
  })
})
