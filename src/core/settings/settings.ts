import type { Back } from './back.ts'

/**
 * The settings of a game: their closed sets and the defaults of a new game. Their bounds: bounds.ts. Every number that
 * the schema, the studio and the docs mention is defined in these two files and nowhere else.
 */

export const PICKS = ['random', 'first'] as const
/** When a pair may lie on a board more than once; `evenly` and `at-random` only if there are too few. */
export const REPEATS = ['never', 'evenly', 'at-random', 'with-replacement', 'counts'] as const
export const WAYS = ['shuffled', 'in-order', 'apart', 'close', 'arranged'] as const
export const DURING_LOOK = ['wait', 'skip', 'skip-and-flip'] as const
export const ON_MATCH = ['stay', 'fade', 'leave'] as const
export const ON_MISS = ['timed', 'press', 'button'] as const
/** What a press on the one open card does: nothing, or it turns it back. */
export const ON_OPEN = ['stay', 'turn-back'] as const
export const CLOCK_MODES = ['off', 'up', 'down'] as const
export const CLOCK_STARTS = ['first-flip', 'deal'] as const
export const LIVES_LOST_ON = ['miss', 'slip'] as const
export const STARS_BY = ['score', 'turns', 'time'] as const
/** How many rounds a page plays: any number, or one, whose result stays. */
export const ROUNDS = ['any', 'one'] as const
export const THEN = ['result', 'deal-again', 'next-level'] as const
/** Where the board stands on the table. */
export const STANDS = [
  'top-left',
  'top',
  'top-right',
  'left',
  'centre',
  'right',
  'bottom-left',
  'bottom',
  'bottom-right',
] as const
/** How a card turns over: around its vertical axis, around its horizontal axis, or one side fading into the other. */
export const FLIPS = ['turn', 'tip', 'melt'] as const
/** What can be counted and shown at the head of the table. */
export const FIGURES = [
  'time-left',
  'time-used',
  'turns',
  'flips',
  'pairs-left',
  'score',
  'streak',
  'lives',
  'best',
] as const
/** The buttons that the head of the table may have. */
export const BUTTONS = ['restart', 'levels', 'how-to', 'sound', 'pause', 'leave'] as const
/** How large figures are. */
export const FIGURE_SIZES = ['usual', 'large'] as const
/** Each moment of a game that may have a sound. */
export const MOMENTS = ['deal', 'flip', 'match', 'miss', 'streak', 'lastSeconds', 'win', 'loss'] as const
/** Our own sounds, named for what they sound like. */
export const FAMILIES = ['brass', 'wood', 'glass', 'reed'] as const
/** How missed cards show it before they turn back. */
export const MISS_MOTIONS = ['none', 'shake', 'nudge', 'dim'] as const
/** What passes over the table when a game is won. */
export const CELEBRATIONS = ['none', 'wave', 'fan', 'sparks', 'picture'] as const
/** What the backs bear: nothing, numbers from 1, or the names of the cells. */
export const MARKS = ['none', 'numbers', 'cells'] as const
/** How the cards arrive on the table. */
export const DEAL_INS = ['in-turn', 'from-middle', 'at-once', 'lying'] as const

type Pick = (typeof PICKS)[number]
export type Repeat = (typeof REPEATS)[number]
export type Way = (typeof WAYS)[number]
type DuringLook = (typeof DURING_LOOK)[number]
type OnMatch = (typeof ON_MATCH)[number]
type OnMiss = (typeof ON_MISS)[number]
type OnOpen = (typeof ON_OPEN)[number]
type ClockMode = (typeof CLOCK_MODES)[number]
type ClockStart = (typeof CLOCK_STARTS)[number]
type LivesLostOn = (typeof LIVES_LOST_ON)[number]
export type StarsBy = (typeof STARS_BY)[number]
type Then = (typeof THEN)[number]
type Rounds = (typeof ROUNDS)[number]
export type Stand = (typeof STANDS)[number]
export type Flip = (typeof FLIPS)[number]
export type Figure = (typeof FIGURES)[number]
export type TableButton = (typeof BUTTONS)[number]
type FigureSize = (typeof FIGURE_SIZES)[number]
export type DealIn = (typeof DEAL_INS)[number]
export type Moment = (typeof MOMENTS)[number]
export type Family = (typeof FAMILIES)[number]
type MissMotion = (typeof MISS_MOTIONS)[number]
export type Marks = (typeof MARKS)[number]
type Celebration = (typeof CELEBRATIONS)[number]
/** A sound from a file of the author's: a WAV, MP3 or OGG as a data URL, and the file's name. */
export type OwnSound = { name: string; src: string }
/** The sound of a moment: that of the level's family, of another family, none, or an own one. */
export type SoundChoice = 'family' | 'none' | Family | OwnSound

/** Which part of the deck a level uses. Positions are 1-based and both ends are included. */
export type Use = 'all' | { tags: string[] } | { pairs: string[] } | { from: number; to: number }
export type SeedRule = 'every-play' | 'daily' | { fixed: string }
/** Three thresholds for one, two and three stars: rising for a score, falling for turns and time (ms). */
type Stars = { by: StarsBy; at: [number, number, number] }

