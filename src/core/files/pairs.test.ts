import { describe, expect, test } from '@jest/globals'
import { BOUNDS } from '../settings/settings.ts'
import { pairsNamed } from '../testing/games.ts'
import { holdsPairs, readPairs, writePairs } from './pairs-file.ts'
import { wordPairs } from './words-file.ts'

describe('words', () => {
  const brief = (text: string): string[] =>
    wordPairs(text, ['taken']).pairs.map(({ id, a, b }) =>
      [id, ...[a, b].map((face) => (face?.kind === 'text' ? face.text : '-'))].join(' / '),
    )
  test.each([
    ['sun\tsoleil\nmoon\tlune', ['sun / sun / soleil', 'moon / moon / lune']],
    ['sun = soleil\r\n\r\n moon=lune ', ['sun / sun / soleil', 'moon / moon / lune']],
    ['"salt, coarse",sel', ['salt-coarse / salt, coarse / sel']],
    ['"two\nlines";zwei\neins;one', ['two-lines / two lines / zwei', 'eins / eins / one']],
    ['say ""hm"", dire', ['say-hm / say ""hm"" / dire']],
    ['cog\nkey', ['cog / cog / -', 'key / key / -']],
    ['same;same', ['same / same / -']],
    ['a;b, c\nd;e, f', ['a / a / b, c', 'd / d / e, f']],
    ['taken,x\ntaken,y', ['taken-2 / taken / x', 'taken-3 / taken / y']],
    ['\ufeffWord;Meaning\nsun;soleil', ['sun / sun / soleil']],
  ])('%j', (text, pairs) => expect(brief(text)).toEqual(pairs))

  test('a header is known by its words, and by what the author says', () => {
    expect(wordPairs('Word,Meaning\na,b', []).header).toEqual(['Word', 'Meaning'])
    expect(wordPairs('sun,soleil\na,b', []).header).toBeNull()
    expect(wordPairs('sun,soleil\na,b', [], { header: true }).pairs).toHaveLength(1)
    expect(wordPairs('Word,Meaning\na,b', [], { header: false }).pairs).toHaveLength(2)
  })
  test('lines that can be no pair are told with their number', () => {
    expect(wordPairs(`a,b\n,c\n"x\ny",z\nd,e,f\n${'x'.repeat(201)},y`, [])).toMatchObject({
      pairs: [{ id: 'a' }, { id: 'x-y' }],
      leftOut: 3,
      problems: [
        'line 2: the first column is empty',
        'line 5: more than two columns',
        'line 6: longer than 200 characters',
      ],
    })
  })
  test('a torn quotation mark is told with the line where it begins', () => {
    expect(wordPairs('a,b\n"c,d\ne,f\n', [])).toMatchObject({
      pairs: [{ id: 'a' }],
      problems: ['line 2: a quotation mark is not closed; what follows it is not read'],
    })
  })
  test('of 100,000 lines as many are taken as a deck holds, and the rest is counted', () => {
    const text = Array.from({ length: 100_000 }, (_, i) => `word ${i},meaning ${i}`).join('\n')
    const read = wordPairs(text, [])
    expect(read.pairs).toHaveLength(BOUNDS.pairs[1])
    expect(read.leftOut).toBe(99_000)
    expect(read.problems[0]).toBe('99,000 rows more than there is room for: a deck holds 1,000 pairs')
  })
})

describe('pairs on the clipboard', () => {
  test('come back as they were', () => {
    const pairs = pairsNamed(3, (i) => i === 1)
    expect(holdsPairs(writePairs(pairs))).toBe(true)
    expect(readPairs(writePairs(pairs))).toEqual({ ok: true, value: pairs })
  })
  test.each([
    ['{"format":"lucky-twin/game","version":1,"pairs":[]}', 'format'],
    ['{"format":"lucky-twin/pairs","version":2,"pairs":[]}', 'version'],
    ['{"format":"lucky-twin/pairs","version":1,"pairs":[]}', 'pairs'],
    [
      '{"format":"lucky-twin/pairs","version":1,"pairs":[{"id":"a","name":"A","a":{"kind":"text"}}]}',
      'pairs[0].a.text',
    ],
    [
      '{"format":"lucky-twin/pairs","version":1,"pairs":[{"id":"a","name":"A","a":{"kind":"image","src":"http://x/y.png"}}]}',
      'deck.pairs[0].a.src',
    ],
  ])('%j is refused at %s', (text, at) =>
    expect(readPairs(text)).toMatchObject({ ok: false, problem: { at } }),
  )
  test('other text is no pairs', () => expect(holdsPairs('sun = soleil')).toBe(false))
})
