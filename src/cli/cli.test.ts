import { describe, expect, test } from '@jest/globals'
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { call } from '../../tests/lucky-twin.ts'
import { main } from './main.ts'

/** The commands, in process. What ships needs what `npm run build` made. */
const folder = mkdtempSync(join(tmpdir(), 'commands-'))
const CLOCK = 'demo/clockmakers-drawer.game.json'
const run = (...words: string[]) => call(main, words)

function file(name: string, content: unknown): string {
  const path = join(folder, name)
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content))
  return path
}
const changed = (name: string, change: (game: any) => void): string => {
  const game = JSON.parse(readFileSync(CLOCK, 'utf8'))
  change(game)
  return file(name, game)
}
const oneLine = (text: string): boolean => /^[^\n]+\n$/.test(text)

describe('odds', () => {
  test('tells what minds achieve on each level, the same for the same seed', async () => {
    const args = ['odds', CLOCK, '--mind', 'everyday', '--mind', 'none', '--games', '60']
    const { code, out, err } = await run(...args)
    expect([code, err]).toEqual([0, ''])
    const lines = out.trimEnd().split('\n')
    expect(lines.map((line) => line.split('  ').slice(0, 2).join(' '))).toEqual(
      ['warm-up', 'bench', 'top-drawer', 'cabinet'].flatMap((level) => [
        `${level} everyday`,
        `${level} none`,
      ]),
    )
    expect(lines[0]).toContain('wins 100.0 of 100')
    expect(lines.at(-1)).toContain('lost by clock 60')
    expect((await run(...args)).out).toBe(out)
    expect((await run(...args, '--seed', 'other')).out).not.toBe(out)
  })
  test('takes a mind from a file, and prints JSON', async () => {
    const mind = {
      format: 'lucky-twin/mind',
      version: 1,
      id: 'sure',
      name: 'Sure',
      memory: { notice: 1, hold: null, fade: 0, blur: 0, glance: 1 },
      pace: { first: 500, second: 500, spread: 0 },
    }
    const path = file('sure.mind.json', mind)
    const { code, out } = await run(
      'odds',
      CLOCK,
      '--level',
      'warm-up',
      '--mind',
      path,
      '--games',
      '9',
      '--json',
    )
    expect(code).toBe(0)
    // all cards are open at first, so every turn finds its pair
    expect(JSON.parse(out)).toMatchObject({
      level: 'warm-up',
      mind: 'sure',
      games: 9,
      won: 9,
      turns: { mean: 6, error: 0 },
      histogram: [0, 0, 0, 0, 0, 0, 9],
    })
    const wrong = file('wrong.mind.json', { ...mind, memory: { ...mind.memory, notice: 2 } })
    const refused = await run('odds', CLOCK, '--mind', wrong)
    expect([refused.code, refused.err]).toEqual([2, `${wrong}: memory.notice: at most 1\n`])
  })
  test('names a mind that is not known, and a level that cannot be dealt', async () => {
    const unknown = await run('odds', CLOCK, '--mind', 'nobody')
    expect(unknown.code).toBe(2)
    expect(unknown.err).toContain('no mind "nobody"; there are perfect, keen, everyday, fleeting, none')
    const path = changed('odd.game.json', (game) => (game.levels[0].board = { rows: 3, columns: 3 }))
    const odd = await run('odds', path, '--mind', 'none', '--games', '1')
    expect(odd.code).toBe(1)
    expect(odd.err).toMatch(/^warm-up: board/)
    expect(odd.out.trimEnd().split('\n')).toHaveLength(3)
  })
})

