import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_BACK } from '../../core/settings/back.ts'
import { LANGUAGES } from '../../core/texts/languages.ts'
import { readyMessages } from '../../core/texts/ready.ts'
import { newSpeech } from '../../core/texts/speech.ts'
import { english } from '../../core/texts/english.ts'
import { en } from '../../core/texts/words/en.ts'
import { gameWith, pairsNamed } from '../../core/testing/games.ts'
import { player } from '../testing.ts'
import { shipPaper } from './paper.ts'
import { cardsToPrint, EDGES, PAPER_BOUNDS, PAPERS, sheetLayout } from './sheets.ts'
import { PAPER_WORDS } from './words.ts'

const related = (i: number): boolean => i === 1
const game = gameWith({ board: { rows: 2, columns: 4 } }, pairsNamed(4, related))
const options = { paper: 'a4' as const, width: 55, level: 'first' }
const printed = (of = game, change = {}) => {
  const made = shipPaper(of, {}, english, { ...options, ...change }, player)
  return made.ok ? made.value : { html: '', sheets: 0, cards: 0 }
}

describe('a sheet', () => {
  test('holds as many cards as fit, all of them and their marks away from the edges, in its middle', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('a4' as const, 'letter' as const),
        fc.integer({ min: PAPER_BOUNDS.width[0], max: PAPER_BOUNDS.width[1] }),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        (paper, width, ratio) => {
          const house = { ...game.house, layout: { ...game.house.layout, ratio } }
          const found = sheetLayout({ house }, { paper, width, level: null })
          const { width: wide, height: high } = PAPERS[paper]
          if (!found.ok) {
            expect(width > wide - 2 * EDGES.margin || width / ratio > high - 2 * EDGES.margin - 1).toBe(true)
            return
          }
          const { columns, rows, card, left, top } = found.value
          const right = left + columns * (card.width + EDGES.gap) - EDGES.gap
          const bottom = top + rows * (card.height + EDGES.gap) - EDGES.gap
          expect(left).toBeCloseTo(wide - right, 6)
          expect(top).toBeCloseTo(high - bottom, 6)
          expect(Math.min(left, top)).toBeGreaterThanOrEqual(EDGES.margin)
          // one more would not fit
          expect(right - left + EDGES.gap + card.width).toBeGreaterThan(wide - 2 * EDGES.margin)
          expect(EDGES.markOff + EDGES.mark).toBeLessThan(EDGES.margin)
        },
      ),
    )
  })
  test('on which no card fits is refused, with what helps', () => {
    const house = { ...game.house, layout: { ...game.house.layout, ratio: 1 / 3 } }
    const made = shipPaper({ ...game, house }, {}, english, { ...options, width: 150 }, player)
    expect(made.ok ? '' : made.problem.message).toBe(
      'a card of 150 × 450 mm does not fit on A4; make it smaller',
    )
  })
})

