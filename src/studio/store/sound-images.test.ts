import { describe, expect, test } from '@jest/globals'
import { fromUint8Array } from 'js-base64'
import type { Face } from '../../core/deck/pair.ts'
import type { Game } from '../../core/game/game.ts'
import { DEFAULT_BACK } from '../../core/settings/back.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { pngOf } from '../../core/testing/images.ts'
import {
  checkImages,
  drawnBack,
  drawnFace,
  drawnGame,
  giveUp,
  isTrusted,
  mayDraw,
  soundness,
  trust,
} from './sound-images.ts'

const srcOf = (width: number, height: number): string =>
  `data:image/png;base64,${fromUint8Array(pngOf(width, height))}`
const face = (src: string): Face => ({ kind: 'image', src, alt: 'A seal' })
function gameOf(src: string): Game {
  const game = gameWith({}, pairsNamed(3))
  game.deck.pairs[1] = { ...game.deck.pairs[1]!, a: face(src) }
  game.deck.back = { ...game.deck.back, image: src, emblem: { kind: 'image', src } }
  game.levels[0]!.look = { behind: { kind: 'image', src }, back: { ...DEFAULT_BACK, image: src } }
  game.levels[1] = { id: 'second', name: 'Second', look: { behind: { kind: 'image', src } } }
  return game
}

describe('own images', () => {
  test('are not drawn before they are known to be sound, and then at once', async () => {
    const src = srcOf(3, 4)
    const before = soundness.value
    expect(mayDraw(src)).toBe(false)
    await checkImages(gameOf(src))
    // the check that mayDraw asked for is waited for as well
    expect(soundness.value).toBe(before + 1)
    expect(mayDraw(src)).toBe(true)
    expect(drawnGame(gameOf(src)).deck.pairs[1]!.a).toEqual(face(src))
  })
  test('that came in by a check are trusted', () => {
    const src = srcOf(5, 5)
    trust(src)
    expect([isTrusted(src), mayDraw(src)]).toEqual([true, true])
  })
  test('over a bound give way to signs on every face, back and level, and the game itself stays as it is', async () => {
    const src = srcOf(20_000, 20_000)
    const game = gameOf(src)
    const kept = structuredClone(game)
    await checkImages(game)
    expect(mayDraw(src)).toBe(false)
    const drawn = drawnGame(game)
    expect(drawn.deck.pairs[1]!.a).toMatchObject({ kind: 'text', text: 'Pair 1', alt: 'A seal' })
    expect(drawn.deck.back).toEqual({
      pattern: kept.deck.back.pattern,
      ink: kept.deck.back.ink,
      paper: kept.deck.back.paper,
    })
    expect(drawn.levels[0]!.look).toStrictEqual({ behind: null, back: DEFAULT_BACK })
    expect(drawn.levels[1]!.look).toStrictEqual({ behind: null })
    expect(JSON.stringify(drawn)).not.toContain(src)
    expect(game).toEqual(kept)
  })
  test('that fail are given up for the visit', () => {
    const src = srcOf(6, 6)
    trust(src)
    const before = soundness.value
    giveUp(src)
    giveUp(src)
    expect(soundness.value).toBe(before + 1)
    expect(drawnFace(face(src), 'Seal')).toMatchObject({ kind: 'text', text: 'Seal' })
    trust(src)
    expect(mayDraw(src)).toBe(false)
  })
  test('what holds none is the very same value', () => {
    const game = gameWith({}, pairsNamed(3))
    expect(drawnGame(game)).toBe(game)
    expect(drawnBack(game.deck.back)).toBe(game.deck.back)
    const words: Face = { kind: 'text', text: 'A' }
    expect(drawnFace(words)).toBe(words)
  })
})
