import { drawnPairs, tagsOf } from '../deck/select.ts'
import { cellIndex, openCells } from '../board/cells.ts'
import { prepareDeal, type Dealer } from '../deal/deal.ts'
import { frameOf, touchSize, type FrameName } from '../board/frames.ts'
import { TOUCHABLE } from '../board/geometry.ts'
import { playableOf, type Playable } from '../odds/games.ts'
import { LEVER_PLACES } from '../odds/levers.ts'
import { limitsOf, type Trial } from '../odds/difficulty.ts'
import { BY_LUCK, valueToWin, winsUnder, type Limit } from '../odds/winning.ts'
import { luckiestLoss } from '../odds/luckiest.ts'
import type { Game } from '../game/game.ts'
import { type Level, resolveLevel } from '../settings/levels.ts'
import { EVERYDAY } from '../settings/mind.ts'
import type { Section, Settings } from '../settings/settings.ts'
import {
  playStandardMinds,
  difficultyFindings,
  isEasier,
  suggestLimit,
  type MindResults,
} from './difficulty-findings.ts'
import type { Finding, FindingCode, FindingOf, LookKey, Where } from './finding.ts'

/**
 * For at most this many levels with such findings the value that would mend them is worked out; more would take too
 * long.
 */
const MOST_WORKED_OUT = 5
const WORKED_OUT: ReadonlySet<FindingCode> = new Set(['steps-unreachable', 'hardly-won', 'hardly-lost'])
/** The most turns that a mind plays on each level to see how it does; fewer on long ladders. */
const TURNS = { most: 8000, fewest: 2500, levels: 25 } as const

/**
 * All findings of a game, levels in ladder order, then the deck. `pictures` are the names in the picture library;
 * without them no picture is looked up. The findings of a level are kept as long as that level, the house rules and the
 * deck are the same values.
 */
export function findingsOf(game: Game, pictures?: ReadonlySet<string>): Finding[] {
  const { house, deck, levels } = game
  const last = ofGames.get(levels)
  if (last?.house === house && last.deck === deck && last.pictures === pictures) return last.found
  const findings = findAll(game, pictures)
  ofGames.set(levels, { house, deck, pictures, found: findings })
  return findings
}

/** The findings of a game, by its ladder; its title, for example, changes nothing. */
const ofGames = new WeakMap<
  Level[],
  { house: Settings; deck: Game['deck']; pictures: ReadonlySet<string> | undefined; found: Finding[] }
>()

function findAll(game: Game, pictures: ReadonlySet<string> | undefined): Finding[] {
  const findings: Finding[] = []
  let workedOut = 0
  game.levels.forEach((level, index) => {
    const ofLevel = levelFindings(game, level, index, workedOut >= MOST_WORKED_OUT)
    if (ofLevel.some(({ code }) => WORKED_OUT.has(code))) workedOut++
    findings.push(...ofLevel)
    if (index === 0) return
    const easier = easierThanBefore(game, index, workedOut < MOST_WORKED_OUT)
    if (easier) {
      workedOut++
      findings.push(easier)
    }
  })
  return [...findings, ...(pictures ? unknownPictures(game, pictures) : []), ...deckFindings(game)]
}

/** A finding within a level, wherever that is in the ladder. */
type LevelFinding = Finding & { where: { section: Section } }
/** What a level was checked with, and its findings. */
type CheckedLevel = { house: Settings; pairs: Game['deck']['pairs']; found: LevelFinding[] }
const [full, brief] = [new WeakMap<Level, CheckedLevel>(), new WeakMap<Level, CheckedLevel>()]

/**
 * The findings of one level. `index` is its place in the ladder, from 0; null: of the house rules, as if they were a
 * level. `isBrief` leaves out how many steps a board could hold that cannot be dealt.
 */
export function levelFindings(game: Game, level: Level, index: number | null, isBrief = false): Finding[] {
  const { house, deck } = game
  const cache = isBrief ? brief : full
  let cached = cache.get(level)
  if (cached?.house !== house || cached.pairs !== deck.pairs) {
    cached = { house, pairs: deck.pairs, found: lookAt(game, level, isBrief) }
    cache.set(level, cached)
  }
  return cached.found.map((one) => ({ ...one, where: { ...one.where, level: index } }))
}

