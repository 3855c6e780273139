import { describe, expect, test } from '@jest/globals'
import { unzipSync } from 'fflate'
import { fromUint8Array } from 'js-base64'
import { DEFAULT_BACK } from '../settings/back.ts'
import type { Back } from '../settings/back.ts'
import { gameFrom, writeGame } from '../files/game-file.ts'
import { readGameZip, writeGameZip } from '../files/game-zip.ts'
import { problemLine } from '../result.ts'
import { resolveLevel } from '../settings/levels.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { gifOf } from '../testing/images.ts'
import { backOf, backsOf } from './backs.ts'
import { imagesOf, withOwnFiles } from './own-files.ts'

const src = `data:image/gif;base64,${fromUint8Array(gifOf(3, 2, [[3, 2]]))}`
const covered: Back = { ...DEFAULT_BACK, image: src, tint: { colour: '#23243f', strength: 40 } }
const withEmblem: Back = { ...DEFAULT_BACK, ink: '#1f7f80', emblem: { kind: 'image', src } }
const game = gameWith({ look: { back: covered } }, pairsNamed(8))
game.house = { ...game.house, look: { ...game.house.look, back: withEmblem } }

describe('the back of a level', () => {
  test('is its own, that of the house rules, or that of the deck', () => {
    const of = (own: Back | null | undefined, house: Back | null): Back => {
      const one = gameWith(own === undefined ? {} : { look: { back: own } })
      one.house = { ...one.house, look: { ...one.house.look, back: house } }
      return backOf(one, resolveLevel(one, one.levels[0]))
    }
    expect(of(covered, withEmblem)).toBe(covered)
    expect(of(undefined, withEmblem)).toBe(withEmblem)
    expect(of(undefined, null)).toBe(DEFAULT_BACK)
    expect(of(null, withEmblem)).toBe(DEFAULT_BACK)
  })
  test('has own images, which are stored once in a zip, and stay where nothing changes', () => {
    expect(backsOf(game).map(({ at }) => at)).toEqual(['deck.back', 'house.look.back', 'levels[0].look.back'])
    expect(imagesOf(game).map(({ at }) => at)).toEqual([
      'house.look.back.emblem.src',
      'levels[0].look.back.image',
    ])
    const zip = writeGameZip(game)
    expect(Object.keys(unzipSync(zip))).toEqual(['game.json', 'art/1.gif'])
    expect(readGameZip(zip)).toEqual({ ok: true, value: game })
    const other = withOwnFiles(game, () => 'art:1')
    expect(other.levels[0]!.look!.back).toEqual({ ...covered, image: 'art:1' })
    expect(other.house.look.back).toEqual({ ...withEmblem, emblem: { kind: 'image', src: 'art:1' } })
    const plain = gameWith({ look: { back: DEFAULT_BACK } })
    expect(withOwnFiles(plain, () => 'art:1')).toBe(plain)
  })
  test.each<[string, unknown, string]>([
    [
      'of an image that is none',
      { ...DEFAULT_BACK, image: 'data:image/png;base64,AAAA' },
      'look.back.image: ',
    ],
    ['of a pattern that is none', { ...DEFAULT_BACK, pattern: 'stripes' }, 'look.back.pattern: '],
    ['without colours', { pattern: 'plain' }, 'look.back.ink: '],
    ['of a text', 'plain', 'look.back: '],
  ])('%s is refused with its place', (_what, back, place) => {
    const file = JSON.parse(writeGame(game)) as { levels: { look: { back: unknown } }[] }
    file.levels[0]!.look.back = back
    const read = gameFrom(file)
    expect(read.ok ? 'read' : problemLine(read.problem)).toContain(`levels[0].${place}`)
  })
})
