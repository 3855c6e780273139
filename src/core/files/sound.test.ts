import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { fromUint8Array } from 'js-base64'
import { ownFilesOf, soundsOf, withOwnFiles } from '../game/own-files.ts'
import { problemLine } from '../result.ts'
import { SIZES } from '../settings/bounds.ts'
import { DEFAULTS } from '../settings/settings.ts'
import { gameWith } from '../testing/games.ts'
import { readGame, writeGame } from './game-file.ts'
import { readGameZip, writeGameZip } from './game-zip.ts'
import { checkSound, checkSoundUrl, soundType } from './sound.ts'
import { writeWav } from './wav.ts'

const WAV = writeWav(new Float32Array(100).fill(0.5), 44_100)
const src = `data:audio/wav;base64,${fromUint8Array(WAV)}`
const game = gameWith({})
game.house = { ...game.house, sound: { ...DEFAULTS.sound, match: { name: 'Gong', src } } }
game.levels.push({ id: 'second', name: 'Second', sound: { win: { name: 'Gong again', src }, loss: 'wood' } })
const problem = (bytes: Uint8Array): string => {
  const checked = checkSound(bytes)
  return checked.ok ? 'fine' : problemLine(checked.problem)
}

describe('a sound', () => {
  test.each<[string, Uint8Array, string | null]>([
    ['a WAV', WAV, 'wav'],
    ['an MP3 with a tag', strToU8('ID3\x04rest'), 'mpeg'],
    ['an MP3 of bare frames', Uint8Array.of(0xff, 0xfb, 0x90, 0x00), 'mpeg'],
    ['an OGG', strToU8('OggS and so on'), 'ogg'],
    ['a picture in a RIFF', strToU8('RIFF....WEBP'), null],
    ['no layer in its frame', Uint8Array.of(0xff, 0xe1, 0x90, 0x00), null],
    ['text', strToU8('a WAV that is text'), null],
    ['nothing', new Uint8Array(), null],
  ])('%s is told by its own bytes', (_what, bytes, type) => expect(soundType(bytes)).toBe(type))
  test('is refused when it is none, or too large', () => {
    expect(problem(strToU8('a WAV that is text'))).toBe('not a WAV, MP3 or OGG sound')
    const large = new Uint8Array(SIZES.sound + 1)
    large.set(WAV)
    expect(problem(large)).toBe('larger than 1 MiB')
    expect(problem(large.subarray(0, SIZES.sound))).toBe('fine')
  })
  test.each([
    [src, 'fine'],
    [src.replace('wav', 'ogg'), 'says it is ogg, but is wav'],
    [src.replace('audio/wav', 'image/png'), 'a sound as data:audio/TYPE;base64,… is expected'],
    ['https://example.org/a.wav', 'a sound as data:audio/TYPE;base64,… is expected'],
    [`data:audio/wav;base64,${'A'.repeat(2 * SIZES.sound)}`, 'larger than 1 MiB'],
  ])('as a data URL is checked (%#)', (url, said) => {
    const checked = checkSoundUrl(url)
    expect(checked.ok ? 'fine' : problemLine(checked.problem)).toBe(said)
  })
})

test('samples are written as a WAV, what is too loud cut', () => {
  fc.assert(
    fc.property(fc.array(fc.float({ min: -2, max: 2, noNaN: true }), { maxLength: 40 }), (samples) => {
      const bytes = writeWav(Float32Array.from(samples), 22_050)
      const view = new DataView(bytes.buffer)
      expect(soundType(bytes)).toBe('wav')
      expect([view.getUint32(4, true), view.getUint32(24, true), view.getUint32(40, true)]).toEqual([
        bytes.length - 8,
        22_050,
        samples.length * 2,
      ])
      samples.forEach((sample, i) =>
        expect(view.getInt16(44 + 2 * i, true) / 32_767).toBeCloseTo(Math.max(-1, Math.min(1, sample)), 4),
      )
    }),
  )
})

describe('own sounds of a game', () => {
  test('are found wherever they stand, and put elsewhere without touching the game', () => {
    expect(soundsOf(game).map(({ at }) => at)).toEqual([
      'house.sound.match.src',
      `levels[${game.levels.length - 1}].sound.win.src`,
    ])
    const before = JSON.stringify(game)
    const moved = withOwnFiles(game, () => 'elsewhere')
    expect(ownFilesOf(moved).map((one) => one.src)).toEqual(['elsewhere', 'elsewhere'])
    expect(moved.levels.at(-1)!.sound!.loss).toBe('wood')
    expect(JSON.stringify(game)).toBe(before)
    const silent = gameWith({})
    expect(withOwnFiles(silent, () => 'elsewhere')).toBe(silent)
  })
  test('are kept in a file, and one that is none is refused by its place', () => {
    expect(readGame(writeGame(game))).toEqual({ ok: true, value: game })
    const broken = readGame(writeGame(withOwnFiles(game, () => 'data:audio/wav;base64,AAAA')))
    expect(!broken.ok && problemLine(broken.problem)).toBe(
      'house.sound.match.src: not a WAV, MP3 or OGG sound',
    )
  })
  test('travel in a zip, each once, and one that is missing or none is refused', () => {
    const zip = writeGameZip(game)
    expect(Object.keys(unzipSync(zip))).toEqual(['game.json', 'sound/1.wav'])
    expect(readGameZip(zip)).toEqual({ ok: true, value: game })
    const entries = unzipSync(zip)
    const told = (files: Record<string, Uint8Array>): string => {
      const read = readGameZip(zipSync(files))
      return read.ok ? 'fine' : problemLine(read.problem)
    }
    expect(told({ 'game.json': entries['game.json']! })).toContain('no "sound/1.wav" in this zip')
    expect(told({ ...entries, 'sound/1.wav': strToU8('text') })).toContain('house.sound.match.src')
  })
})
