import { countWords } from '../count-words.ts'
import { drawnPairs } from '../deck/select.ts'
import { boardFor, evenBoards } from '../board/board-for.ts'
import { cellIndex, cellName, openCells } from '../board/cells.ts'
import { prepareDeal, stepsReach } from '../deal/deal.ts'
import { frameOf, nearestTouchable, touchSize } from '../board/frames.ts'
import { TOUCHABLE } from '../board/geometry.ts'
import { BACK_COLOURS } from '../settings/back.ts'
import { withoutPairs } from '../deck/edit.ts'
import { cardName } from '../deck/card-name.ts'
import type { Finding } from './finding.ts'
import { amountThat } from './words.ts'
import { shortLooks, unusedPairs } from './findings.ts'
import { NO_CARD } from '../deck/card.ts'
import type { Game } from '../game/game.ts'
import { resolveLevel, writeSettings } from '../settings/levels.ts'
import type { Section, Settings } from '../settings/settings.ts'
import { leverPatch } from '../odds/levers.ts'
import { valueToWin, type Limit } from '../odds/winning.ts'

/** One press that mends a finding: the button's words, and the game as it is then. */
export type Mend = { label: string; to: (game: Game) => Game }

/** How a mend writes keys of a section where the finding is. */
type Say = <S extends Section>(section: S, patch: Partial<Settings[S]>) => Mend['to']

/** The mends of a finding, each one press; the first is the least change. Empty where only the author can know. */
export function mendsOf(game: Game, finding: Finding): Mend[] {
  const level = finding.where.level === null ? undefined : game.levels[finding.where.level]
  const settings = resolveLevel(game, level)
  const say: Say = (section, patch) => (now) => writeSettings(now, level?.id ?? null, section, patch)
  const { board, fill } = settings
  const shuffleInstead: Mend = { label: 'Shuffle instead', to: say('deal', { way: 'shuffled' }) }
  const useAll: Mend = { label: 'Use the whole deck', to: say('fill', { use: 'all' }) }
  switch (finding.code) {
    case 'odd-board':
      return oddBoard(say, board)
    case 'too-few-cards':
      return [{ label: 'Fill all gaps', to: say('board', { gaps: [] }) }]
    case 'too-few-pairs': {
      const count = drawnPairs(game.deck.pairs, fill).length
      const smaller = boardFor(count)
      return [
        { label: 'Repeat pairs evenly', to: say('fill', { repeat: 'evenly' }) },
        {
          label: `A board for ${countWords(count, 'pair')}: ${smaller.rows} × ${smaller.columns}`,
          to: say('board', smaller),
        },
        ...(fill.use === 'all' ? [] : [useAll]),
      ]
    }
    case 'no-pairs':
      return fill.use === 'all' ? [] : [useAll]
    case 'steps-unreachable': {
      const { way } = settings.deal
      // most findings say how many steps are possible; with many levels some do not
      const nearest =
        finding.values.steps ??
        (way === 'apart' || way === 'close' ? stepsReach(game.deck.pairs, settings)?.[way] : undefined)
      return [
        ...(nearest === undefined
          ? []
          : [
              {
                label: countWords(nearest, 'step'),
                to: say('deal', { steps: nearest }),
              },
            ]),
        shuffleInstead,
      ]
    }
    case 'counts-sum':
      return [
        ...countsThatFit(game, settings, say),
        { label: 'Repeat pairs evenly', to: say('fill', { repeat: 'evenly' }) },
      ]
    case 'steps-by-chance':
      return [{ label: 'Repeat pairs evenly', to: say('fill', { repeat: 'evenly' }) }, shuffleInstead]
    case 'arranged-wrong': {
      const layout = layAnew(game, settings)
      return [
        ...(layout ? [{ label: 'Lay the cards anew', to: say('deal', { arranged: layout }) }] : []),
        shuffleInstead,
      ]
    }
    case 'gap-outside':
      return [
        {
          label: 'Remove these gaps',
          to: say('board', {
            gaps: board.gaps.filter((name) => cellIndex(name, board.rows, board.columns) >= 0),
          }),
        },
      ]
    case 'unknown-pair':
    case 'unknown-tag':
      return [useAll]
    case 'tiny-cards':
    case 'tiny-across': {
      const frame = frameOf(finding.code === 'tiny-cards' ? 'phone' : 'phone-across')
      const { size, ...rest } = settings.layout
      const fits = { ...settings, layout: { ...rest, size: null } }
      if (size && touchSize(frame, fits) >= TOUCHABLE)
        return [{ label: 'Cards as large as fits', to: say('layout', { size: null }) }]
      // upright and sideways, if there is such a board
      const near =
        nearestTouchable([frameOf('phone'), frameOf('phone-across')], settings) ??
        nearestTouchable([frame], settings)
      return near
        ? [{ label: `${near.rows} × ${near.columns}`, to: say('board', { ...near, gaps: [] }) }]
        : []
    }
    case 'cannot-be-won':
      return toWin(game, settings, finding.values.by, say)
    case 'needs-luck':
      return toWin(game, settings, finding.values.by, say, finding.values.enough)
    case 'hardly-won':
    case 'hardly-lost':
    case 'easier-than-before': {
      const { by, enough } = finding.values
      if (by === null || enough === null) return []
      const then = {
        'hardly-won': '7 of 10 everyday players win',
        'hardly-lost': '9 of 10 fleeting players win',
        'easier-than-before': 'as many win as before',
      }[finding.code]
      const { section, patch } = leverPatch(by, enough)
      return [{ label: amountThat(by, enough, then), to: say(section, patch) }]
    }
    case 'flip-beyond-look': {
      const { flip, look } = finding.values
      const looks = shortLooks(settings).map((key) => [key, flip])
      return [
        { label: `Turn in ${look / 1000} s`, to: say('look', { flipTime: look }) },
        {
          label: `Look for ${flip / 1000} s`,
          to: say('turn', Object.fromEntries(looks) as Partial<Settings['turn']>),
        },
      ]
    }
    case 'look-alikes': {
      const { other, id } = finding.values
      return [
        {
          label: `Remove ${other}`,
          to: (now) => ({
            ...now,
            deck: { ...now.deck, pairs: withoutPairs(now.deck.pairs, new Set([id])) },
          }),
        },
      ]
    }
    case 'back-like-face': {
      const back = { pattern: 'herringbone' as const, ...BACK_COLOURS.night }
      return [{ label: 'A back in night', to: (now) => ({ ...now, deck: { ...now.deck, back } }) }]
    }
    case 'unused-pairs':
      return unused(game)
    case 'missing-alt':
      return missingAlt(game)
    default:
      return []
  }
}