describe('solve', () => {
  const ask = ['solve', CLOCK, '--level', 'bench', '--mind', 'fleeting', '--win', '0.5', '--by']
  test('tells the value with which a mind wins so often, and writes it into the game', async () => {
    const to = join(folder, 'solved.game.json')
    const { code, out, err } = await run(...ask, 'clock', '--json', '--write', to)
    expect([code, err]).toEqual([0, ''])
    const solved = JSON.parse(out)
    expect(solved).toMatchObject({ level: 'bench', mind: 'fleeting', by: 'clock', win: 0.5, ok: true })
    expect(solved.wins.interval[1]).toBeGreaterThanOrEqual(0.5)
    const bench = JSON.parse(readFileSync(to, 'utf8')).levels[1]
    expect(bench.clock.limit).toBe(solved.value)
    // the written game is won that often
    const { won, games } = JSON.parse(
      (await run('odds', to, '--level', 'bench', '--mind', 'fleeting', '--json')).out,
    )
    expect(Math.abs(won / games - 0.5)).toBeLessThan(0.08)
    expect((await run(...ask, 'clock')).out).toContain(`clock ${solved.value / 1000} s; wins `)
  })
  test('says where no value works, and why', async () => {
    const { code, out } = await run(
      'solve',
      CLOCK,
      '--level',
      'warm-up',
      '--mind',
      'none',
      '--win',
      '0.5',
      '--by',
      'miss-look',
    )
    expect([code, out]).toEqual([1, expect.stringContaining('this rule changes nothing here')])
  })
  const WRONG = [
    [
      'a share of 7',
      ['0.5', '7'],
      "option '--win <share>' argument '7' is invalid. a share above 0, up to 1, is expected.",
    ],
    [
      'a rule that is none',
      ['clock', 'luck'],
      "option '--by <rule>' argument 'luck' is invalid. one of clock, lives, turns, first-look, miss-look is expected.",
    ],
    ['a mind that is none', ['fleeting', 'nobody'], '--mind: no mind "nobody"'],
    ['a level that is none', ['bench', 'attic'], 'no level "attic" in this game'],
  ] as const
  for (const [name, [from, to], message] of WRONG)
    test(`refuses ${name}`, async () => {
      const { code, err } = await run(...[...ask, 'clock'].map((word) => (word === from ? to : word)))
      expect(code).toBe(2)
      expect(err).toContain(message)
      expect(oneLine(err)).toBe(true)
    })
})

describe('fit', () => {
  /** A game that somebody with a perfect memory of twins played on the warm-up, in order. */
  const record = (i: number, change: object = {}) =>
    file(`fit-${i}.play.json`, {
      format: 'lucky-twin/play',
      version: 1,
      game: 'clockmakers-drawer',
      level: 'top-drawer',
      seed: `fit-${i}`,
      inputs: Array.from({ length: 20 }, (_, at) => ({ at: 4000 + at * 4000, do: 'press', cell: at })),
      ...change,
    })
  test('tells the pace of records, names those that do not fit, and says where they are too few', async () => {
    const few = await run('fit', CLOCK, record(1))
    expect(few.code).toBe(1)
    expect(few.out).toContain('30 are needed')
    const records = Array.from({ length: 6 }, (_, i) => record(i))
    const { code, out, err } = await run('fit', CLOCK, ...records, record(9, { game: 'other' }), '--json')
    expect(code).toBe(0)
    const fit = JSON.parse(out)
    expect(fit).toMatchObject({ records: 6, left: [{ why: 'a record of "other"' }] })
    expect(fit.first.value).toBeGreaterThan(1000)
    expect(err).toContain('fit-9.play.json: left out: a record of "other"')
  })
  test('refuses a record whose times run backwards', async () => {
    const path = record(7, {
      inputs: [
        { at: 9, do: 'press', cell: 0 },
        { at: 3, do: 'press', cell: 1 },
      ],
    })
    const { code, err } = await run('fit', CLOCK, path)
    expect([code, err]).toEqual([2, `${path}: inputs[1].at: 3 is earlier than the previous input (9)\n`])
  })
})

describe('audit deals', () => {
  test('finds our own deals fair', async () => {
    const { out } = await run(
      'deal',
      'demo/tile-yard.game.json',
      '--level',
      'mixed',
      '--seed',
      'audit',
      '--count',
      '3000',
    )
    const audit = await run('audit', 'deals', file('ours.jsonl', out))
    expect([audit.code, audit.err]).toEqual([0, ''])
    expect(audit.out).toContain('3,000 boards of 4 × 4, 24 pairs')
    expect(audit.out).toContain('Fair. No place is favoured')
  })
  test('finds a deck that is only moved on unfair, says why, and prints it as JSON too', async () => {
    const deck = [...'AABBCCDDEEFF']
    const boards = Array.from({ length: 600 }, (_, i) =>
      [...deck.slice(i % 12), ...deck.slice(0, i % 12)].join(';'),
    )
    const path = file('moved.csv', `${boards.join('\n')}\nA;A\n`)
    const audit = await run('audit', 'deals', path)
    expect(audit.code).toBe(1)
    expect(audit.out).toContain('Not fair.')
    expect(audit.out).toContain('The same 12 boards come again and again in the same order')
    expect(audit.err).toContain('line 601: 2 cells, where most boards have 12: left out')
    expect(audit.err).toContain('taken as 3 × 4; say --rows and --columns if that is wrong')
    const json = await run('audit', 'deals', path, '--rows', '2', '--columns', '6', '--json')
    expect(JSON.parse(json.out)).toMatchObject({
      verdict: 'unfair',
      reason: { code: 'short-cycle' },
      board: { rows: 2, columns: 6 },
      leftOut: 1,
    })
  })
  test('says how many boards are needed where there are too few', async () => {
    const deals = (await run('deal', CLOCK, '--seed', 'few', '--count', '49')).out
    const few = await run('audit', 'deals', file('few.jsonl', deals))
    expect([few.code, few.out]).toEqual([2, ''])
    expect(few.err).toContain('49 boards are too few to say; at least 50 are needed.')
  })
  for (const [args, message] of [
    [['audit', 'deals', 'none.csv'], 'none.csv: no such file'],
    [['audit', 'deals'], "missing required argument 'file'"],
    [['audit', 'deals', CLOCK, '--rows', '0'], 'a whole number from 1 to 400 is expected.'],
  ] as const)
    test(`cannot use ${args.join(' ')}`, async () => {
      const { code, out, err } = await run(...args)
      expect([code, out]).toEqual([2, ''])
      expect(err).toContain(message)
      expect(oneLine(err)).toBe(true)
    })
})

