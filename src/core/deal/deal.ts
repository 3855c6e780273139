import { cardOf, NO_CARD, type Card } from '../deck/card.ts'
import { comeAgain, drawnPairs, drawsWithReplacement } from '../deck/select.ts'
import type { Pair } from '../deck/pair.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { type Settings } from '../settings/settings.ts'
import { good, type Result } from '../result.ts'
import { arrangedCells } from './arranged.ts'
import { openCells } from '../board/cells.ts'
import { draw } from './draw.ts'
import { fillIsRandom, fillPairs } from './fill.ts'
import { streamOf, type Stream } from './seed.ts'
import { shuffle } from './shuffle.ts'
import { isTooFar, mostApart, repeatsApart, type Fills } from './repeats.ts'
import { stepLimit, stepLimits, stepRule, type StepWay } from './step-rule.ts'
import { randomMatching } from './directed-loop-walk.ts'

/** The cells of a filled board, row by row; NO_CARD in a gap. */
export type Cells = readonly Card[]

/** Why a level cannot be dealt. */
export type DealCode =
  | 'odd-board'
  | 'too-few-cards'
  | 'too-few-pairs'
  | 'no-pairs'
  | 'counts-sum'
  | 'arranged-wrong'
  | 'steps-unreachable'
  | 'steps-by-chance'
/**
 * `at`: section and key as one text. `steps`: the nearest value the board was found to hold, if the level asks for too
 * much or too little.
 */
export type DealProblem = {
  code: DealCode
  section: 'board' | 'fill' | 'deal'
  key: string
  at: string
  message: string
  steps?: number
}

/** A level made ready to deal: everything that does not depend on the seed is done. */
export type Dealer = {
  pairs: number
  rows: number
  columns: number
  deal(seed: string): Cells
  /** the cards of a seed before they are laid, without gaps: all that is needed where players turn cards by chance */
  cards(seed: string): Card[]
}

const no = (
  code: DealCode,
  section: DealProblem['section'],
  key: string,
  message: string,
  steps?: number | null,
): { ok: false; problem: DealProblem } => ({
  ok: false,
  problem: {
    code,
    section,
    key,
    at: key ? `${section}.${key}` : section,
    message,
    ...(typeof steps === 'number' ? { steps } : {}),
  },
})

/** The two cards of a pair, in the order in which they are laid side by side. */
function twins(pairs: readonly Pair[], pair: number): [Card, Card] {
  const related = pairs[pair]!.b !== undefined
  return [cardOf(pair, 'a', related), cardOf(pair, related ? 'b' : 'a', related)]
}

/**
 * Makes a level ready to deal, or says why it cannot be dealt. `at` in the problem is "section.key". The same pairs,
 * settings and seed give the same cells everywhere. `brief` skips working out how many steps the board could hold,
 * which takes longest; the message then has no number.
 */
export function prepareDeal(
  pairs: readonly Pair[],
  settings: Pick<Settings, 'board' | 'fill' | 'deal'>,
  brief = false,
): Result<Dealer, DealProblem> {
  const { board, fill, deal } = settings
  const open = openCells(board)
  const pairCount = open.length / 2
  if (open.length % 2 === 1)
    return no('odd-board', 'board', '', `cards come in pairs, and the board has room for ${open.length}`)
  if (open.length < BOUNDS.cards[0]) return no('too-few-cards', 'board', '', 'no cell holds a card')
  const base = { pairs: pairCount, rows: board.rows, columns: board.columns }

  if (deal.way === 'arranged') {
    const laid = arrangedCells(pairs, board, deal.arranged)
    if (!laid.ok) return no('arranged-wrong', 'deal', laid.problem.at, laid.problem.message)
    const { value } = laid
    return good({ ...base, deal: () => value, cards: () => value.filter((card) => card !== NO_CARD) })
  }

  const selection = drawnPairs(pairs, fill)
  const byCounts = fill.repeat === 'counts'
  if (byCounts && selection.length !== pairCount)
    return no(
      'counts-sum',
      'fill',
      'counts',
      `the counts add up to ${selection.length}, and the board needs ${pairCount}`,
    )
  if (selection.length === 0) return no('no-pairs', 'fill', 'use', 'no pair of the deck is chosen')
  if (selection.length < pairCount && fill.repeat === 'never')
    return no(
      'too-few-pairs',
      'fill',
      'repeat',
      `the board needs ${pairCount} pairs, and ${selection.length} are chosen`,
    )

  const cardsOf = (chosen: number[]): Card[] => chosen.flatMap((pair) => twins(pairs, pair))
  const random = fillIsRandom(selection.length, pairCount, fill)
  const fixed = random ? null : cardsOf(fillPairs(selection, pairCount, fill, streamOf('', 'picking')))
  const cardsFor = (seed: string): Card[] =>
    fixed?.slice() ?? cardsOf(fillPairs(selection, pairCount, fill, streamOf(seed, 'picking')))
  const way = wayToLay(
    settings,
    comeAgain(selection, pairCount, fill) ? () => fillsOf(pairs, selection, pairCount, fill) : null,
    brief,
  )
  if (!way.ok) return way
  const lay = way.value
  const size = board.rows * board.columns
  return good({
    ...base,
    cards: cardsFor,
    deal(seed) {
      const cards = lay(cardsFor(seed), seed)
      if (cards.length === size) return cards
      const cells = new Array<Card>(size).fill(NO_CARD)
      for (let i = 0; i < cards.length; i++) cells[open[i]!] = cards[i]!
      return cells
    },
  })
}

