/**
 * The settings of a game: their closed sets, their bounds and the defaults of a new game.
 * Every number that the schema, the studio and the docs speak of stands here and nowhere else.
 */

export const PICKS = ['random', 'first'] as const
export const REPEATS = ['never', 'evenly', 'at-random'] as const
export const WAYS = ['shuffled', 'in-order', 'apart', 'close', 'arranged'] as const
export const DURING_LOOK = ['wait', 'skip', 'skip-and-flip'] as const
export const ON_MATCH = ['stay', 'fade', 'leave'] as const
export const ON_MISS = ['timed', 'press', 'button'] as const
export const CLOCK_MODES = ['off', 'up', 'down'] as const
export const CLOCK_STARTS = ['first-flip', 'deal'] as const
export const LIVES_LOST_ON = ['miss', 'slip'] as const
export const STARS_BY = ['score', 'turns', 'time'] as const
export const THEN = ['result', 'deal-again', 'next-level'] as const
export const CARD_SHAPES = ['portrait', 'square', 'landscape'] as const
/** How a card shows its other side: about its upright middle, about its level middle, or one side melting into the other. */
export const FLIPS = ['turn', 'tip', 'melt'] as const
/** How the cards come to lie on the table. */
export const DEAL_INS = ['in-turn', 'from-middle', 'at-once', 'lying'] as const

type Pick = (typeof PICKS)[number]
type Repeat = (typeof REPEATS)[number]
export type Way = (typeof WAYS)[number]
type DuringLook = (typeof DURING_LOOK)[number]
type OnMatch = (typeof ON_MATCH)[number]
type OnMiss = (typeof ON_MISS)[number]
type ClockMode = (typeof CLOCK_MODES)[number]
type ClockStart = (typeof CLOCK_STARTS)[number]
type LivesLostOn = (typeof LIVES_LOST_ON)[number]
export type StarsBy = (typeof STARS_BY)[number]
type Then = (typeof THEN)[number]
export type CardShape = (typeof CARD_SHAPES)[number]
export type Flip = (typeof FLIPS)[number]
export type DealIn = (typeof DEAL_INS)[number]

/** Which part of the deck a level uses. Positions are 1-based and both ends are included. */
export type Use = 'all' | { tags: string[] } | { pairs: string[] } | { from: number; to: number }
export type SeedRule = 'every-play' | 'daily' | { fixed: string }
/** Three thresholds for one, two and three stars: rising for a score, falling for turns and time (ms). */
type Stars = { by: StarsBy; at: [number, number, number] }

/** What lies behind the cards and comes to light as they leave: a picture of the library, or an own image. */
export type Behind = { alt?: string } & ({ kind: 'picture'; name: string } | { kind: 'image'; src: string })

export type Settings = {
  /** gaps by cell name, "C3" */
  board: { rows: number; columns: number; gaps: string[] }
  fill: { use: Use; pick: Pick; repeat: Repeat }
  /** `steps` for apart and close; `arranged` cell by cell: "pair-id/a", "pair-id/b" or null */
  deal: { way: Way; steps: number; arranged: (string | null)[]; seed: SeedRule }
  /** times in whole ms */
  turn: {
    firstLook: number
    matchLook: number
    missLook: number
    duringLook: DuringLook
    onMatch: OnMatch
    onMiss: OnMiss
  }
  /** times in whole ms */
  clock: {
    mode: ClockMode
    limit: number
    startsAt: ClockStart
    lookStopsClock: boolean
    matchBonus: number
    missPenalty: number
  }
  limits: { lives: number | null; livesLostOn: LivesLostOn; turns: number | null }
  score: {
    match: number
    streakStep: number
    streakMax: number
    miss: number
    slip: number
    lucky: number
    perSecondLeft: number
    perLifeLeft: number
    floorAtZero: boolean
    stars: Stars | null
  }
  /** who sits at the table, in turn; with one name it is a game for one. After a match the same player goes again, or not */
  players: { names: string[]; matchGoesAgain: boolean }
  /** `wait` in ms, from the last judgement to what comes then */
  finish: { wait: number; then: Then }
  look: {
    table: string
    shape: CardShape
    flip: Flip
    dealIn: DealIn
    behind: Behind | null
    sounds: boolean
  }
}

