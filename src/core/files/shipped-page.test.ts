import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { utf8ToBytes } from '@noble/hashes/utils.js'
import type { Game } from '../game/game.ts'
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
