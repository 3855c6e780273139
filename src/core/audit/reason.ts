import { cellName, openCells } from '../board/cells.ts'
import { NO_CARD } from '../deck/card.ts'
import { cut } from '../result.ts'
import { likeMistakes, type MistakeName, type SortName } from './mistakes.ts'
import { UNFAIR, type Report } from './report.ts'
import { areCuts, lagOf, likeTheLast, periodOf, type Boards } from './sequence.ts'
import type { Tally } from './tally.ts'

export type Reason = {
  code:
    | 'drawn-singly'
    | 'same-board'
    | 'never-moved'
    | 'short-cycle'
    | 'only-cut'
    | 'from-the-last'
    | 'dealt-twice'
    | 'few-seeds'
    | 'rows-alone'
    | 'columns-alone'
    | 'favours-start'
    | 'favours-places'
    | 'twins-at-fixed-places'
    | 'twins-apart'
    | 'twins-together'
    | 'something-else'
    | MistakeName
  message: string
}

/** How like a mistake boards are that show it, and how much less like any other. */
const LIKE_ENOUGH = 0.93
const LEAD = 0.03
/** A p below this is no chance. */
const NO_CHANCE = 1e-6
/** This many standard deviations stand out among all pairs and places of the largest board. */
const CERTAIN = 6

const TOLD: Record<MistakeName, string> = {
  'random-comparison':
    'This looks like a sort with a random comparison (SORT). A sort compares only a few of all pairs of cards, so many stay near where they began. Use Fisher–Yates instead.',
  'any-with-any':
    'This looks like a loop that swaps each place with any place. It has n to the n outcomes, which do not spread evenly over all orders. Swap place i only with places from 0 to i.',
  'tied-keys':
    'This looks like a sort by random whole numbers from too small a range: where two keys are equal, the cards keep their old order. Use keys that hardly ever tie, or Fisher–Yates.',
  'too-few-swaps':
    'This looks like too few random swaps: many cards are never touched. Fisher–Yates needs no guess at how many.',
  'too-few-riffles':
    'This looks like a deck that is cut in two and run together too few times: what lay above stays above. Use Fisher–Yates instead.',
  'never-stays':
    'This looks like Fisher–Yates that never leaves a card where it is: place i must also be allowed to swap with itself.',
  'skewed-draw':
    'This looks like a shuffle that swaps the right places, but draws some of them too often: the random number is squared, rounded, or otherwise bent. Draw each place from 0 to i equally often.',
  'one-half': 'One half of the deck keeps its order, or its place: the loop ends too early.',
}

const SORT_NAMES: Record<SortName, string> = {
  insertion: 'an insertion sort',
  'halving insertion': 'a binary insertion sort, as JavaScript engines use for short lists',
  merge: 'a merge sort',
  quick: 'a quicksort',
}

/**
 * The likely reason why boards are unfair, in plain words; null if they are not. A reason is only given if the test
 * that would show it is significant; otherwise the text says that it is something else, and what was found. In: a tally
 * with its report, its boards, and the names of its pairs.
 */
export function reasonOf(
  tally: Tally,
  report: Report,
  cells: Boards,
  names: readonly string[],
): Reason | null {
  if (report.verdict !== 'unfair') return null
  const boards = cells.map((board) => board.filter((card) => card !== NO_CARD))
  const certain = (name: Report['tests'][number]['name']): boolean =>
    report.tests.some((test) => test.name === name && test.p * report.tests.length < UNFAIR)
  const repeat = (report.repeats.p ?? 1) < NO_CHANCE
  const uneven = certain('places')
  // where a mistake leaves few orders, boards repeat, too: what says how they come about goes first
  return (
    drawnSingly(tally) ??
    sameBoard(tally) ??
    neverMoved(tally) ??
    (repeat ? (shortCycle(tally) ?? onlyCut(boards)) : null) ??
    (uneven ? linesAlone(tally) : null) ??
    fromTheLast(boards) ??
    (repeat ? dealtTwice(tally) : null) ??
    (uneven ? knownMistake(tally) : null) ??
    (repeat ? fewSeeds(report) : null) ??
    (uneven ? favoured(tally, names) : null) ??
    twinsFixed(tally) ??
    (!uneven && (certain('beside') || certain('steps')) ? twinsLie(report) : null) ??
    somethingElse(report)
  )
}

/** Every place has its twin at the same other place on every board. */
function twinsFixed({ together, deals, still, board }: Tally): Reason | null {
  const size = still.length
  const at = (one: number, other: number): number =>
    together[Math.min(one, other) * size + Math.max(one, other)]!
  const partnerOf = (place: number): number =>
    upTo(size).findIndex((other) => other !== place && at(place, other) === deals)
  if (upTo(size).some((place) => partnerOf(place) < 0)) return null
  const open = openCells(board)
  const [one, other] = [0, partnerOf(0)].map((place) => cellName(open[place]!, board.columns))
  return {
    code: 'twins-at-fixed-places',
    message: `Twins always lie at the same two places, such as ${one} and ${other}: whoever finds out needs no memory. It looks as if pairs were shuffled, and not cards.`,
  }
}

