import { capitalized } from '../deck/picture-words.ts'
import { BACK_COLOURS, DEFAULT_BACK } from '../settings/back.ts'
import type { Back } from '../settings/back.ts'
import type { Pair } from '../deck/pair.ts'
import { boardFor } from '../board/board-for.ts'
import { makeLadder } from '../settings/ladder.ts'
import { newId } from '../settings/new-id.ts'
import { DEFAULTS, type Section, type Settings } from '../settings/settings.ts'
import type { Game } from './game.ts'
import { newGame, startPairs } from './new-game.ts'

/** A way to begin: a whole game to play at once and change from there. `words` say who it is for. */
export type Beginning = { title: string; words: string; make: () => Game }

/** A tool and its use. */
const TOOLS = {
  anvil: 'iron is shaped on it',
  bellows: 'makes a fire burn hotter',
  chisel: 'cuts wood by blows',
  compass: 'draws a circle',
  crank: 'turned by hand',
  funnel: 'leads water into a bottle',
  lathe: 'spins wood to round it',
  lever: 'lifts more than an arm',
  loom: 'weaves cloth',
  plane: 'makes a board smooth',
  plumb: 'shows what is upright',
  pulley: 'guides a rope',
  rasp: 'a file for wood',
  sieve: 'parts sand from stones',
  tongs: 'hold what is hot',
  vice: 'holds a piece still',
}

/** A new game of these pairs, with its own house rules and back. */
function gameOf(
  title: string,
  pairs: Pair[],
  back: Partial<Back>,
  own: { [S in Section]?: Partial<Settings[S]> },
): Game {
  const game = newGame(title, pairs)
  const house: Settings = { ...DEFAULTS }
  for (const [section, patch] of Object.entries(own))
    Object.assign(house, { [section]: { ...DEFAULTS[section as Section], ...patch } })
  return { ...game, deck: { ...game.deck, back: { ...DEFAULT_BACK, ...back } }, house }
}

function quickGame(): Game {
  return gameOf(
    'A quick round',
    startPairs('pictures', 20),
    {},
    {
      board: { rows: 3, columns: 4 },
      turn: { firstLook: 2000, missLook: 1400 },
      score: { stars: { by: 'turns', at: [16, 12, 9] } },
      look: { dealIn: 'from-middle' },
    },
  )
}

function timedLadder(): Game {
  const game = gameOf(
    'Before the sand runs out',
    startPairs('pictures', 30),
    { ...BACK_COLOURS.night, pattern: 'ripples' },
    {
      score: { perSecondLeft: 5 },
      finish: { then: 'next-level' },
      look: { table: '#2f3a4a' },
    },
  )
  const levels = makeLadder(
    { rows: 3, columns: 4, limit: 42_000, missLook: 1000, firstLook: 2000 },
    { rows: 5, columns: 6, limit: 140_000, missLook: 800, firstLook: 0 },
    5,
    { taken: [], names: ['First sand', 'Second sand', 'Third sand', 'Fourth sand', 'Last sand'] },
  )
  return { ...game, levels }
}

function twoPlayers(): Game {
  return gameOf(
    'Two at one table',
    startPairs('pictures', 24),
    { ...BACK_COLOURS.lagoon, pattern: 'lattice' },
    {
      board: { rows: 4, columns: 5 },
      players: { names: ['Left', 'Right'], matchGoesAgain: true },
      turn: { missLook: 1500, onMatch: 'leave' },
      score: { streakStep: 0 },
      look: { table: '#1f4a4b' },
    },
  )
}

function wordsAndMeanings(): Game {
  const ids: string[] = []
  const pairs = Object.entries(TOOLS).map(([word, meaning]): Pair => {
    const id = newId(word, ids, 'pair')
    ids.push(id)
    return {
      id,
      name: capitalized(word),
      a: { kind: 'text', text: word },
      b: { kind: 'text', text: meaning, ink: '#ffe2a0', paper: '#2c2d52' },
    }
  })
  return gameOf(
    'What a tool does',
    pairs,
    { ...BACK_COLOURS.walnut, pattern: 'rivets' },
    {
      board: boardFor(8),
      layout: { ratio: 1.2 },
      turn: { firstLook: 3000, matchLook: 1600, missLook: 2000 },
      look: { table: '#4a3a2c' },
    },
  )
}

export const BEGINNINGS: readonly Beginning[] = [
  { title: 'A quick family game', words: 'Six pairs, a first look, no hurry', make: quickGame },
  { title: 'A timed ladder', words: 'Five levels against the clock', make: timedLadder },
  { title: 'Two at one table', words: 'Ten pairs; find one and go again', make: twoPlayers },
  { title: 'Words and meanings', words: 'Eight words and what they mean', make: wordsAndMeanings },
]
