import { selectPairs } from '../deck/select.ts'
import { boardFor, evenBoards } from '../board/board-for.ts'
import { cellIndex, cellName, openCells } from '../board/cells.ts'
import { prepareDeal, stepsReach } from '../deal/deal.ts'
import { FRAMES, nearestTouchable } from '../board/frames.ts'
import { BACK_COLOURS } from '../deck/back.ts'
import { withoutPairs } from '../deck/edit.ts'
import { cardName } from '../deck/card-name.ts'
import type { Finding } from './finding.ts'
import { unusedPairs } from './findings.ts'
import { NO_CARD } from '../deck/card.ts'
import type { Game } from '../game/game.ts'
import { resolveLevel, writeSettings } from '../settings/levels.ts'
import { BOUNDS, type Section, type Settings } from '../settings/settings.ts'
import { shortestClock } from '../odds/luckiest.ts'

/** One press that mends a finding: what the button says, and the game as it is then. */
export type Mend = { label: string; to: (game: Game) => Game }

/** How a mend says keys of a section where the finding is. */
type Say = <S extends Section>(section: S, patch: Partial<Settings[S]>) => Mend['to']

/** The ways out of a finding, each one press; the first is the least change. Empty where only the author can know. */
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
      const count = selectPairs(game.deck.pairs, fill.use).length
      const smaller = boardFor(count)
      return [
        { label: 'Repeat pairs evenly', to: say('fill', { repeat: 'evenly' }) },
        {
          label: `A board for ${count} ${count === 1 ? 'pair' : 'pairs'}: ${smaller.rows} × ${smaller.columns}`,
          to: say('board', smaller),
        },
        ...(fill.use === 'all' ? [] : [useAll]),
      ]
    }
    case 'no-pairs':
      return fill.use === 'all' ? [] : [useAll]
    case 'steps-unreachable': {
      const { way } = settings.deal
      // most findings say how many steps can be had; of many levels some do not
      const nearest =
        finding.values.steps ??
        (way === 'apart' || way === 'close' ? stepsReach(game.deck.pairs, settings)?.[way] : undefined)
      return [
        ...(nearest === undefined
          ? []
          : [
              {
                label: `${nearest} ${nearest === 1 ? 'step' : 'steps'}`,
                to: say('deal', { steps: nearest }),
              },
            ]),
        shuffleInstead,
      ]
    }
    case 'steps-by-chance':
      return [{ label: 'Repeat pairs evenly', to: say('fill', { repeat: 'evenly' }) }, shuffleInstead]
    case 'arranged-wrong': {
      const laid = layAnew(game, settings)
      return [
        ...(laid ? [{ label: 'Lay the cards anew', to: say('deal', { arranged: laid }) }] : []),
        shuffleInstead,
      ]
    }
    case 'gap-outside':
      return [
        {
          label: 'Forget these gaps',
          to: say('board', {
            gaps: board.gaps.filter((name) => cellIndex(name, board.rows, board.columns) >= 0),
          }),
        },
      ]
    case 'unknown-pair':
    case 'unknown-tag':
      return [useAll]
    case 'tiny-cards': {
      const near = nearestTouchable({ ...FRAMES.phone, safe: 0 }, settings)
      return near
        ? [{ label: `${near.rows} × ${near.columns}`, to: say('board', { ...near, gaps: [] }) }]
        : []
    }
    case 'cannot-be-won': {
      if (finding.values.by === 'turns') {
        const turns = finding.values.pairs
        return [{ label: `${turns} turns`, to: say('limits', { turns }) }]
      }
      const dealer = prepareDeal(game.deck.pairs, settings)
      const limit = dealer.ok ? shortestClock(settings, dealer.value.cards('findings')) : null
      return limit === null ? [] : [{ label: `A clock of ${limit / 1000} s`, to: say('clock', { limit }) }]
    }
    case 'needs-luck': {
      const lives = finding.values.half
      return lives <= BOUNDS.lives[1]
        ? [{ label: `${lives} lives`, to: say('limits', { lives }) }]
        : [{ label: 'No lives to lose', to: say('limits', { lives: null }) }]
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
  const last = game.levels.at(-1)!
  return [
    {
      label: `Let "${last.name}" use the whole deck`,
      to: (now) => writeSettings(now, last.id, 'fill', { use: 'all', pick: 'random' }),
    },
    {
      label: places.size === 1 ? 'Remove this pair' : `Remove these ${places.size} pairs`,
      to: (now) => ({
        ...now,
        deck: { ...now.deck, pairs: now.deck.pairs.filter((_, i) => !places.has(i)) },
      }),
    },
  ]
}

/** Gives every image without words the name of its pair. */
function missingAlt(game: Game): Mend[] {
  const named = <F extends Game['deck']['pairs'][number]['a']>(face: F, name: string): F =>
    face.kind === 'image' && !face.alt ? { ...face, alt: name } : face
  const missing = game.deck.pairs.some(({ a, b }) =>
    [a, b].some((face) => face?.kind === 'image' && !face.alt),
  )
  if (!missing) return []
  return [
    {
      label: 'Use pair names as alt text',
      to: (now) => ({
        ...now,
        deck: {
          ...now.deck,
          pairs: now.deck.pairs.map((pair) => ({
            ...pair,
            a: named(pair.a, pair.name),
            ...(pair.b ? { b: named(pair.b, pair.name) } : {}),
          })),
        },
      }),
    },
  ]
}