/** Counts that add up to what the board needs: the least of them rise, or the largest fall, one after the other. */
function countsThatFit({ deck }: Game, { board, fill }: Settings, say: Say): Mend[] {
  const pairCount = openCells(board).length / 2
  const counts = new Map(deck.pairs.map(({ id }) => [id, fill.counts[id] ?? 0]))
  if (!counts.size || !Number.isInteger(pairCount)) return []
  let sum = [...counts.values()].reduce((all, one) => all + one, 0)
  const ids = [...counts].filter(([, count]) => count > 0 || sum === 0).map(([id]) => id)
  const extreme = (better: (a: number, b: number) => boolean): string =>
    ids.reduce((best, id) => (better(counts.get(id)!, counts.get(best)!) ? id : best))
  for (; sum < pairCount; sum++) {
    const id = extreme((a, b) => a < b)
    counts.set(id, counts.get(id)! + 1)
  }
  for (; sum > pairCount; sum--) {
    const id = extreme((a, b) => a >= b)
    counts.set(id, counts.get(id)! - 1)
  }
  const left = Object.fromEntries([...counts].filter(([, count]) => count > 0))
  return [{ label: `Counts for ${countWords(pairCount, 'pair')}`, to: say('fill', { counts: left }) }]
}

/**
 * The most severe limit with which a perfect memory wins in 9 of 10 games, or no such limit if there is none. `enough`:
 * that value, null for none, if the finding has it.
 */
