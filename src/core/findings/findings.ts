import { selectPairs } from '../deck/select.ts'
import { cellIndex, openCells } from '../board/cells.ts'
import { prepareDeal, type DealCode } from '../deal/deal.ts'
import { FRAMES, TOUCHABLE, touchSize } from '../board/frames.ts'
import { BY_LUCK, livesNeeded } from '../odds/lives.ts'
import { luckiestLoss } from '../odds/luckiest.ts'
import type { Game } from '../game/game.ts'
import { type Level, resolveLevel } from '../settings/levels.ts'
import type { Settings } from '../settings/settings.ts'

/** One thing that the checks have to say. `stops`: the game cannot be dealt or won as it is. */
type FindingCode =
  | DealCode
  | 'gap-outside'
  | 'unknown-pair'
  | 'unknown-tag'
  | 'unknown-picture'
  | 'cannot-be-won'
  | 'needs-luck'
  | 'missing-alt'
  | 'unused-pairs'
  | 'tiny-cards'
  | 'look-alikes'
  | 'back-like-face'
  | 'kept-check-failed'
export type Finding = {
  level: 'stops' | 'warns'
  code: FindingCode
  at: string
  message: string
  /** the nearest steps that can be dealt, where a board is asked for others */
  steps?: number
}

/** Of so many levels that cannot be dealt it is worked out how many steps their boards would hold; of more it would take too long. */
const MOST_WORKED_OUT = 5

/**
 * All findings of a game, levels in ladder order, then the deck. `pictures` are the names in the picture library;
 * without them no picture is looked up. What is found of a level is kept as long as that level, the house rules and the deck are the same values.
 */
export function findingsOf(game: Game, pictures?: ReadonlySet<string>): Finding[] {
  const found: Finding[] = []
  let workedOut = 0
  game.levels.forEach((level, index) => {
    const ofLevel = levelFindings(game, level, index, workedOut >= MOST_WORKED_OUT)
    if (ofLevel.some(({ code }) => code === 'steps-unreachable')) workedOut++
    found.push(...ofLevel)
  })
  return [...found, ...(pictures ? unknownPictures(game, pictures) : []), ...deckFindings(game)]
}

/** What a level was looked at with, and what was found. */
type Looked = { house: Settings; pairs: Game['deck']['pairs']; found: Finding[] }
const [full, brief] = [new WeakMap<Level, Looked>(), new WeakMap<Level, Looked>()]

/**
 * What the checks say about one level. `index` is its place in the ladder, from 0. With `isBrief` it is left out how many steps a board
 * would hold that cannot be dealt.
 */
export function levelFindings(game: Game, level: Level, index: number, isBrief = false): Finding[] {
  const { house, deck } = game
  const kept = isBrief ? brief : full
  let looked = kept.get(level)
  if (looked?.house !== house || looked.pairs !== deck.pairs) {
    looked = { house, pairs: deck.pairs, found: lookAt(game, level, isBrief) }
    kept.set(level, looked)
  }
  return looked.found.map((one) => ({ ...one, at: `levels[${index}].${one.at}` }))
}

/** The findings of a level, each with its place within it. */
function lookAt(game: Game, level: Level, isBrief: boolean): Finding[] {
  const settings = resolveLevel(game, level)
  const found: Finding[] = []
  const add = (kind: Finding['level'], code: FindingCode, at: string, message: string): void => {
    found.push({ level: kind, code, at, message: `${level.name}: ${message}` })
  }
  const { board } = settings
  for (const name of board.gaps)
    if (cellIndex(name, board.rows, board.columns) < 0)
      add(
        'warns',
        'gap-outside',
        'board.gaps',
        `the gap ${name} lies outside ${board.rows} × ${board.columns}`,
      )
  for (const missing of unknownUses(game, settings))
    add('warns', missing.code, 'fill.use', `no pair of the deck has the ${missing.what} "${missing.name}"`)

  const phone = { ...FRAMES.phone, safe: 0 }
  const card = touchSize(phone, settings)
  if (card < TOUCHABLE)
    add(
      'warns',
      'tiny-cards',
      'board',
      `on a phone of ${phone.width} × ${phone.height} px a card is ${card} px; ${TOUCHABLE} can be touched`,
    )

  const dealer = prepareDeal(game.deck.pairs, settings, isBrief)
  if (!dealer.ok) {
    const { code, at, message, steps } = dealer.problem
    add('stops', code, at, message)
    if (steps !== undefined) found.at(-1)!.steps = steps
  } else {
    const by = luckiestLoss(settings, dealer.value.cards('findings'))
    if (by) add('stops', 'cannot-be-won', by.at, by.message)
    const { lives } = settings.limits
    const needed = livesNeeded(settings, dealer.value)
    if (needed && needed.share(lives!) < BY_LUCK)
      add(
        'warns',
        'needs-luck',
        'limits.lives',
        `${lives} ${lives === 1 ? 'life lasts' : 'lives last'} a perfect memory in ${needed.games ? `${Math.round(needed.share(lives!) * needed.games)} of ${needed.games}` : 'fewer than 1 of 100'} games; ${needed.half} last in half of them`,
      )
  }
  return found
}