/**
 * The cards of every kind of fill of a level that repeats its pairs, but not at random: by how many of the pairs that
 * get an extra copy are identical.
 */
function fillsOf(
  pairs: readonly Pair[],
  selection: readonly number[],
  pairCount: number,
  fill: Settings['fill'],
): Fills {
  const fixed = fillPairs(selection, pairCount, { ...fill, pick: 'first' }, streamOf('', 'picking'))
  if (!fillIsRandom(selection.length, pairCount, fill)) return [fixed.flatMap((pair) => twins(pairs, pair))]
  const isRelated = (pair: number): boolean => pairs[pair]!.b !== undefined
  const identical = selection.filter((pair) => !isRelated(pair))
  const related = selection.filter(isRelated)
  const extra = pairCount % selection.length
  const fills: Card[][] = []
  for (let some = Math.max(0, extra - related.length); some <= Math.min(extra, identical.length); some++) {
    const more = [...identical.slice(0, some), ...related.slice(0, extra - some)]
    const all = Array.from({ length: Math.floor(pairCount / selection.length) }, () => selection).flat()
    fills.push([...all, ...more].sort((a, b) => a - b).flatMap((pair) => twins(pairs, pair)))
  }
  return fills
}

/**
 * The bounds of `apart` and `close` on a level's board; `proved`: more steps are provably impossible, not just not
 * found.
 */
export type StepsReach = Record<StepWay, number> & { proved: boolean }

/**
 * The largest `apart` that was found and the smallest `close` that a level's board and fill can hold, or null if it
 * cannot be dealt for another reason.
 */
export function stepsReach(
  pairs: readonly Pair[],
  settings: Pick<Settings, 'board' | 'fill' | 'deal'>,
): StepsReach | null {
  const { board, fill, deal } = settings
  const inOrder = prepareDeal(pairs, { ...settings, deal: { ...deal, way: 'in-order' } })
  if (!inOrder.ok) return null
  const limits = { ...stepLimits(board), proved: true }
  const selection = drawnPairs(pairs, fill)
  const pairList = inOrder.value.pairs
  if (!comeAgain(selection, pairList, fill)) return limits
  if (drawsWithReplacement(selection.length, pairList, fill)) return { ...limits, apart: 1 }
  const { steps, proved } = mostApart(board, fillsOf(pairs, selection, pairList, fill))
  return { ...limits, apart: steps, proved }
}

/** Puts cards, given as twins side by side, in the order in which they go on the open cells. */
type Lay = (cards: Card[], seed: string) => Card[]

function wayToLay(
  { board, fill, deal }: Pick<Settings, 'board' | 'fill' | 'deal'>,
  repeats: (() => Fills) | null,
  brief: boolean,
): Result<Lay, DealProblem> {
  if (deal.way === 'shuffled') return good((cards, seed) => shuffle(cards, streamOf(seed, 'shuffling')))
  if (deal.way !== 'apart' && deal.way !== 'close') return good((cards) => cards)
  if (repeats && deal.way === 'apart' && deal.steps > 1) {
    if (fill.repeat === 'at-random' || fill.repeat === 'with-replacement')
      return no(
        'steps-by-chance',
        'fill',
        'repeat',
        'pairs drawn at random may repeat so often that no board keeps them apart; repeat them evenly',
      )
    const fills = repeats()
    const lay = repeatsApart(board, deal.steps, fills)
    return lay ? good(lay) : tooFarApart(board, deal.steps, fills, brief)
  }
  const rule = stepRule(board, deal.way, deal.steps)
  if (!rule) {
    const limit = brief ? null : stepLimit(board, deal.way)
    const message =
      deal.way === 'apart'
        ? `twins cannot all lie ${deal.steps} steps apart on this board${limit === null ? '' : `; ${limit} is the most it holds`}`
        : `twins cannot all lie within ${deal.steps} steps on this board${limit === null ? '' : `; ${limit} is the least it holds`}`
    return no('steps-unreachable', 'deal', 'steps', message, limit)
  }
  return good((cards, seed) => {
    const matching = randomMatching(rule.graph, rule.start, streamOf(seed, 'swaps'))
    return layOnMatching(cards, matching, streamOf(seed, 'shuffling'))
  })
}

/** The problem that repeated pairs cannot be dealt this far apart: proved impossible, or just not found. */
function tooFarApart(
  board: Settings['board'],
  steps: number,
  fills: Fills,
  brief: boolean,
): ReturnType<typeof no> {
  const cannot = `with repeated pairs, matching cards cannot all lie ${steps} steps apart on this board`
  const notFound = `no way was found to lay all matching cards ${steps} steps apart on this board`
  const most = brief ? null : mostApart(board, fills)
  const proved = most ? most.bound < steps : isTooFar(board, fills, steps)
  const nearest = most ? `; ${most.steps} is the most${most.proved ? '' : ' that was found'}` : ''
  return no('steps-unreachable', 'deal', 'steps', (proved ? cannot : notFound) + nearest, most?.steps)
}

/** Gives each two mated cells a pair of cards at random; one more draw decides which card goes where. */
function layOnMatching(cards: Card[], mates: readonly number[], stream: Stream): Card[] {
  const order = shuffle(
    Array.from({ length: cards.length / 2 }, (_, i) => i),
    stream,
  )
  const cells = new Array<Card>(cards.length)
  let next = 0
  for (let place = 0; place < mates.length; place++) {
    const mate = mates[place]!
    if (mate < place) continue
    const first = order[next++]! * 2
    const turned = draw(stream, 2)
    cells[place] = cards[first + turned]!
    cells[mate] = cards[first + 1 - turned]!
  }
  return cells
}