const resultsCache = new WeakMap<Level, Omit<CheckedLevel, 'found'> & { results: MindResults }>()

/** How minds do on a level, kept like its findings; null if they were not asked to play. */
function cachedMindResults({ house, deck }: Game, level: Level): MindResults | null {
  const entry = resultsCache.get(level)
  return entry?.house === house && entry.pairs === deck.pairs ? entry.results : null
}
function mindResultsOf(game: Game, level: Level, playable: Playable): MindResults {
  const { house, deck, levels } = game
  const cached = cachedMindResults(game, level)
  if (cached) return cached
  const results = playStandardMinds(playable, levels.length > TURNS.levels ? TURNS.fewest : TURNS.most)
  resultsCache.set(level, { house, pairs: deck.pairs, results })
  return results
}

/** Where a level without limits could get one. */
const NO_LIMIT = { section: 'clock', key: 'mode' } as const

/**
 * The finding of a level on which everyday players win more than on the one before; null if there is none. `solves`:
 * also work out the value with which they win as many.
 */
function easierThanBefore(game: Game, index: number, solves: boolean): Finding | null {
  const [before, level] = [game.levels[index - 1]!, game.levels[index]!]
  const there = cachedMindResults(game, before)?.everyday ?? null
  const here = cachedMindResults(game, level)?.everyday ?? null
  if (!isEasier(there, here)) return null
  const playable = playableOf(game, resolveLevel(game, level))
  const share = there!.won / there!.games
  const way = solves && share > 0 && playable.ok ? suggestLimit(playable.value, here!, EVERYDAY, share) : null
  const [limit] = playable.ok ? limitsOf(playable.value) : []
  const by = way?.by ?? limit ?? null
  // without any limit it is the missing clock that is pointed at, not a time that no clock has
  const { section, key } = by ? LEVER_PLACES[by] : NO_LIMIT
  const countsOf = ({ won, games }: Trial): { won: number; games: number } => ({ won, games })
  return {
    severity: 'warns',
    code: 'easier-than-before',
    where: { level: index, section, key },
    values: {
      before: before.name,
      there: countsOf(there!),
      here: countsOf(here!),
      by,
      enough: way?.value ?? null,
    },
  }
}

/** The finding that stops a level from being dealt or won, if any; cheap, since nobody plays it. */
export function stopOf(game: Game, level: Level): Finding | null {
  const { stop } = stopAt(game, resolveLevel(game, level), true)
  return stop && { ...stop, where: { ...stop.where, level: game.levels.indexOf(level) } }
}

/** The findings of the house rules, as if they were a level. */
export const houseFindings = (game: Game): Finding[] =>
  levelFindings(game, { id: 'house', name: 'House rules' }, null)