function unknownUses(
  game: Game,
  settings: Settings,
): { code: 'unknown-pair' | 'unknown-tag'; what: string; name: string }[] {
  const { use } = settings.fill
  if (use === 'all' || 'from' in use) return []
  if ('tags' in use) {
    const tags = new Set(game.deck.pairs.flatMap((pair) => pair.tags ?? []))
    return use.tags
      .filter((name) => !tags.has(name))
      .map((name) => ({ code: 'unknown-tag', what: 'tag', name }))
  }
  const ids = new Set(game.deck.pairs.map((pair) => pair.id))
  return use.pairs
    .filter((name) => !ids.has(name))
    .map((name) => ({ code: 'unknown-pair', what: 'id', name }))
}

/** The pairs that a level can bring on its board, by their place in the deck: 1 where it can. */
function usedBy(game: Game, level: Level): Uint8Array {
  const { pairs } = game.deck
  const { board, fill, deal } = resolveLevel(game, level)
  const used = new Uint8Array(pairs.length)
  if (deal.way === 'arranged') {
    const laid = new Set(deal.arranged.map((name) => name?.slice(0, name.lastIndexOf('/'))))
    pairs.forEach(({ id }, i) => laid.has(id) && (used[i] = 1))
    return used
  }
  const selection = selectPairs(pairs, fill.use)
  const most = fill.pick === 'first' ? Math.ceil(openCells(board).length / 2) : selection.length
  for (const pair of selection.slice(0, most)) used[pair] = 1
  return used
}
const keptUses = new WeakMap<Level, Omit<Looked, 'found'> & { used: Uint8Array }>()

/** The pairs, by their place in the deck, that no level can ever bring on its board. */
export function unusedPairs(game: Game): number[] {
  const { house, deck } = game
  const all = new Uint8Array(deck.pairs.length)
  for (const level of game.levels) {
    let kept = keptUses.get(level)
    if (kept?.house !== house || kept.pairs !== deck.pairs) {
      kept = { house, pairs: deck.pairs, used: usedBy(game, level) }
      keptUses.set(level, kept)
    }
    kept.used.forEach((is, pair) => is && (all[pair] = 1))
  }
  return deck.pairs.flatMap((_, pair) => (all[pair] ? [] : [pair]))
}

const NAMED = 3

function deckFindings(game: Game): Finding[] {
  const found: Finding[] = []
  const unused = unusedPairs(game)
  if (unused.length) {
    const names = unused.slice(0, NAMED).map((i) => game.deck.pairs[i]!.name)
    const more = unused.length > NAMED ? ` and ${unused.length - NAMED} more` : ''
    found.push({
      level: 'warns',
      code: 'unused-pairs',
      at: `deck.pairs[${unused[0]}]`,
      message: `no level uses ${names.join(', ')}${more}`,
    })
  }
  game.deck.pairs.forEach((pair, i) => {
    for (const side of ['a', 'b'] as const) {
      const face = pair[side]
      if (face?.kind === 'image' && !face.alt)
        found.push({
          level: 'warns',
          code: 'missing-alt',
          at: `deck.pairs[${i}].${side}.alt`,
          message: `${pair.name}: this image has no words for those who cannot see it`,
        })
    }
  })
  return found
}

/** The pictures of a game that the library, given by its names, does not have. */
export function unknownPictures(game: Game, library: ReadonlySet<string>): Finding[] {
  const found: Finding[] = []
  const look = (picture: { kind: string; name?: string } | undefined, at: string, what: string): void => {
    if (picture?.kind === 'picture' && !library.has(picture.name!))
      found.push({
        level: 'stops',
        code: 'unknown-picture',
        at: `${at}.name`,
        message: `${what}: the library has no picture "${picture.name}"`,
      })
  }
  look(game.deck.back.emblem, 'deck.back.emblem', 'the back')
  game.deck.pairs.forEach((pair, i) => {
    for (const side of ['a', 'b'] as const) look(pair[side], `deck.pairs[${i}].${side}`, pair.name)
  })
  return found
}
