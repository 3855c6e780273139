import { describe, expect, test } from '@jest/globals'
import { searchPictures, type Picture } from '../cards/pictures.ts'
import { typedPairs } from './typed-pairs.ts'

describe('typed words', () => {
  const brief = (text: string): string[] =>
    typedPairs(text, ['taken']).pairs.map(({ id, a, b }) =>
      [id, ...[a, b].map((face) => (face?.kind === 'text' ? face.text : '-'))].join(' / '),
    )
  test.each([
    ['sun\tsoleil\nmoon\tlune', ['sun / sun / soleil', 'moon / moon / lune']],
    ['sun = soleil\n\n moon=lune ', ['sun / sun / soleil', 'moon / moon / lune']],
    ['"salt, coarse",sel', ['salt-coarse / salt, coarse / sel']],
    ['cog\nkey', ['cog / cog / -', 'key / key / -']],
    ['same;same', ['same / same / -']],
    ['taken,x\ntaken,y', ['taken-2 / taken / x', 'taken-3 / taken / y']],
  ])('%j', (text, pairs) => expect(brief(text)).toEqual(pairs))
  test('lines that can be no pair are told with their number', () => {
    expect(typedPairs(`a,b\n,c\nd,e,f\n${'x'.repeat(201)},y`, [])).toMatchObject({
      pairs: [{ id: 'a' }],
      problems: [
        'line 2: the first column is empty',
        'line 3: more than two columns',
        'line 4: longer than 200 characters',
      ],
    })
  })
})

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