function toWin(game: Game, settings: Settings, by: Limit, say: Say, enough?: number | null): Mend[] {
  let value = enough
  if (value === undefined) {
    const dealer = prepareDeal(game.deck.pairs, settings)
    if (!dealer.ok) return []
    value = valueToWin(settings, dealer.value, by)
  }
  if (value !== null) {
    const label = amountThat(by, value, 'wins 9 of 10')
    return [
      by === 'clock'
        ? { label, to: say('clock', { limit: value }) }
        : { label, to: say('limits', { [by]: value }) },
    ]
  }
  if (by === 'clock') return [{ label: 'No clock', to: say('clock', { mode: 'off' }) }]
  return [
    {
      label: by === 'lives' ? 'No lives to lose' : 'No limit to the turns',
      to: say('limits', { [by]: null }),
    },
  ]
}

function oddBoard(say: Say, board: Settings['board']): Mend[] {
  const open = openCells(board)
  const middle = cellName(open[Math.floor(open.length / 2)]!, board.columns)
  const last = board.gaps.at(-1)
  return [
    { label: `Leave ${middle} empty`, to: say('board', { gaps: [...board.gaps, middle] }) },
    ...(last
      ? [{ label: `Fill ${last}`, to: say('board', { gaps: board.gaps.slice(0, -1) }) }]
      : evenBoards(board.rows, board.columns)
          .slice(0, 2)
          .map((even) => ({ label: `${even.rows} × ${even.columns}`, to: say('board', even) }))),
  ]
}

/** A shuffled deal of this board as `arranged` keeps it, or null if it cannot be dealt either. */
export function layAnew(game: Game, settings: Settings, seed = 'laid anew'): (string | null)[] | null {
  const dealer = prepareDeal(game.deck.pairs, { ...settings, deal: { ...settings.deal, way: 'shuffled' } })
  if (!dealer.ok) return null
  return dealer.value.deal(seed).map((card) => (card === NO_CARD ? null : cardName(card, game.deck.pairs)))
}

function unused(game: Game): Mend[] {
  const places = new Set(unusedPairs(game))
  return [
    ...useMore(game),
    {
      label: places.size === 1 ? 'Remove this pair' : `Remove these ${places.size} pairs`,
      to: (now) => ({
        ...now,
        deck: { ...now.deck, pairs: now.deck.pairs.filter((_, i) => !places.has(i)) },
      }),
    },
  ]
}

/**
 * The last level that uses a part of the deck uses more of it. One that draws from the whole deck does so on purpose,
 * and stays as it is.
 */
function useMore(game: Game): Mend[] {
  const last = game.levels.findLast((level) => {
    const { fill, deal } = resolveLevel(game, level)
    return fill.use !== 'all' && fill.repeat !== 'counts' && deal.way !== 'arranged'
  })
  if (!last) return []
  const { use } = resolveLevel(game, last).fill
  const { length } = game.deck.pairs
  const isFirst = typeof use === 'object' && 'from' in use && use.from === 1
  return [
    {
      label: `Let "${last.name}" use ${isFirst ? `the first ${length}` : 'the whole deck'}`,
      to: (now) =>
        writeSettings(now, last.id, 'fill', {
          use: isFirst ? { from: 1, to: length } : 'all',
          pick: 'random',
        }),
    },
  ]
}

/** Gives every image without words the name of its pair. */
function missingAlt(game: Game): Mend[] {
  const withName = <F extends Game['deck']['pairs'][number]['a']>(face: F, name: string): F =>
    face.kind === 'image' && !face.alt ? { ...face, alt: name } : face
  const hasNoName = game.deck.pairs.some(({ a, b }) =>
    [a, b].some((face) => face?.kind === 'image' && !face.alt),
  )
  if (!hasNoName) return []
  return [
    {
      label: 'Use pair names as alt text',
      to: (now) => ({
        ...now,
        deck: {
          ...now.deck,
          pairs: now.deck.pairs.map((pair) => ({
            ...pair,
            a: withName(pair.a, pair.name),
            ...(pair.b ? { b: withName(pair.b, pair.name) } : {}),
          })),
        },
      }),
    },
  ]
}