/** The findings of a level, each with its place within it. */
function lookAt(game: Game, level: Level, isBrief: boolean): LevelFinding[] {
  const settings = resolveLevel(game, level)
  const findings: LevelFinding[] = []
  function add<Code extends FindingCode>(
    severity: Finding['severity'],
    code: Code,
    section: Section,
    key: string,
    values: FindingOf<Code>['values'],
  ): void {
    // the values belong to the code, which the compiler cannot follow through a type parameter
    findings.push({ severity, code, where: { level: null, section, key }, values } as unknown as LevelFinding)
  }
  const { board } = settings
  const { rows, columns } = board
  for (const gap of board.gaps)
    if (cellIndex(gap, rows, columns) < 0)
      add('warns', 'gap-outside', 'board', 'gaps', { gap, rows, columns })
  for (const { code, name } of unknownUses(game, settings)) add('warns', code, 'fill', 'use', { name })

  const tiny = (name: FrameName): FindingOf<'tiny-cards'>['values'] | null => {
    const { width, height } = frameOf(name)
    const card = touchSize(frameOf(name), settings)
    return card < TOUCHABLE ? { card, touchable: TOUCHABLE, width, height } : null
  }
  const tinyUpright = tiny('phone')
  const tinyAcross = tiny('phone-across')
  if (tinyUpright) add('warns', 'tiny-cards', 'board', '', tinyUpright)
  else if (tinyAcross) add('warns', 'tiny-across', 'board', '', tinyAcross)

  const { behind } = settings.look
  if (behind?.kind === 'image' && !behind.alt) add('warns', 'missing-alt-behind', 'look', 'behind.alt', {})

  const [short] = shortLooks(settings)
  if (short) {
    const values = { flip: settings.look.flipTime, look: settings.turn[short], key: short }
    add('warns', 'flip-beyond-look', 'look', 'flipTime', values)
  }

  const { stop, dealer } = stopAt(game, settings, isBrief)
  if (stop) findings.push(stop)
  if (!dealer) return findings
  const by = stop?.code === 'cannot-be-won' ? stop.values.by : null
  const { turns, lives } = settings.limits
  const limits: [Limit, Section, string, number | null][] = [
    ['lives', 'limits', 'lives', lives],
    ['turns', 'limits', 'turns', turns],
    ['clock', 'clock', 'limit', settings.clock.limit],
  ]
  for (const [limitBy, section, key, limit] of limits) {
    // what nobody can win has its finding already
    const wins = limitBy === by ? null : winsUnder(settings, dealer, limitBy)
    if (!wins || limit === null || wins.share >= BY_LUCK) continue
    const { won, games } = wins
    const counts = { by: limitBy, limit, won, games }
    const values = isBrief ? counts : { ...counts, enough: valueToWin(settings, dealer, limitBy) }
    add('warns', 'needs-luck', section, key, values)
  }
  // where not even a perfect memory wins, that says it all
  if (findings.some(({ code }) => code === 'cannot-be-won' || code === 'needs-luck')) return findings
  const playable = { settings, dealer }
  for (const one of difficultyFindings(playable, mindResultsOf(game, level, playable), !isBrief))
    add('warns', one.code, one.section, one.key, one.values)
  return findings
}

/** The looks that end before a card has turned, the shortest first; one that is off is meant so. */
export const shortLooks = ({ turn, look }: Settings): LookKey[] =>
  (['firstLook', 'matchLook', 'missLook'] as const)
    .filter((key) => turn[key] > 0 && turn[key] < look.flipTime)
    .sort((one, other) => turn[one] - turn[other])

/** What stops a level from being dealt, or from being won by anybody, and its dealer if it can be dealt. */
function stopAt(
  game: Game,
  settings: Settings,
  isBrief: boolean,
): { stop: LevelFinding | null; dealer: Dealer | null } {
  const stopping = (found: unknown): LevelFinding =>
    ({ severity: 'stops', ...(found as object) }) as LevelFinding
  const dealer = prepareDeal(game.deck.pairs, settings, isBrief)
  if (!dealer.ok) {
    const { code, section, key, message, steps } = dealer.problem
    const values = { why: message, ...(steps === undefined ? {} : { steps }) }
    return { stop: stopping({ code, where: { level: null, section, key }, values }), dealer: null }
  }
  const { pairs } = dealer.value
  const by = luckiestLoss(settings, dealer.value.cards('findings'))
  const code = 'cannot-be-won'
  if (by === 'turns') {
    const values = { by, pairs, turns: settings.limits.turns! }
    return {
      stop: stopping({ code, where: { level: null, section: 'limits', key: 'turns' }, values }),
      dealer: dealer.value,
    }
  }
  const where = { level: null, section: 'clock', key: 'limit' }
  return { stop: by === 'clock' ? stopping({ code, where, values: { by } }) : null, dealer: dealer.value }
}