test('deal prints JSON lines, the same for the same seed', async () => {
  const { code, out, err } = await run('deal', CLOCK, '--level', 'bench', '--seed', 'tick', '--count', '3')
  expect([code, err]).toEqual([0, ''])
  const lines = out
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line))
  expect(lines.map(({ level, seed, rows, columns }) => [level, seed, rows, columns])).toEqual(
    [1, 2, 3].map((n) => ['bench', `tick-${n}`, 4, 4]),
  )
  expect(lines[0].cells).toHaveLength(16)
  expect(JSON.parse((await run('deal', CLOCK, '--level', 'bench', '--seed', 'tick-2')).out)).toEqual(lines[1])
})

test('deal --text draws a grid', async () => {
  const { code, out } = await run('deal', CLOCK, '--level', 'cabinet', '--seed', 'tick', '--text')
  expect(code).toBe(0)
  const lines = out.split('\n')
  expect(lines[0]).toBe('Cabinet, seed tick')
  expect(lines[1]!.trim().split(/\s+/)).toEqual(['A', 'B', 'C', 'D', 'E', 'F'])
  expect(lines[4]!.trim().split(/\s+/).slice(0, 5)).toEqual([
    '3',
    expect.any(String),
    expect.any(String),
    '·',
    '·',
  ])
})

test('replay refuses a record that is not of the seed and the level that were given', async () => {
  const record = {
    format: 'lucky-twin/play',
    version: 1,
    game: 'clockmakers-drawer',
    level: 'warm-up',
    seed: 'a',
    inputs: [],
  }
  const path = file('given.play.json', record)
  expect((await run('replay', CLOCK, path, '--seed', 'a', '--level', 'warm-up')).code).toBe(0)
  expect(await run('replay', CLOCK, path, '--seed', 'b')).toMatchObject({
    code: 2,
    err: expect.stringContaining('seed: "b" was given, and this is "a"'),
  })
  expect(await run('replay', CLOCK, path, '--level', 'bench')).toMatchObject({
    code: 2,
    err: expect.stringContaining('level: "bench" was given'),
  })
})

test('replay prints the result, with --events every event, and exits 1 if it is not what is expected', async () => {
  const cells: string[] = JSON.parse(
    (await run('deal', CLOCK, '--level', 'warm-up', '--seed', 'tick')).out,
  ).cells
  const twin = cells.indexOf(cells[0]!, 1)
  const record = {
    format: 'lucky-twin/play',
    version: 1,
    game: 'clockmakers-drawer',
    level: 'warm-up',
    seed: 'tick',
    inputs: [
      { at: 100, do: 'press', cell: 0 },
      { at: 2000, do: 'press', cell: 0 },
      { at: 2100, do: 'press', cell: twin },
      { at: 2200, do: 'press', cell: twin },
    ],
    until: 5000,
    expect: { outcome: 'open', glimpsed: 1, score: 100 },
  }
  const path = file('good.play.json', record)
  const { code, out } = await run('replay', CLOCK, path)
  expect(code).toBe(0)
  expect(JSON.parse(out)).toEqual({
    outcome: 'open',
    lostBy: null,
    turns: 1,
    flips: 2,
    matches: 1,
    misses: 0,
    found: 0,
    lucky: 0,
    glimpsed: 1,
    slips: 0,
    fresh: 0,
    longestStreak: 1,
    score: 100,
    stars: 0,
    lives: null,
    timeUsed: 3000,
    refused: { 'first-look': 1, locked: 1 },
  })
  const { events } = JSON.parse((await run('replay', CLOCK, path, '--events')).out)
  expect(events.map(({ kind }: { kind: string }) => kind)).toEqual([
    'refused',
    'first-look-over',
    'flip',
    'flip',
    'match',
    'refused',
    'settled',
  ])
  const wrong = await run(
    'replay',
    CLOCK,
    file('wrong.play.json', { ...record, expect: { glimpsed: 0, refused: { locked: 1 } } }),
  )
  expect(wrong.code).toBe(1)
  expect(wrong.err).toContain('expected glimpsed 0, but it is 1')
  expect(wrong.err).toContain('expected refused')
})

