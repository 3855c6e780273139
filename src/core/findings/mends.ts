import { selectPairs } from '../deck/select.ts'
import { boardFor, evenBoards } from '../board/board-for.ts'
import { cellIndex, cellName, openCells } from '../board/cells.ts'
import { prepareDeal, stepsReach } from '../deal/deal.ts'
import { FRAMES, nearestTouchable } from '../board/frames.ts'
import { cardName } from '../deck/card-name.ts'
import { unusedPairs, type Finding } from './findings.ts'
import { NO_CARD } from '../deck/card.ts'
import type { Game } from '../game/game.ts'
import { resolveLevel, withOwn } from '../settings/levels.ts'
import { BOUNDS, type Section, type Settings } from '../settings/settings.ts'
import { livesNeeded } from '../odds/lives.ts'
import { shortestClock } from '../odds/luckiest.ts'

/** One press that mends a finding: what the button says, and the game as it is then. */
export type Mend = { label: string; to: (game: Game) => Game }

/** The house rules, or a level by its place in the ladder. */
export type Rung = { level: number | null }

/** Where keys of a section are said: in a level's own, or in the house rules. */
const say =
  <S extends Section>({ level }: Rung, section: S, patch: Partial<Settings[S]>) =>
  (game: Game): Game =>
    level === null
      ? { ...game, house: { ...game.house, [section]: { ...game.house[section], ...patch } } }
      : { ...game, levels: game.levels.map((one, i) => (i === level ? withOwn(one, section, patch) : one)) }

const rungOf = (finding: Pick<Finding, 'at'>): Rung => {
  const found = /^levels\[(\d+)\]/.exec(finding.at)
  return { level: found ? Number(found[1]) : null }
}

const settingsAt = (game: Game, { level }: Rung): Settings =>
  resolveLevel(game, level === null ? undefined : game.levels[level])

/** The ways out of a finding, each one press; the first is the least change. Empty where only the author can know. */
export function mendsOf(
  game: Game,
  { code, at, steps }: Pick<Finding, 'code' | 'at' | 'steps'>,
  rung: Rung = rungOf({ at }),
): Mend[] {
  const settings = settingsAt(game, rung)
  const { board, fill } = settings
  const shuffleInstead: Mend = { label: 'Shuffle instead', to: say(rung, 'deal', { way: 'shuffled' }) }
  const useAll: Mend = { label: 'Use the whole deck', to: say(rung, 'fill', { use: 'all' }) }
  switch (code) {
    case 'odd-board':
      return oddBoard(rung, board)
    case 'too-few-cards':
      return [{ label: 'Fill all gaps', to: say(rung, 'board', { gaps: [] }) }]
    case 'too-few-pairs': {
      const count = selectPairs(game.deck.pairs, fill.use).length
      const smaller = boardFor(count)
      return [
        { label: 'Repeat pairs evenly', to: say(rung, 'fill', { repeat: 'evenly' }) },
        {
          label: `A board for ${count} ${count === 1 ? 'pair' : 'pairs'}: ${smaller.rows} × ${smaller.columns}`,
          to: say(rung, 'board', smaller),
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
        steps ??
        (way === 'apart' || way === 'close' ? stepsReach(game.deck.pairs, settings)?.[way] : undefined)
      return [
        ...(nearest === undefined
          ? []
          : [
              {
                label: `${nearest} ${nearest === 1 ? 'step' : 'steps'}`,
                to: say(rung, 'deal', { steps: nearest }),
              },
            ]),
        shuffleInstead,
      ]
    }
    case 'steps-by-chance':
      return [{ label: 'Repeat pairs evenly', to: say(rung, 'fill', { repeat: 'evenly' }) }, shuffleInstead]
    case 'arranged-wrong': {
      const laid = layAnew(game, settings)
      return [
        ...(laid ? [{ label: 'Lay the cards anew', to: say(rung, 'deal', { arranged: laid }) }] : []),
        shuffleInstead,
      ]
    }
    case 'gap-outside':
      return [
        {
          label: 'Forget these gaps',
          to: say(rung, 'board', {
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
        ? [{ label: `${near.rows} × ${near.columns}`, to: say(rung, 'board', { ...near, gaps: [] }) }]
        : []
    }
    case 'cannot-be-won': {
      if (at.endsWith('limits.turns')) {
        const turns = openCells(board).length / 2
        return [{ label: `${turns} turns`, to: say(rung, 'limits', { turns }) }]
      }
      const dealer = prepareDeal(game.deck.pairs, settings)
      const limit = dealer.ok ? shortestClock(settings, dealer.value.cards('findings')) : null
      return limit === null
        ? []
        : [{ label: `A clock of ${limit / 1000} s`, to: say(rung, 'clock', { limit }) }]
    }
    case 'needs-luck': {
      const dealer = prepareDeal(game.deck.pairs, settings)
      const needed = dealer.ok && livesNeeded(settings, dealer.value)
      if (!needed) return []
      const lives = needed.half
      return lives <= BOUNDS.lives[1]
        ? [{ label: `${lives} lives`, to: say(rung, 'limits', { lives }) }]
        : [{ label: 'No lives to lose', to: say(rung, 'limits', { lives: null }) }]
    }
    case 'unused-pairs':
      return unused(game)
    case 'missing-alt':
      return missingAlt(game)
    default:
      return []
  }
}

function oddBoard(rung: Rung, board: Settings['board']): Mend[] {
  const open = openCells(board)
  const middle = cellName(open[Math.floor(open.length / 2)]!, board.columns)
  const last = board.gaps.at(-1)
  return [
    { label: `Leave ${middle} empty`, to: say(rung, 'board', { gaps: [...board.gaps, middle] }) },
    ...(last
      ? [{ label: `Fill ${last}`, to: say(rung, 'board', { gaps: board.gaps.slice(0, -1) }) }]
      : evenBoards(board.rows, board.columns)
          .slice(0, 2)
          .map((even) => ({ label: `${even.rows} × ${even.columns}`, to: say(rung, 'board', even) }))),
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
  const last = game.levels.length - 1
  return [
    {
      label: `Let "${game.levels[last]!.name}" use the whole deck`,
      to: say({ level: last }, 'fill', { use: 'all', pick: 'random' }),
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