/** How twins are placed relative to each other where places are even. */
function twinsLie({ beside, steps }: Report): Reason | null {
  if (!beside || !steps) return null
  const sentence = `${beside.seen.toFixed(2)} pairs of matching cards are side by side on a board, where chance gives ${beside.expected.toFixed(2)}`
  if (beside.p < UNFAIR && beside.seen < beside.expected)
    return {
      code: 'twins-apart',
      message: `Twins are kept apart: ${sentence}. No place favours any pair, so it looks as if boards with twins side by side were dealt again, or twins were moved away from each other.`,
    }
  if (beside.p < UNFAIR)
    return {
      code: 'twins-together',
      message: `Twins are close together too often: ${sentence}. No place favours any pair, so it looks as if pairs were moved as one, or shuffled too little.`,
    }
  const [seen, expected] = [steps.meanSeen, steps.meanExpected]
  return {
    code: seen > expected ? 'twins-apart' : 'twins-together',
    message: `Twins are ${seen.toFixed(2)} steps apart on average, where chance gives ${expected.toFixed(2)}. No place favours any pair.`,
  }
}

const TEST_WORDS: Record<Report['tests'][number]['name'], string> = {
  places: 'pairs do not land on every place equally often',
  steps: 'twins are not as far apart as chance puts them',
  beside: 'twins are not side by side as often as by chance',
  repeats: 'boards repeat too often',
}
function somethingElse({ tests }: Report): Reason {
  const [worst] = [...tests].sort((a, b) => a.p - b.p)
  return {
    code: 'something-else',
    message: `Something else: ${worst ? TEST_WORDS[worst.name] : 'the boards are odd'}, in a way that fits none of the usual mistakes.`,
  }
}

/** Cards that never leave their row, or their column: each line is shuffled on its own. */
function linesAlone({ at, pairs, board, deals }: Tally): Reason | null {
  const open = openCells(board)
  for (const [code, lineOf, words] of [
    ['rows-alone', (cell: number) => Math.floor(cell / board.columns), 'row'],
    ['columns-alone', (cell: number) => cell % board.columns, 'column'],
  ] as const) {
    const lines = new Map<number, number[]>()
    open.forEach((cell, place) => lines.set(lineOf(cell), [...(lines.get(lineOf(cell)) ?? []), place]))
    if (lines.size < 2) continue
    // every line has the same cards on every board, and in it they are even
    const isAlone = (places: readonly number[]): boolean =>
      upTo(pairs).every((pair) => {
        const counts = places.map((place) => at[place * pairs + pair]!)
        const count = counts.reduce((sum, one) => sum + one, 0)
        const even = count / places.length
        const most = CERTAIN * Math.sqrt(even * (1 - even / deals)) + 1
        return count % deals === 0 && counts.every((one) => Math.abs(one - even) <= most)
      })
    if ([...lines.values()].every(isAlone))
      return {
        code,
        message: `Each ${words} is shuffled within itself: no card ever leaves its ${words}. Shuffle all cards as one list, then lay it out.`,
      }
  }
  return null
}
const upTo = (count: number): number[] => Array.from({ length: count }, (_, i) => i)

const share = (part: number, whole: number): string =>
  part === whole
    ? 'every board'
    : `${Math.max(0.1, (100 * part) / whole).toFixed(part / whole < 0.1 ? 1 : 0)} % of the boards`

function drawnSingly({ untwinned, deals, varied }: Tally): Reason | null {
  if (!untwinned) return null
  const why = varied
    ? 'It looks as if each card had been drawn on its own: make two of each first, then shuffle.'
    : 'The deck itself is uneven: some face is in it an odd number of times.'
  return { code: 'drawn-singly', message: `On ${share(untwinned, deals)} some card has no twin. ${why}` }
}

function sameBoard({ still, deals }: Tally): Reason | null {
  if (deals < 2 || !still.every(Boolean)) return null
  return {
    code: 'same-board',
    message: 'Every board is the same: the deck is not shuffled at all, or always from the same seed.',
  }
}

function neverMoved({ still, board }: Tally): Reason | null {
  const open = openCells(board)
  const cells = open.filter((_, place) => still[place])
  if (!cells.length) return null
  const cellNames = cells.slice(0, 6).map((cell) => cellName(cell, board.columns))
  const list = `${cellNames.join(', ')}${cells.length > 6 ? ` and ${cells.length - 6} more` : ''}`
  return {
    code: 'never-moved',
    message: `The ${cells.length === 1 ? 'card' : 'cards'} at ${list} never moved from ${cells.length === 1 ? 'its place' : 'their places'}: the loop leaves ${cells.length === 1 ? 'it' : 'them'} out. Check where it begins and ends.`,
  }
}