function unknownUses(
  game: Game,
  settings: Settings,
): { code: 'unknown-pair' | 'unknown-tag'; name: string }[] {
  const { use, repeat, counts } = settings.fill
  if (repeat === 'counts') {
    const ids = new Set(game.deck.pairs.map((pair) => pair.id))
    const names = Object.keys(counts).filter((id) => counts[id]! > 0 && !ids.has(id))
    return names.map((name) => ({ code: 'unknown-pair', name }))
  }
  if (use === 'all' || 'from' in use) return []
  if ('tags' in use) {
    const tags = new Set(tagsOf(game.deck.pairs))
    return use.tags.filter((name) => !tags.has(name)).map((name) => ({ code: 'unknown-tag', name }))
  }
  const ids = new Set(game.deck.pairs.map((pair) => pair.id))
  return use.pairs.filter((name) => !ids.has(name)).map((name) => ({ code: 'unknown-pair', name }))
}

/** The pairs that a level can bring on its board, by their place in the deck: 1 if it can. */
function usedBy(game: Game, level: Level): Uint8Array {
  const { pairs } = game.deck
  const { board, fill, deal } = resolveLevel(game, level)
  const uses = new Uint8Array(pairs.length)
  if (deal.way === 'arranged') {
    const laid = new Set(deal.arranged.map((name) => name?.slice(0, name.lastIndexOf('/'))))
    pairs.forEach(({ id }, i) => laid.has(id) && (uses[i] = 1))
    return uses
  }
  const selection = drawnPairs(pairs, fill)
  const isFirst = fill.pick === 'first' && fill.repeat !== 'with-replacement'
  const most = isFirst ? Math.ceil(openCells(board).length / 2) : selection.length
  for (const pair of selection.slice(0, most)) uses[pair] = 1
  return uses
}
const keptUses = new WeakMap<Level, Omit<CheckedLevel, 'found'> & { used: Uint8Array }>()

/** The pairs, by their place in the deck, that no level can ever bring on its board. */
export function unusedPairs(game: Game): number[] {
  const { house, deck } = game
  const all = new Uint8Array(deck.pairs.length)
  for (const level of game.levels) {
    let entry = keptUses.get(level)
    if (entry?.house !== house || entry.pairs !== deck.pairs) {
      entry = { house, pairs: deck.pairs, used: usedBy(game, level) }
      keptUses.set(level, entry)
    }
    entry.used.forEach((is, pair) => is && (all[pair] = 1))
  }
  return deck.pairs.flatMap((_, pair) => (all[pair] ? [] : [pair]))
}

const NAMED = 3
const inDeck = (key: string): Where => ({ level: null, section: 'deck', key })

function deckFindings(game: Game): Finding[] {
  const findings: Finding[] = []
  const unused = unusedPairs(game)
  if (unused.length)
    findings.push({
      severity: 'warns',
      code: 'unused-pairs',
      where: inDeck(`pairs[${unused[0]}]`),
      values: {
        names: unused.slice(0, NAMED).map((i) => game.deck.pairs[i]!.name),
        more: Math.max(0, unused.length - NAMED),
      },
    })
  game.deck.pairs.forEach((pair, i) => {
    for (const side of ['a', 'b'] as const) {
      const face = pair[side]
      if (face?.kind === 'image' && !face.alt)
        findings.push({
          severity: 'warns',
          code: 'missing-alt',
          where: inDeck(`pairs[${i}].${side}.alt`),
          values: { pair: pair.name },
        })
    }
  })
  return findings
}

/** The pictures of a game that the library, given by its names, does not have. */
export function unknownPictures(game: Game, library: ReadonlySet<string>): Finding[] {
  const findings: Finding[] = []
  const look = (picture: { kind: string; name?: string } | undefined, key: string, holder: string): void => {
    if (picture?.kind === 'picture' && !library.has(picture.name!))
      findings.push({
        severity: 'stops',
        code: 'unknown-picture',
        where: inDeck(`${key}.name`),
        values: { holder, name: picture.name! },
      })
  }
  look(game.deck.back.emblem, 'back.emblem', 'the back')
  game.deck.pairs.forEach((pair, i) => {
    for (const side of ['a', 'b'] as const) look(pair[side], `pairs[${i}].${side}`, pair.name)
  })
  return findings
}
