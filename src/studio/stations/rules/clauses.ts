import { openCells } from '../../../core/board/cells.ts'
import { BACK_COLOURS, DEFAULT_BACK } from '../../../core/settings/back.ts'
import { par } from '../../../core/odds/par.ts'
import { isOwn, type Level } from '../../../core/settings/levels.ts'
import { isOff, keysOfRule, type RuleKey } from '../../../core/settings/off.ts'
import { DEFAULTS, type Section, type Settings, type StarsBy } from '../../../core/settings/settings.ts'

/**
 * A part of the story that is shown only if it applies: a `rule` that can be off. `adds` is its name in the menu of the
 * paragraph; `needs` whether it could do something with these settings; `first` its initial value. `says` if it is
 * shown for another reason as well.
 */
export type Clause = {
  paragraph: number
  adds: string
  rule: RuleKey
  needs?: (settings: Settings) => boolean
  says?: (settings: Settings) => boolean
  first: (settings: Settings) => Partial<Settings[Section]>
}

/** A clause of one number. */
function ofNumber(
  paragraph: number,
  adds: string,
  rule: RuleKey,
  first: number,
  needs?: Clause['needs'],
): Clause {
  const [, key] = rule.split('.')
  return { paragraph, adds, rule, first: () => ({ [key!]: first }), ...(needs ? { needs } : {}) }
}

const pairsOf = ({ board }: Settings): number => Math.max(1, Math.floor(openCells(board).length / 2))
const timed = ({ clock }: Settings): boolean => clock.mode !== 'off'
const scores = ({ score }: Settings): boolean => score.match > 0
/** Whether a press during a look could do anything: under a button, missed cards wait for the button alone. */
export const pressTells = ({ turn }: Settings): boolean => turn.onMiss !== 'button' || turn.matchLook > 0

/** Initial thresholds of stars: three, two and about one time and a third of what a perfect memory needs. */
export function firstStars(by: StarsBy, settings: Settings): [number, number, number] {
  const pairs = pairsOf(settings)
  const { turns } = par(pairs)
  const times = (unit: number, ...factors: [number, number, number]): [number, number, number] =>
    factors.map((factor) => Math.round(unit * factor)) as [number, number, number]
  if (by === 'turns') return times(turns, 2.2, 1.6, 1.2)
  if (by === 'time') return times(turns, 6, 4.5, 3.2).map((s) => s * 1000) as [number, number, number]
  return times(pairs * settings.score.match, 0.8, 1.1, 1.5)
}