describe('what is printed', () => {
  test('has the back of its level, or of the deck where all of that is printed', () => {
    const back = { ...DEFAULT_BACK, ink: '#8c2f4b' }
    const own = { ...game, levels: [{ ...game.levels[0]!, look: { back } }] }
    expect(printed(own).html).toContain('8c2f4b')
    expect(printed(own, { level: null }).html).not.toContain('8c2f4b')
    expect(printed().html).not.toContain('8c2f4b')
  })
  test('is what a level needs, pair by pair, or two cards of every pair', () => {
    const names = (level: string | null): string[] => {
      const cards = cardsToPrint(game, level)
      return cards.ok ? cards.value.map(({ pair, side }) => `${pair}${side}`) : []
    }
    const all = ['0a', '0a', '1a', '1b', '2a', '2a', '3a', '3a']
    expect([names('first'), names(null)]).toEqual([all, all])
    const four = gameWith(
      { board: { rows: 2, columns: 4 }, fill: { pick: 'first', repeat: 'evenly', use: { from: 1, to: 2 } } },
      pairsNamed(9),
    )
    const cards = cardsToPrint(four, 'first')
    expect(cards.ok && cards.value.map(({ pair }) => pair)).toEqual([0, 0, 0, 0, 1, 1, 1, 1])
    expect(cardsToPrint(game, 'gone').ok).toBe(false)
  })
  test('has a sheet of backs behind each sheet of fronts, mirrored, and the rules at the end', () => {
    const { html, sheets, cards } = printed(game, { width: 50 })
    // three columns; the last row has two cards
    expect([sheets, cards]).toEqual([1, 8])
    const pages = html.split('<section').slice(1)
    expect(pages).toHaveLength(3)
    const places = (page: string): string[] =>
      [...page.matchAll(/class="card" style="left:([\d.]+)mm;top:([\d.]+)mm/g)].map(
        // a sheet is laid out ten times as large
        ([, x, y]) => `${Number(x) / 10} ${Number(y) / 10}`,
      )
    const [fronts, backs] = [places(pages[0]!), places(pages[1]!)]
    const { width } = PAPERS.a4
    // a card's left edge, seen from behind, is as far from the right edge of the sheet
    const mirrored = fronts.map((place) => {
      const [x, y] = place.split(' ')
      return `${Number((width - Number(x) - 50 - 2 * EDGES.bleed).toFixed(3))} ${y}`
    })
    expect(backs).toEqual(mirrored)
  })
  test('shows text as it was typed, and never runs or loads anything', () => {
    const pairs = pairsNamed(4)
    pairs[0]!.a = { kind: 'text', text: '<img src=x onerror=alert(1)>' }
    const { html } = printed({
      ...gameWith({ board: { rows: 2, columns: 4 } }, pairs),
      title: '</title><script>x</script>',
    })
    expect(html).toContain('&lt;img src=x onerror=alert(1)&gt;')
    expect(html).not.toMatch(/<script|<img src=x/)
    expect(html).toContain("default-src 'none'")
  })
})

describe('the page of rules', () => {
  const rules = (of = game, level: string | null = 'first'): string[] =>
    [...printed(of, { level }).html.matchAll(/<li>([^<]*)/g)].map(([, line]) => line!)
  test('is told from the level', () => {
    expect(rules()).toEqual([
      'Shuffle the cards (8) and lay them out face down: 2 × 4.',
      'Turn over two cards at a time. Two that belong together are a pair.',
      'If they are a pair, take it.',
      'If they are no pair, turn them face down again.',
    ])
    const many = gameWith(
      {
        board: { rows: 2, columns: 4 },
        players: { names: ['A', 'B'], matchGoesAgain: false },
        limits: { turns: 9 },
      },
      pairsNamed(4),
    )
    expect(rules(many).slice(-3)).toEqual([
      'Then it is the next player’s turn.',
      'Whoever has the most pairs at the end has won.',
      'You have 9 turns.',
    ])
    // what holds on a screen only is not told
    const onScreen = gameWith(
      { board: { rows: 2, columns: 4 }, turn: { onOpen: 'turn-back' }, look: { marks: 'cells' } },
      pairsNamed(4, related),
    )
    expect(rules(onScreen)).toEqual(rules())
    expect(rules(many, null)[0]).toBe('Choose some pairs, shuffle their cards and lay them out face down.')
  })
  test('says what a game says its own way', () => {
    const own = newSpeech('en', { ...en, opening: 'In a drawer …', howTo: 'Find the <b>twins</b>.' })
    const made = shipPaper(game, {}, own, options, player)
    const html = made.ok ? made.value.html : ''
    expect(html).toContain('<p>In a drawer …</p>')
    expect(html).toContain('<li>Find the &lt;b&gt;twins&lt;/b&gt;.</li>')
    expect(html).not.toContain('Turn over two cards')
  })
  test('names whose work is on the paper', () => {
    const html = printed({ ...game, credits: ['Drawn by Ada'] } as typeof game).html
    expect(html).toContain('<p>Drawn by Ada</p>')
    expect(html).toContain('Letters, Somebody (MIT)')
    expect(html).not.toContain('Lucky Twin, Somebody')
  })
  test('is there in every language, with every number in its place', async () => {
    for (const language of LANGUAGES) {
      const speech = newSpeech(language, await readyMessages(language))
      const made = shipPaper(game, {}, speech, options, player)
      const html = made.ok ? made.value.html : ''
      expect(html).toContain(`<html lang="${language}" dir="${speech.direction}">`)
      const rest = html.slice(html.indexOf('class="rules"'))
      expect(rest).not.toMatch(/\{\w+\}/)
      const [first] = [...rest.matchAll(/<li>([^<]*)/g)].map(([, line]) => line!)
      for (const n of [8, 2, 4]) expect(first).toContain(speech.number(n))
      for (const words of Object.values(PAPER_WORDS[language])) expect(words.trim()).toBe(words)
    }
  })
})
