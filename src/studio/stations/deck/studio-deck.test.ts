import { describe, expect, test } from '@jest/globals'
import { imagePairs, sideOfName, type ReadImage } from '../../parts/cards/image-files.ts'
import { searchPictures, type Picture } from '../../store/pictures.ts'

describe('the picture search', () => {
  const library: Picture[] = ['old-key', 'keyboard', 'musical-keyboard', 'monkey', 'gear'].map((name) => ({
    name,
    words: name.replaceAll('-', ' '),
    kind: name === 'gear' ? 'Objects' : 'Other',
  }))
  const names = (query: string): string[] => searchPictures(library, query).map(({ name }) => name)
  test('whole words first, then beginnings, then parts', () => {
    expect(names('key')).toEqual(['old-key', 'keyboard', 'musical-keyboard', 'monkey'])
  })
  test('every word must fit', () => {
    expect(names('key musical')).toEqual(['musical-keyboard'])
    expect(names('key gear')).toEqual([])
  })
  test('a kind is found too, and nothing asked is everything', () => {
    expect(names('object')).toEqual(['gear'])
    expect(names(' ')).toHaveLength(5)
  })
})

describe('images become pairs', () => {
  const image = (name: string, src = name): ReadImage => ({ name, src, smaller: false })
  test.each([
    ['key a', 'key', 'a'],
    ['key B', 'key', 'b'],
    ['key1', 'key', 'a'],
    ['moon 2', 'moon', 'b'],
    ['glove left', 'glove', 'a'],
    ['Glove Right', 'Glove', 'b'],
  ])('%j is a side of %j', (name, stem, side) => expect(sideOfName(name)).toMatchObject({ stem, side }))
  test.each(['key', 'a', '1', 'left', 'bright'])('%j is none', (name) =>
    expect(sideOfName(name)?.stem ?? '').not.toBe(name),
  )
  test('those whose names differ in their end only are joined on request', () => {
    const images = [image('key a'), image('lamp'), image('key b'), image('rod 1'), image('rod 3')]
    const brief = (join: boolean): string[] =>
      imagePairs(images, [], join).pairs.map(({ name, b }) => `${name}${b ? ' +' : ''}`)
    expect(brief(true)).toEqual(['key +', 'lamp', 'rod 1', 'rod 3'])
    expect(brief(false)).toEqual(['key a', 'lamp', 'key b', 'rod 1', 'rod 3'])
  })
  test('the same image is taken once', () => {
    const { pairs, twice } = imagePairs(
      [image('one', 'x'), image('two', 'x'), image('three', 'y')],
      ['one'],
      false,
    )
    expect(pairs.map(({ id }) => id)).toEqual(['one-2', 'three'])
    expect(twice).toBe(1)
  })
})