/** All clauses by name, in the order of the story. */
export const CLAUSES = {
  firstLook: ofNumber(1, 'a first look at all cards', 'turn.firstLook', 2000),
  clock: {
    paragraph: 1,
    adds: 'a clock',
    rule: 'clock.mode',
    first: () => ({ mode: 'down' }),
  },
  matchLook: ofNumber(2, 'look time of a match', 'turn.matchLook', DEFAULTS.turn.matchLook),
  missLook: ofNumber(2, 'look time of a miss', 'turn.missLook', DEFAULTS.turn.missLook),
  duringLook: {
    paragraph: 2,
    adds: 'a press that ends the pause',
    rule: 'turn.duringLook',
    needs: pressTells,
    first: () => ({ duringLook: 'skip' }),
  },
  onOpen: {
    paragraph: 2,
    adds: 'an open card that may be turned back',
    rule: 'turn.onOpen',
    first: () => ({ onOpen: 'turn-back' }),
  },
  lookStopsClock: {
    paragraph: 2,
    adds: 'a clock that stops during the pause',
    rule: 'clock.lookStopsClock',
    needs: timed,
    first: () => ({ lookStopsClock: true }),
  },
  matchBonus: ofNumber(3, 'bonus time for a match', 'clock.matchBonus', 2000, timed),
  missPenalty: ofNumber(3, 'time lost for a miss', 'clock.missPenalty', 2000, timed),
  match: ofNumber(4, 'points for a match', 'score.match', DEFAULTS.score.match),
  streak: ofNumber(4, 'more for matches in a row', 'score.streakStep', DEFAULTS.score.streakStep, scores),
  lucky: ofNumber(4, 'points for luck', 'score.lucky', 50),
  miss: ofNumber(4, 'points lost for a miss', 'score.miss', 10),
  slip: ofNumber(4, 'points lost for a slip', 'score.slip', 20),
  floor: {
    paragraph: 4,
    adds: 'a score that may fall below zero',
    rule: 'score.floorAtZero',
    says: ({ score }) => score.miss > 0 || score.slip > 0,
    needs: ({ score }) => score.miss > 0 || score.slip > 0,
    first: () => ({ floorAtZero: false }),
  },
  lives: {
    paragraph: 5,
    adds: 'lives',
    rule: 'limits.lives',
    first: (settings) => ({ lives: Math.max(3, Math.ceil(pairsOf(settings) / 2)) }),
  },
  turns: {
    paragraph: 5,
    adds: 'a turn limit',
    rule: 'limits.turns',
    first: (settings) => ({ turns: Math.ceil(par(pairsOf(settings)).turns * 1.5) }),
  },
  wait: ofNumber(6, 'a wait at the end', 'finish.wait', DEFAULTS.finish.wait),
  perSecondLeft: ofNumber(
    6,
    'points for each second left',
    'score.perSecondLeft',
    5,
    ({ clock }) => clock.mode === 'down',
  ),
  perLifeLeft: ofNumber(
    6,
    'points for each life left',
    'score.perLifeLeft',
    50,
    ({ limits }) => limits.lives !== null,
  ),
  stars: {
    paragraph: 6,
    adds: 'stars',
    rule: 'score.stars',
    first: (settings) => {
      const by = scores(settings) ? 'score' : 'turns'
      return { stars: { by, at: firstStars(by, settings) } }
    },
  },
  rounds: {
    paragraph: 6,
    adds: 'only one round',
    rule: 'finish.rounds',
    first: () => ({ rounds: 'one' }),
  },
  missMotion: {
    paragraph: 7,
    adds: 'a motion of cards that do not match',
    rule: 'look.missMotion',
    first: () => ({ missMotion: 'shake' }),
  },
  celebration: {
    paragraph: 7,
    adds: 'a celebration of a win',
    rule: 'look.celebration',
    first: () => ({ celebration: 'fan' }),
  },
  marks: {
    paragraph: 7,
    adds: 'marks on the backs',
    rule: 'look.marks',
    first: () => ({ marks: 'numbers' }),
  },
  back: {
    paragraph: 7,
    adds: 'another back than the deck’s',
    rule: 'look.back',
    first: () => ({ back: { ...DEFAULT_BACK, ...BACK_COLOURS.lagoon } }),
  },
  behind: {
    paragraph: 7,
    adds: 'a picture behind the cards',
    rule: 'look.behind',
    first: () => ({ behind: { kind: 'picture', name: 'world-map', alt: 'World map' } }),
  },
} satisfies Record<string, Clause>
export type ClauseName = keyof typeof CLAUSES

const all = Object.entries(CLAUSES) as [ClauseName, Clause][]

/** The section of a clause, and its keys: the first is its main one. */
export function keysOf(name: ClauseName): [Section, readonly string[]] {
  const { rule } = CLAUSES[name]
  return [rule.split('.')[0] as Section, keysOfRule(rule)]
}

/** Whether a clause applies with these settings. */
const says = (name: ClauseName, settings: Settings): boolean => {
  const clause: Clause = CLAUSES[name]
  return !isOff(settings, clause.rule) || (clause.says?.(settings) ?? false)
}

/**
 * Whether a clause is shown: if it applies, or the open level sets one of its keys itself or switches off what the
 * house rules have.
 */
export function isRead(name: ClauseName, settings: Settings, house: Settings, level?: Level): boolean {
  const [section, keys] = keysOf(name)
  return (
    says(name, settings) ||
    says(name, house) ||
    keys.some((key) => level !== undefined && isOwn(level, section, key))
  )
}

/** The keys of a clause that its sentence does not show with these settings. */
export function unshown(name: ClauseName, settings: Settings): readonly string[] {
  const [, [, ...rest]] = keysOf(name)
  // both numbers of a streak are always in its sentence
  if (name === 'streak') return []
  if (name === 'clock' && settings.clock.mode === 'up') return ['limit']
  return isOff(settings, CLAUSES[name].rule) ? rest : []
}

/** The clauses that can be added to a paragraph. */
export const addable = (
  paragraph: number,
  settings: Settings,
  house: Settings,
  level?: Level,
): [ClauseName, Clause][] =>
  all.filter(
    ([name, clause]) =>
      clause.paragraph === paragraph &&
      !isRead(name, settings, house, level) &&
      (clause.needs?.(settings) ?? true),
  )

/** The clause that must be added before a setting is visible in the story; null if it always is. */
export function clauseOf(key: string): ClauseName | null {
  const [section, name] = key.split('.') as [string, string]
  const holds = ([one]: [ClauseName, Clause]): boolean => {
    const [its, keys] = keysOf(one)
    return its === section && keys.includes(name)
  }
  return all.find(holds)?.[0] ?? null
}