export const SECTIONS = [
  'board',
  'fill',
  'deal',
  'turn',
  'clock',
  'limits',
  'score',
  'players',
  'finish',
  'look',
] as const
export type Section = (typeof SECTIONS)[number]

/** The settings of a new game. */
export const DEFAULTS: Settings = {
  board: { rows: 4, columns: 4, gaps: [] },
  fill: { use: 'all', pick: 'random', repeat: 'never' },
  deal: { way: 'shuffled', steps: 2, arranged: [], seed: 'every-play' },
  turn: {
    firstLook: 0,
    matchLook: 800,
    missLook: 1000,
    duringLook: 'wait',
    onMatch: 'stay',
    onMiss: 'timed',
  },
  clock: {
    mode: 'off',
    limit: 90000,
    startsAt: 'first-flip',
    lookStopsClock: false,
    matchBonus: 0,
    missPenalty: 0,
  },
  limits: { lives: null, livesLostOn: 'miss', turns: null },
  score: {
    match: 100,
    streakStep: 0.5,
    streakMax: 3,
    miss: 0,
    slip: 0,
    lucky: 0,
    perSecondLeft: 0,
    perLifeLeft: 0,
    floorAtZero: true,
    stars: null,
  },
  players: { names: ['Player 1'], matchGoesAgain: true },
  finish: { wait: 1200, then: 'result' },
  look: {
    table: '#383a63',
    shape: 'portrait',
    flip: 'turn',
    dealIn: 'in-turn',
    behind: null,
    sounds: true,
  },
}

/** Bounds of every number in a game file, both ends included; times in ms. */
export const BOUNDS = {
  side: [1, 20],
  /** of a pair */
  tags: [0, 20],
  pairs: [0, 1000],
  levels: [1, 100],
  cards: [2, 400],
  steps: [1, 19],
  look: [0, 60_000],
  limit: [1_000, 7_200_000],
  clockChange: [0, 600_000],
  lives: [1, 99],
  turns: [1, 9_999],
  points: [0, 100_000],
  streakStep: [0, 10],
  streakMax: [1, 100],
  star: [0, 100_000_000],
  wait: [0, 60_000],
  players: [1, 4],
  checks: [0, 1000],
  inputs: [0, 100_000],
} as const satisfies Record<string, readonly [number, number]>

/** Longest texts, in characters. */
export const LENGTHS = {
  id: 64,
  title: 120,
  name: 120,
  text: 200,
  alt: 300,
  tag: 40,
  seed: 64,
  player: 24,
} as const

/** Largest images and files, in bytes; an SVG in letters too. */
export const SIZES = { image: 8 * 2 ** 20, svg: 512 * 2 ** 10, file: 64 * 2 ** 20 } as const

/** So many bytes in words: "64 MiB", "512 KiB". */
export const sizeWords = (bytes: number): string =>
  bytes < 2 ** 20 ? `${bytes / 2 ** 10} KiB` : `${bytes / 2 ** 20} MiB`
/** What is said of what has more bytes than it may. */
export const largerThan = (bytes: number): string => `larger than ${sizeWords(bytes)}`

/**
 * What an image may ask of a browser. px of a raster image in all and along a side; of an SVG the elements and letters of path data that are
 * drawn when all that is used again is counted, levels of masks or clips, elements within each other, filtered elements, and parts of a filter.
 */
export const IMAGE_BOUNDS = {
  pixels: 64_000_000,
  side: 16_384,
  elements: 5000,
  pathLetters: 200_000,
  masks: 2,
  depth: 100,
  filtered: 50,
  filterParts: 10,
} as const

/** A card's width divided by its height, by shape. */
export const CARD_RATIO: Record<CardShape, number> = { portrait: 0.84, square: 1, landscape: 1.25 }
