import { describe, expect, test } from '@jest/globals'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import fc from 'fast-check'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { backupProblem, readBackup, writeBackup, type BackedUp } from './backup-file.ts'

const MADE = '2026-11-27T12:00:00.000Z'
const games = (count: number): BackedUp[] =>
  Array.from({ length: count }, (_, i) => ({
    key: `game-${i}`,
    touched: 1000 + i,
    ...(i % 3 === 2 ? { removed: 5000 } : {}),
    game: { ...gameWith({}, pairsNamed(i + 1)), title: `Game ${i}` },
  }))
/** A backup with a change to its list, or to a file of it. */
function changed(bytes: Uint8Array, file: string, change: (text: string) => string): Uint8Array {
  const files = unzipSync(bytes)
  return zipSync({ ...files, [file]: strToU8(change(strFromU8(files[file]!))) })
}
/** A backup whose list of files says that the first one is of this size. */
function said(bytes: Uint8Array, size: number): Uint8Array {
  const liar = bytes.slice()
  const view = new DataView(liar.buffer)
  // the central directory of a zip: its entries begin with "PK\1\2", and have the unpacked size 24 bytes further on
  const entry = liar.findIndex((_, at) => at + 4 <= liar.length && view.getUint32(at) === 0x504b0102)
  view.setUint32(entry + 24, size, true)
  return liar
}
const complaint = (bytes: Uint8Array): string => {
  const read = readBackup(bytes)
  return read.ok ? '' : `${read.problem.at}: ${read.problem.message}`
}

describe('a backup', () => {
  test('gives back every game, those in the bin too, and the settings', () => {
    fc.assert(
      fc.property(fc.nat(8), (count) => {
        const read = readBackup(writeBackup(games(count), { 'lucky-twin.walked': 'true' }, MADE))
        if (!read.ok) throw new Error(read.problem.message)
        expect(read.value).toEqual({
          made: MADE,
          settings: { 'lucky-twin.walked': 'true' },
          leftOut: [],
          games: games(count).map(({ game, ...row }) => ({
            ...row,
            name: game.title,
            game: { ok: true, value: game },
          })),
        })
      }),
    )
  })

  test('with one broken game among ten gives nine, and names the one', () => {
    const bytes = changed(writeBackup(games(10), {}, MADE), 'games/4.game.json', (text) =>
      text.replace('"rows": 4', '"rows": 400'),
    )
    const read = readBackup(bytes)
    if (!read.ok) throw new Error(read.problem.message)
    const broken = read.value.games.filter(({ game }) => !game.ok)
    expect(read.value.games.filter(({ game }) => game.ok)).toHaveLength(9)
    expect(broken.map(({ name, game }) => [name, game.ok ? '' : game.problem.at])).toEqual([
      ['Game 3', 'house.board.rows'],
    ])
  })

  test.each<[string, (bytes: Uint8Array) => Uint8Array, RegExp]>([
    [
      'cut off in the middle',
      (bytes) => bytes.slice(0, bytes.length / 2),
      /this backup is cut off, or is not a zip/,
    ],
    [
      'from a newer version',
      (bytes) => changed(bytes, 'backup.json', (text) => text.replace('"version": 1', '"version": 2')),
      /backup.json, version: 2 is newer than this Lucky Twin reads/,
    ],
    [
      'with an unknown key',
      (bytes) => changed(bytes, 'backup.json', (text) => text.replace('"made"', '"mode"')),
      /backup.json, mode: unknown key|backup.json, made: /,
    ],
    ['a zip of something else', () => zipSync({ 'a.txt': strToU8('a') }), /no backup.json in this zip/],
    ['too large when unpacked', (bytes) => said(bytes, 2 ** 30), /larger than 1,?024 MiB unpacked/],
    ['no zip at all', () => strToU8('backup'), /cut off, or is not a zip/],
  ])('%s is refused with one clear message', (_what, change, message) => {
    expect(complaint(change(writeBackup(games(3), {}, MADE)))).toMatch(message)
  })

  test('that lacks a file names its game', () => {
    const files = unzipSync(writeBackup(games(2), {}, MADE))
    delete files['games/1.game.json']
    const read = readBackup(zipSync(files))
    expect(read.ok && read.value.games.map(({ name, game }) => [name, game.ok])).toEqual([
      ['Game 0', false],
      ['Game 1', true],
    ])
  })

  test('with one flipped bit gives the other games, and names the one', () => {
    const bytes = writeBackup(games(3), {}, MADE)
    // the name of an entry stands before its data
    const name = strToU8('games/2.game.json')
    const at = bytes.findIndex((_, i) => name.every((byte, j) => bytes[i + j] === byte))
    bytes[at + name.length + 20]! ^= 1
    const read = readBackup(bytes)
    expect(read.ok && read.value.games.map(({ game }) => game.ok)).toEqual([true, false, true])
    const wrong = read.ok && read.value.games[1]!.game
    expect(wrong && !wrong.ok && wrong.problem.at).toBe('games/2.game.json')
  })

  test.each<[string, unknown, string[]]>([
    ['a long one', { 'lucky-twin.long': 'x'.repeat(20_001), good: 'x' }, ['lucky-twin.long']],
    ['a long name', { ['n'.repeat(201)]: 'x', good: 'x' }, [`${'n'.repeat(80)}…`]],
    ['one that is null', { a: null, good: 'x' }, ['a']],
    ['a number', { a: 5, good: 'x' }, ['a']],
    ['an object', { a: {}, good: 'x' }, ['a']],
    ['a list', { a: [], good: 'x' }, ['a']],
    ['yes or no', { a: true, good: 'x' }, ['a']],
    ['two of them', { a: 1, b: 2, good: 'x' }, ['a', 'b']],
    ['null for all', null, ['all settings']],
    ['a list for all', ['x'], ['all settings']],
    ['a text for all', 'x', ['all settings']],
    ['none at all', undefined, []],
  ])('loses no game by a wrong setting: %s', (_what, settings, leftOut) => {
    const bytes = changed(writeBackup(games(2), {}, MADE), 'backup.json', (text) =>
      JSON.stringify({ ...(JSON.parse(text) as object), settings }),
    )
    const read = readBackup(bytes)
    if (!read.ok) throw new Error(read.problem.message)
    expect(read.value.games.map(({ game }) => game.ok)).toEqual([true, true])
    expect(read.value.leftOut).toEqual(leftOut)
    const isObject = typeof settings === 'object' && settings !== null && !Array.isArray(settings)
    expect(read.value.settings).toEqual(isObject ? { good: 'x' } : {})
  })

  test('is read back: what would not be the same is named', () => {
    const rows = games(2)
    const bytes = writeBackup(rows, {}, MADE)
    expect(backupProblem(bytes, rows)).toBe('')
    expect(backupProblem(bytes, [rows[0]!, rows[0]!])).toBe('Game 1 is not the same when read back')
    expect(backupProblem(bytes.slice(0, 100), rows)).toMatch(/cut off/)
    const unreadable = { ...rows[0]!, game: { ...rows[0]!.game, id: '' } }
    expect(backupProblem(writeBackup([unreadable], {}, MADE), [unreadable])).toMatch(/^Game 0: id: /)
  })
})
