import { describe, expect, test } from '@jest/globals'
import { BOUNDS } from '../settings/bounds.ts'
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
    expect(wordPairs('Word,Meaning\na,b', [])).toMatchObject({
      header: true,
      columns: [{ head: 'Word' }, { head: 'Meaning' }],
    })
    expect(wordPairs('sun,soleil\na,b', []).header).toBe(false)
    for (const heads of [
      'Wort;Bedeutung',
      'mot;traduction',
      'Palabra;Significado',
      'palavra;tradução',
      'domanda;risposta',
      'woord;betekenis',
      'słowo;tłumaczenie',
      'kelime;anlam',
      'слово;переклад',
      'كلمة;معنى',
      'מילה;תרגום',
      '単語;意味',
      '单词;翻译',
    ])
      expect([heads, wordPairs(`${heads}\nx;y`, []).header]).toEqual([heads, true])
    for (const pair of ['word;Wort', 'meaning;significado']) expect(wordPairs(pair, []).header).toBe(false)
    expect(wordPairs('sun,soleil\na,b', [], { header: true }).pairs).toHaveLength(1)
    expect(wordPairs('Word,Meaning\na,b', [], { header: false }).pairs).toHaveLength(2)
  })
  test('lines that can be no pair are told with their number', () => {
    expect(wordPairs(`a,b\n,c\n"x\ny",z\nd,e,f\n${'x'.repeat(201)},y`, [])).toMatchObject({
      pairs: [{ id: 'a' }, { id: 'x-y' }, { id: 'd' }],
      leftOut: 2,
      problems: ['line 2: there is no text for one face', 'line 6: longer than 200 characters'],
    })
  })
  const parts = (text: string): string[] => wordPairs(text, []).columns.map(({ part }) => part)
  test.each<[string, string, string[]]>([
    ['two columns', 'sun;soleil', ['a', 'b']],
    ['heads in any order', 'Answer,Tags,Question,Notes\nParis,city,France?,x', ['b', 'tags', 'a', 'nothing']],
    ['numbers that count', '1,sun,soleil\n2,moon,lune\n3,star,étoile', ['nothing', 'a', 'b']],
    [
      'few words that come again',
      'sun,soleil,sky\nmoon,lune,sky\ntea,thé,kitchen\ncup,tasse,kitchen',
      ['a', 'b', 'tags'],
    ],
    ['more than there are parts for', 'a,b,c,d', ['a', 'b', 'nothing', 'nothing']],
    ['words read aloud', 'word,meaning,aloud\nK,− · −,dash dot dash', ['a', 'b', 'aloud-b']],
  ])('the parts of columns are guessed: %s', (_what, text, wanted) => expect(parts(text)).toEqual(wanted))

  test('columns are what they are said to be', () => {
    const read = wordPairs('7;sun;soleil;sky, light;the sun;solay', [], {
      parts: ['nothing', 'a', 'b', 'tags', 'name', 'aloud-b'],
    })
    expect(read.pairs).toEqual([
      {
        id: 'the-sun',
        name: 'the sun',
        tags: ['sky', 'light'],
        a: { kind: 'text', text: 'sun' },
        b: { kind: 'text', text: 'soleil', alt: 'solay' },
      },
    ])
  })
  test('rows without a second face are counted, and are identical twins or left out', () => {
    const text = 'sun,soleil\nmoon,\nstar\nsame,same'
    expect(wordPairs(text, [])).toMatchObject({
      oneFaced: 2,
      leftOut: 0,
      pairs: [{}, { id: 'moon' }, { id: 'star' }, {}],
    })
    const less = wordPairs(text, [], { oneFaced: 'leave-out' })
    expect(less).toMatchObject({ oneFaced: 2, pairs: [{ id: 'sun' }, { id: 'same' }] })
    // a list of one column asks nothing
    expect(wordPairs('sun\nmoon', []).oneFaced).toBe(0)
  })
  test('thirty columns and a cell of 10,000 letters leave no row out for a column too many', () => {
    const wide = Array.from({ length: 30 }, (_, i) => `c${i}`)
    wide[29] = 'x'.repeat(10_000)
    const read = wordPairs(`${wide.join(',')}\n${wide.join(',')}`, [])
    expect(read.columns).toHaveLength(30)
    expect(read.pairs).toHaveLength(2)
    expect(
      wordPairs(wide.join(','), [], { parts: wide.map((_, i) => (i === 29 ? 'a' : 'nothing')) }).problems,
    ).toEqual(['line 1: longer than 200 characters'])
  })
  test('a torn quotation mark is told with the line where it begins', () => {
    expect(wordPairs('a,b\n"c,d\ne,f\n', [])).toMatchObject({
      pairs: [{ id: 'a' }],
      problems: ['line 2: a quotation mark is not closed; what follows it is not read'],
    })
  })
  test('of a text longer than is read the first lines are taken, also where a quotation mark is not closed', () => {
    const lines = Array.from({ length: 30_000 }, (_, i) => `${'w'.repeat(60)} ${i},meaning ${i}`)
    const read = wordPairs(lines.join('\n'), [])
    expect([read.pairs.length, read.leftOut]).toEqual([BOUNDS.pairs[1], 29_000])
    const torn = wordPairs(`a,b\n"c,d\n${'e,f\n'.repeat(500_000)}`, [])
    expect([torn.pairs.length, torn.problems]).toEqual([
      1,
      ['line 2: a quotation mark is not closed; what follows it is not read'],
    ])
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
