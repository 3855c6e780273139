import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { utf8ToBytes } from '@noble/hashes/utils.js'
import type { Game } from '../game/game.ts'
import type { Own } from '../settings/levels.ts'
import { en } from '../texts/words/en.ts'
import { anyPairs, gameWith, nothingBeside } from '../testing/games.ts'
import { problemLine } from '../result.ts'
import { readAnyGame } from './any-game.ts'
import { gameElement } from './shipped-page.ts'

const page = (inside: string): Uint8Array =>
  utf8ToBytes(`<!doctype html>\n<html lang="en"><head><title>x</title></head><body>${inside}</body></html>`)
const complaint = (bytes: Uint8Array): string => {
  const read = readAnyGame(bytes)
  return read.ok ? 'fine' : problemLine(read.problem)
}

test('a page gives back the game that was put into it, but for its checks', () => {
  fc.assert(
    fc.property(anyPairs, fc.string({ minLength: 1, maxLength: 80 }), (pairs, title) => {
      const game: Game = { ...gameWith({}, pairs), title: `${title.trim()}</script>` }
      const read = readAnyGame(page(gameElement(game, { ...nothingBeside, art: { gear: 'data:,' } })))
      expect(read).toEqual({ ok: true, value: { ...game, checks: [] } })
    }),
  )
})

test.each([
  [
    'of something else',
    page('<p>hello</p>'),
    'not a Lucky Twin game (it is a web page without a game inside)',
  ],
  [
    'cut off',
    page(gameElement(gameWith(), nothingBeside)).slice(0, 400),
    'cut off in the middle of its game',
  ],
  [
    'with a game that is none',
    page(gameElement(gameWith(), nothingBeside).replace('"rows"', '"lines"')),
    'house.board.rows: is missing',
  ],
  [
    'with nothing in its place',
    page(gameElement(gameWith(), nothingBeside).replace(/>\{.*\}</, '>null<')),
    'version: a whole number from 1 is expected',
  ],
  [
    'of a newer version',
    page(gameElement(gameWith(), nothingBeside).replace(/"version":\d+/, '"version":99')),
    'is newer than this Lucky Twin reads',
  ],
])('a page %s is told for what it is', (_what, bytes, message) => {
  expect(complaint(bytes)).toContain(message)
})

test('what came later is in a page only where a level has it, and so are its words', () => {
  const shipped = (own: Own): string => gameElement(gameWith(own), { ...nothingBeside, words: { en } })
  const later = ['"buttons"', '"flipTime"', '"marks"', 'How to play', '"slips":true', 'No card has the mark']
  const told = (own: Own): string[] => later.filter((one) => shipped(own).includes(one))
  expect(told({})).toEqual([])
  expect(told({ head: { buttons: ['how-to'] } })).toEqual(['"buttons"', 'How to play'])
  expect(told({ head: { buttons: ['pause'] } })).toEqual(['"buttons"'])
  expect(told({ finish: { slips: true } })).toEqual(['"slips":true'])
  expect(told({ look: { marks: 'cells', flipTime: 10 } })).toEqual([
    '"flipTime"',
    '"marks"',
    'No card has the mark',
  ])
})
