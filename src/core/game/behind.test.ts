import { describe, expect, test } from '@jest/globals'
import { unzipSync } from 'fflate'
import { fromUint8Array } from 'js-base64'
import { gameFrom, writeGame } from '../files/game-file.ts'
import { readGameZip, writeGameZip } from '../files/game-zip.ts'
import { problemLine } from '../result.ts'
import { gameWith, pairsNamed } from '../testing/games.ts'
import { gifOf } from '../testing/images.ts'
import { imagesOf } from './own-files.ts'
import type { Behind } from '../settings/settings.ts'

const src = `data:image/gif;base64,${fromUint8Array(gifOf(3, 2, [[3, 2]]))}`
const image: Behind = { kind: 'image', src, alt: 'A bridge at night' }
const game = gameWith({ look: { behind: image } }, pairsNamed(8))
game.house = { ...game.house, look: { ...game.house.look, behind: { ...image } } }

describe('the picture behind the cards', () => {
  test('of the house and of levels are own images of the game, stored once in a zip', () => {
    expect(imagesOf(game).map(({ at }) => at)).toEqual(['house.look.behind.src', 'levels[0].look.behind.src'])
    const zip = writeGameZip(game)
    expect(Object.keys(unzipSync(zip))).toEqual(['game.json', 'art/1.gif'])
    expect(readGameZip(zip)).toEqual({ ok: true, value: game })
  })
  test.each<[string, unknown, string]>([
    ['that is no image', { kind: 'image', src: 'data:image/png;base64,AAAA' }, 'levels[0].look.behind.src: '],
    ['from outside', { kind: 'image', src: 'art/bridge.png' }, 'levels[0].look.behind.src: '],
    ['of a text', { kind: 'text', text: 'A' }, 'levels[0].look.behind.kind: '],
    ['without a name', { kind: 'picture' }, 'levels[0].look.behind.name: '],
  ])('%s is refused with its place', (_what, behind, place) => {
    const file = JSON.parse(writeGame(game)) as { levels: { look: { behind: unknown } }[] }
    file.levels[0]!.look.behind = behind
    const read = gameFrom(file)
    expect(read.ok ? 'read' : problemLine(read.problem)).toContain(place)
  })
})