/** What lies behind the cards and appears as they leave: a library picture, or an own image. */
export type Behind = { alt?: string } & ({ kind: 'picture'; name: string } | { kind: 'image'; src: string })

export type Settings = {
  /** gaps by cell name, "C3" */
  board: { rows: number; columns: number; gaps: string[] }
  /** `counts`, for repeat `counts`: how many pairs of each kind, by the pair's id */
  fill: { use: Use; pick: Pick; repeat: Repeat; counts: Record<string, number> }
  /**
   * How the cards are laid out, in CSS px: a `size` of their own, or null for as large as fits with this `ratio` of
   * width to height; gaps and margin that are null suit the table.
   */
  layout: {
    size: { width: number; height: number } | null
    ratio: number
    gapAcross: number | null
    gapDown: number | null
    margin: number | null
    stands: Stand
  }
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
    onOpen: OnOpen
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
  /**
   * Who sits at the table, in turn; with one name it is a game for one. `minds` runs parallel to the names: the id of
   * the mind that plays a seat, null for a person; missing entries are persons. After a match the same player goes
   * again, or not. `offersRival`: whether somebody who plays alone may choose a mind to play against.
   */
  players: { names: string[]; minds: (string | null)[]; matchGoesAgain: boolean; offersRival: boolean }
  /**
   * the head of the table: figures in this order, or null for those that the rules ask for; the level's name, the
   * game's title; buttons in this order; how large the figures are
   */
  head: {
    figures: Figure[] | null
    level: boolean
    title: boolean
    buttons: TableButton[]
    size: FigureSize
  }
  /** `wait` in ms, from the last judgement to what follows; whether the result tells flips and slips too */
  finish: { wait: number; then: Then; rounds: Rounds; flips: boolean; slips: boolean }
  look: {
    table: string
    flip: Flip
    dealIn: DealIn
    behind: Behind | null
    missMotion: MissMotion
    /** of the motion of a miss, in percent of the usual */
    missStrength: number
    celebration: Celebration
    /** how long a card takes to turn, in ms */
    flipTime: number
    /** how long a missed card moves each time, in ms, and how many times */
    missTime: number
    missMoves: number
    marks: Marks
    /** another back than the deck's */
    back: Back | null
  }
  /** `volume` in percent; then the sound of each moment */
  sound: { on: boolean; family: Family; volume: number } & Record<Moment, SoundChoice>
  /** of the sound of each moment, in percent of the overall volume */
  volumes: Record<Moment, number>
}
/** A setting by its place: `board.rows`. */
export type SettingPath = { [S in Section]: `${S}.${keyof Settings[S] & string}` }[Section]

export const SECTIONS = [
  'board',
  'layout',
  'fill',
  'deal',
  'turn',
  'clock',
  'limits',
  'score',
  'players',
  'finish',
  'head',
  'look',
  'sound',
  'volumes',
] as const
export type Section = (typeof SECTIONS)[number]

/**
 * The defaults of what came after version 1.0.0: files may leave it out, and shipped pages do where it is not used. */
export const LATER_DEFAULTS = {
  turn: { onOpen: 'stay' },
  finish: { rounds: 'any', flips: false, slips: false },
  head: { buttons: ['levels', 'sound', 'pause'], size: 'usual' },
  look: { flipTime: 270, missTime: 300, missMoves: 1, marks: 'none', back: null },
} satisfies { [S in Section]?: Partial<Settings[S]> }

/** The settings of a new game. */
export const DEFAULTS: Settings = {
  board: { rows: 4, columns: 4, gaps: [] },
  layout: { size: null, ratio: 0.84, gapAcross: null, gapDown: null, margin: null, stands: 'centre' },
  fill: { use: 'all', pick: 'random', repeat: 'never', counts: {} },
  deal: { way: 'shuffled', steps: 2, arranged: [], seed: 'every-play' },
  turn: {
    firstLook: 0,
    matchLook: 800,
    missLook: 1000,
    duringLook: 'wait',
    onMatch: 'stay',
    onMiss: 'timed',
    ...LATER_DEFAULTS.turn,
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
  players: { names: ['Player 1'], minds: [], matchGoesAgain: true, offersRival: false },
  finish: { wait: 1200, then: 'result', ...LATER_DEFAULTS.finish },
  head: { figures: null, level: true, title: false, ...LATER_DEFAULTS.head },
  look: {
    table: '#383a63',
    flip: 'turn',
    dealIn: 'in-turn',
    behind: null,
    missMotion: 'shake',
    missStrength: 100,
    celebration: 'wave',
    ...LATER_DEFAULTS.look,
  },
  sound: {
    on: true,
    family: 'brass',
    volume: 100,
    deal: 'family',
    flip: 'family',
    match: 'family',
    miss: 'family',
    streak: 'none',
    lastSeconds: 'none',
    win: 'family',
    loss: 'family',
  },
  volumes: {
    deal: 100,
    flip: 100,
    match: 100,
    miss: 100,
    streak: 100,
    lastSeconds: 100,
    win: 100,
    loss: 100,
  },
}

/** Card shapes with a name: width divided by height. */
export const CARD_RATIOS = { portrait: 0.84, square: 1, landscape: 1.25 } as const