function shortCycle({ prints, deals }: Tally): Reason | null {
  const period = periodOf(prints, deals)
  return period
    ? {
        code: 'short-cycle',
        message: `The same ${period} boards come again and again in the same order: the generator runs in a short cycle, or the deck is only moved on from deal to deal.`,
      }
    : null
}

function onlyCut(boards: Boards): Reason | null {
  return areCuts(boards)
    ? {
        code: 'only-cut',
        message:
          'Every board is the same row of cards, begun at another card: the deck is only cut, not shuffled.',
      }
    : null
}

function fromTheLast(boards: Boards): Reason | null {
  const like = likeTheLast(boards)
  return like
    ? {
        code: 'from-the-last',
        message: `Boards are like the ones before them: ${like.near.toFixed(1)} of ${boards[0]!.length} cards lie where they lay on the board before, and only ${like.far.toFixed(1)} where they lay long before. It looks as if the cards of the last board are moved on a little, instead of shuffled anew.`,
      }
    : null
}

function dealtTwice({ prints, deals }: Tally): Reason | null {
  const again = lagOf(prints, deals)
  if (!again) return null
  const before = again.lag === 1 ? 'just before' : `${again.lag} boards before`
  return {
    code: 'dealt-twice',
    message: `Boards come twice: ${again.boards} of ${deals} are the same as the one ${before}. It looks as if the seed is not always new, or as if some boards were written down twice.`,
  }
}

/** Far more equal boards than chance allows, in no order: the generator has few seeds. */
function fewSeeds({ repeats, deals }: Report): Reason {
  return {
    code: 'few-seeds',
    message:
      repeats.distinct < deals * 0.9
        ? `Only ${repeats.distinct} different boards came up: the shuffle starts from too few seeds.`
        : `Boards repeat as often as if there were only about ${roughly((deals * (deals - 1)) / 2 / repeats.seen)} of them: the shuffle starts from too few seeds.`,
  }
}

/** A number to one figure, since more is not known. */
const roughly = (n: number): string => Number(n.toPrecision(1)).toLocaleString('en')

function knownMistake({ at, deals, pairs, still, varied, copies }: Tally): Reason | null {
  if (varied || still.length !== pairs * 2 || copies.some((count) => count !== 2)) return null
  const [best, ...others] = likeMistakes(at, deals, pairs)
  const next = others.find(({ name }) => name !== best?.name)
  if (!best || best.likeness < LIKE_ENOUGH || best.likeness < (next?.likeness ?? 0) + LEAD) return null
  return { code: best.name, message: TOLD[best.name].replace('SORT', SORT_NAMES[best.way as SortName] ?? '') }
}

/**
 * The place of the strongest preference, or, if that explains most of the unevenness, that some pairs lie nearer to the
 * start.
 */
function favoured({ at, pairs, still, board }: Tally, names: readonly string[]): Reason | null {
  const size = still.length
  const open = openCells(board)
  let strongest = { z: 0, place: 0, pair: 0, times: 1 }
  let first = { z: 0, pair: 0, mean: 0 }
  let uneven = 0
  let trend = 0
  for (let pair = 0; pair < pairs; pair++) {
    let total = 0
    let sum = 0
    for (let place = 0; place < size; place++) {
      total += at[place * pairs + pair]!
      sum += place * at[place * pairs + pair]!
    }
    if (!total) continue
    const expected = total / size
    for (let place = 0; place < size; place++) {
      const z = (at[place * pairs + pair]! - expected) / Math.sqrt(expected)
      uneven += z * z - 1
      if (z > strongest.z) strongest = { z, place, pair, times: at[place * pairs + pair]! / expected }
    }
    // the part of it that is a straight line over the places
    const mean = sum / total
    const z = ((size - 1) / 2 - mean) / Math.sqrt((size * size - 1) / 12 / total)
    trend += z * z - 1
    if (z > first.z) first = { z, pair, mean }
  }
  if (trend > uneven / 2 && first.z > CERTAIN)
    return {
      code: 'favours-start',
      message: `Some pairs favour the start of the board: the cards of ${cut(names[first.pair]!)} are at place ${(first.mean + 1).toFixed(1)} on average, where ${((size + 1) / 2).toFixed(1)} would be even.`,
    }
  if (strongest.z < CERTAIN) return null
  return {
    code: 'favours-places',
    message: `Some pairs favour some places: ${cut(names[strongest.pair]!)} is at ${cellName(open[strongest.place]!, board.columns)} ${strongest.times.toFixed(1)} times as often as it should.`,
  }
}