test('check prints findings and exits 1 if one stops the game', async () => {
  expect(await run('check', CLOCK)).toMatchObject({ code: 0, out: 'no findings\n' })
  expect(await run('check', CLOCK, '--json')).toMatchObject({ code: 0, out: '[]\n' })
  const odd = changed('odd.game.json', (game) => (game.levels[0].board = { rows: 3, columns: 3 }))
  const { code, out } = await run('check', odd, '--json')
  expect(code).toBe(1)
  expect(JSON.parse(out)).toEqual([
    {
      level: 'stops',
      code: 'odd-board',
      at: 'levels[0].board',
      message: 'Warm-up: cards come in pairs, and the board has room for 9',
    },
  ])
  const unknown = changed('unknown.game.json', (game) => (game.deck.pairs[3].a.name = 'no-such-picture'))
  expect(await run('check', unknown)).toMatchObject({
    code: 1,
    out: expect.stringContaining('unknown-picture'),
  })
})

test('check runs the kept checks, and exits 1 if one fails', async () => {
  const inputs = [
    { at: 0, do: 'press', cell: 0 },
    { at: 5, do: 'press', cell: 0 },
  ]
  const kept = (flips: number) =>
    changed(`kept-${flips}.game.json`, (game) => {
      game.levels[0].turn.firstLook = 0
      game.checks = [{ id: 'twice', name: 'Twice', level: 'warm-up', seed: 's', inputs, expect: { flips } }]
    })
  expect((await run('check', kept(1))).out).not.toContain('kept-check-failed')
  const { code, out } = await run('check', kept(2), '--json')
  expect(code).toBe(1)
  expect(JSON.parse(out)).toContainEqual({
    level: 'warns',
    code: 'kept-check-failed',
    at: 'checks[0]',
    message: 'Twice: expected flips 2, but it is 1',
  })
})

test('audit log says at which line a log breaks the rules', async () => {
  const deal = (await run('deal', CLOCK, '--level', 'warm-up', '--seed', 'log')).out.trim()
  const lines = [
    deal,
    '{"at":60000,"do":"press","cell":"A1"}',
    '{"at":60001,"do":"press","cell":"A1","shows":"cog/a"}',
  ]
  const log = file('log.jsonl', lines.join('\n'))
  expect(await run('audit', 'log', CLOCK, log)).toMatchObject({
    code: 1,
    out: expect.stringMatching(/^line 3, at 60001 ms: A1 turned up cog\/a, but that card is face up/),
  })
  expect(await run('audit', 'log', CLOCK, file('good.jsonl', lines.slice(0, 2).join('\n')))).toMatchObject({
    code: 0,
    out: '2 lines, 1 presses: the rules were kept\n',
  })
  const { code, err } = await run('audit', 'log', CLOCK, file('none.jsonl', '{"at":1}'))
  expect([code, oneLine(err)]).toEqual([2, true])
  expect(err).toContain('the first line must be the deal')
})

test('ship writes one file, and none for a game that is stopped', async () => {
  const to = join(folder, 'game.html')
  expect((await run('ship', CLOCK, '--to', to)).code).toBe(0)
  expect(readFileSync(to, 'utf8')).toMatch(/^<!doctype html>/)
  const odd = changed('odd2.game.json', (game) => (game.levels[0].board = { rows: 3, columns: 3 }))
  const none = join(folder, 'none.html')
  expect((await run('ship', odd, '--to', none)).code).toBe(1)
  expect(existsSync(none)).toBe(false)
})

test('ship gives the licences of what is inside, and the page has their notices', async () => {
  const [to, licences] = [join(folder, 'noticed.html'), join(folder, 'LICENSES.txt')]
  expect((await run('ship', CLOCK, '--to', to, '--licences', licences)).code).toBe(0)
  const texts = [to, licences].map((file) => readFileSync(file, 'utf8'))
  const notices = ['Copyright (c) Phosphor Icons', 'Copyright 2022 The Figtree', 'SIL OPEN FONT LICENSE']
  for (const notice of notices) expect(texts.map((text) => text.includes(notice))).toEqual([true, true])
  expect(texts[0]!.match(/in the Software without restriction/g)).toHaveLength(1)
})

