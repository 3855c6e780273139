import { describe, expect, test } from '@jest/globals'
import { searchPictures, type Picture } from '../cards/pictures.ts'

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