test('ship speaks the languages that are asked for, its own first', async () => {
  const to = join(folder, 'spoken.html')
  const { code, err } = await run('ship', CLOCK, '--to', to, '--lang', 'pl', '--lang', 'de')
  expect(code).toBe(0)
  // the demo names nothing in Polish, and so not in German either where that is not its own language
  expect(err).toMatch(/^Deutsch: as in Polski: /m)
  const html = readFileSync(to, 'utf8')
  expect(html).toContain('<html lang="pl" dir="ltr">')
  expect(html).toContain('"lists":{"pl":')
  expect(html).toContain('Alles an seinem Platz!')
  expect(html).not.toContain('Tout est rangé !","lost')
})

for (const [what, args, message] of [
  ['no command', [], 'a command is needed'],
  ['an unknown command', ['shuffle'], "unknown command 'shuffle'"],
  ['an unknown option', ['deal', CLOCK, '--sed', 'x'], "unknown option '--sed'"],
  ['no such file', ['check', 'nowhere.json'], 'nowhere.json: no such file'],
  ['a folder', ['check', 'demo'], 'demo: is a folder'],
  [
    'no such level',
    ['deal', CLOCK, '--level', 'attic'],
    'no level "attic" in this game; it has warm-up, bench, top-drawer, cabinet',
  ],
  ['a count that is none', ['deal', CLOCK, '--count', 'many'], 'a whole number from 1'],
  ['a seed that is too long', ['deal', CLOCK, '--seed', 'x'.repeat(65)], '--seed:'],
  [
    'another kind of file',
    ['replay', CLOCK, CLOCK],
    'format: "lucky-twin/play" is expected, not "lucky-twin/game"',
  ],
  [
    'no place to write',
    ['ship', CLOCK, '--to', '/nowhere/at/all.html'],
    '/nowhere/at/all.html: cannot be written',
  ],
  [
    'a page that would be named otherwise',
    ['ship', CLOCK, '--to', 'game.zip'],
    'game.zip: the page is written as HTML; end its name in .html',
  ],
  [
    'an engine that would be named otherwise',
    ['ship', CLOCK, '--as', 'engine', '--to', 'engine.html'],
    'engine.html: the engine is a package; end its name in .tgz',
  ],
  [
    'a kind that is none',
    ['ship', CLOCK, '--as', 'boat', '--to', 'game.html'],
    'Allowed choices are page, site, engine, project, kit',
  ],
  [
    'a site that would be named otherwise',
    ['ship', CLOCK, '--as', 'site', '--to', 'site.html'],
    'site.html: the site is a zip; end its name in .zip',
  ],
  [
    'a kit that would be named otherwise',
    ['ship', CLOCK, '--as', 'kit', '--to', 'kit.tgz'],
    'kit.tgz: the kit is a zip; end its name in .zip',
  ],
  [
    'more deals than a kit may have',
    ['ship', CLOCK, '--as', 'kit', '--to', 'kit.zip', '--deals', '10001'],
    'a whole number from 1 to 10,000 is expected',
  ],
  [
    'a language for the engine',
    ['ship', CLOCK, '--as', 'engine', '--to', 'engine.tgz', '--lang', 'de'],
    '--lang: the engine is the same in every language',
  ],
  ['no --to', ['ship', CLOCK], '--to'],
  [
    'a language that is none',
    ['ship', CLOCK, '--to', 'game.html', '--lang', 'xx-nowhere'],
    '--lang: "xx-nowhere" is none of the languages, which are en, de, fr',
  ],
] as const)
  test(`${what}: exit 2, one line that says what and where`, async () => {
    const { code, out, err } = await run(...args)
    expect([code, out]).toEqual([2, ''])
    expect(err).toContain(message)
    expect(oneLine(err)).toBe(true)
  })

test('a record of another game or level is unusable', async () => {
  const record = {
    format: 'lucky-twin/play',
    version: 1,
    game: 'other',
    level: 'warm-up',
    seed: 's',
    inputs: [],
  }
  expect(await run('replay', CLOCK, file('other.play.json', record))).toMatchObject({
    code: 2,
    err: expect.stringContaining('game: a record of "other"'),
  })
  const level = file('level.play.json', { ...record, game: 'clockmakers-drawer', level: 'attic' })
  expect(await run('replay', CLOCK, level)).toMatchObject({
    code: 2,
    err: expect.stringContaining('level: no level "attic"'),
  })
})
