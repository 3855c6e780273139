import { countWords } from '../../../core/count-words.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'
import { CARD_RATIOS, type Section, type SettingPath } from '../../../core/settings/settings.ts'
import { writeNumber, type Unit } from './numbers.ts'

/** A setting in words: its name, and the words for its number or its choices. */
export type SettingWords = {
  label: string
  bounds?: readonly [number, number]
  unit?: Unit
  choices?: readonly (readonly [string, string])[]
}

const number = (label: string, bounds: readonly [number, number], unit?: Unit): SettingWords => ({
  label,
  bounds,
  ...(unit ? { unit } : {}),
})
const choice = (label: string, ...choices: [string, string][]): SettingWords => ({ label, choices })

const FAMILY_WORDS: [string, string][] = [
  ['brass', 'brass'],
  ['wood', 'wood'],
  ['glass', 'glass'],
  ['reed', 'reed'],
]
const loudness = (label: string): SettingWords => number(label, BOUNDS.volume, 'percent')
const soundWords = (label: string): SettingWords =>
  choice(label, ['family', 'like the others'], ['none', 'silent'], ...FAMILY_WORDS)

/** Every setting by its place in the file. Sentences, search and comparing all use these words. */
export const SETTING_WORDS: Record<SettingPath, SettingWords> = {
  'board.rows': number('Rows', BOUNDS.side),
  'board.columns': number('Columns', BOUNDS.side),
  'board.gaps': { label: 'Gaps' },
  'layout.size': { label: 'Size of the cards' },
  'layout.ratio': number('Shape of the cards', BOUNDS.ratio, 'ratio'),
  'layout.gapAcross': number('Space between columns', BOUNDS.gap, 'px'),
  'layout.gapDown': number('Space between rows', BOUNDS.gap, 'px'),
  'layout.margin': number('Margin of the table', BOUNDS.margin, 'px'),
  'layout.stands': choice(
    'Where the board stands',
    ['top-left', 'at the top left'],
    ['top', 'at the top'],
    ['top-right', 'at the top right'],
    ['left', 'at the left'],
    ['centre', 'in the middle'],
    ['right', 'at the right'],
    ['bottom-left', 'at the bottom left'],
    ['bottom', 'at the bottom'],
    ['bottom-right', 'at the bottom right'],
  ),
  'fill.counts': { label: 'How many pairs of each' },
  'fill.use': { label: 'Which part of the deck' },
  'fill.pick': choice('How pairs are picked', ['random', 'at random'], ['first', 'the first in the deck']),
  'fill.repeat': choice(
    'Whether pairs repeat',
    ['never', 'never'],
    ['evenly', 'evenly, if there are too few'],
    ['at-random', 'at random, if there are too few'],
    ['with-replacement', 'always at random'],
    ['counts', 'each as often as I choose'],
  ),
  'deal.way': { label: 'Way of dealing' },
  'deal.steps': number('Steps between twins', BOUNDS.steps),
  'deal.arranged': { label: 'Laid by hand' },
  'deal.seed': { label: 'When the seed changes' },
  'turn.firstLook': number('First look', BOUNDS.look, 'seconds'),
  'turn.matchLook': number('Look time of a match', BOUNDS.look, 'seconds'),
  'turn.missLook': number('Look time of a miss', BOUNDS.look, 'seconds'),
  'turn.duringLook': choice(
    'A press during the look time',
    ['wait', 'does nothing'],
    ['skip', 'ends it'],
    ['skip-and-flip', 'ends it and turns the next card'],
  ),
  'turn.onOpen': choice(
    'A press on the one open card',
    ['stay', 'does nothing'],
    ['turn-back', 'turns it back'],
  ),
  'turn.onMatch': choice(
    'What happens to twins',
    ['stay', 'stay face up'],
    ['fade', 'stay, faded'],
    ['leave', 'leave the board'],
  ),
  'turn.onMiss': choice(
    'What happens to missed cards',
    ['timed', 'turn back by themselves'],
    ['press', 'turn back at the next press'],
    ['button', 'turn back by a button'],
  ),
  'clock.mode': choice('Clock', ['off', 'is off'], ['up', 'counts up'], ['down', 'counts down']),
  'clock.limit': number('Time limit', BOUNDS.limit, 'clock'),
  'clock.startsAt': choice(
    'The clock starts',
    ['first-flip', 'with the first flip'],
    ['deal', 'at the deal'],
  ),
  'clock.lookStopsClock': choice(
    'The clock during the look time',
    ['false', 'runs on'],
    ['true', 'stands still'],
  ),
  'clock.matchBonus': number('Clock bonus of a match', BOUNDS.clockChange, 'seconds'),
  'clock.missPenalty': number('Clock penalty of a miss', BOUNDS.clockChange, 'seconds'),
  'limits.lives': number('Lives', BOUNDS.lives),
  'limits.livesLostOn': choice('Lives are lost', ['miss', 'for each miss'], ['slip', 'for each slip']),
  'limits.turns': number('Turn limit', BOUNDS.turns),
  'score.match': number('Points of a match', BOUNDS.points, 'points'),
  'score.streakStep': number('More for each match in a row', BOUNDS.streakStep, 'more'),
  'score.streakMax': number('Most for a streak', BOUNDS.streakMax, 'times'),
  'score.miss': number('Points a miss takes', BOUNDS.points, 'points'),
  'score.slip': number('Points a slip takes', BOUNDS.points, 'points'),
  'score.lucky': number('Points for luck', BOUNDS.points, 'points'),
  'score.perSecondLeft': number('Points for each second left', BOUNDS.points, 'points'),
  'score.perLifeLeft': number('Points for each life left', BOUNDS.points, 'points'),
  'score.floorAtZero': choice(
    'Whether the score may fall below zero',
    ['true', 'never falls'],
    ['false', 'may fall'],
  ),
  'score.stars': { label: 'Stars' },
  'players.names': { label: 'Players' },
  'players.minds': { label: 'Who plays each seat' },
  'players.offersRival': choice(
    'Who may play along',
    ['false', 'alone'],
    ['true', 'alone, or against a mind of their choice'],
  ),
  'players.matchGoesAgain': choice(
    'Who goes after a match',
    ['true', 'the same player goes again'],
    ['false', 'the next player goes'],
  ),
  'finish.wait': number('Wait at the end', BOUNDS.wait, 'seconds'),
  'finish.rounds': choice(
    'Rounds on one page',
    ['any', 'another round may be played'],
    ['one', 'the result stays, and no other round is played'],
  ),
  'finish.flips': choice('Flips in the result', ['false', 'not told'], ['true', 'told']),
  'finish.slips': choice('Slips in the result', ['false', 'not told'], ['true', 'told']),
  'finish.then': choice(
    'What comes at the end',
    ['result', 'the result is shown'],
    ['deal-again', 'the cards are dealt again'],
    ['next-level', 'the next level begins'],
  ),
  'head.figures': { label: 'Figures on the table' },
  'head.level': choice('Level on the table', ['true', 'is shown'], ['false', 'is not shown']),
  'head.title': choice('Title on the table', ['true', 'is shown'], ['false', 'is not shown']),
  'head.buttons': { label: 'Buttons on the table' },
  'head.size': choice('Size of the figures', ['usual', 'of the usual size'], ['large', 'large']),
  'look.table': { label: 'Colour of the table' },
  'look.flip': choice(
    'How cards flip',
    ['turn', 'turn over sideways'],
    ['tip', 'tip over upwards'],
    ['melt', 'fade from one side into the other'],
  ),
  'look.dealIn': choice(
    'How cards are dealt in',
    ['in-turn', 'one after the other'],
    ['from-middle', 'from the middle outwards'],
    ['at-once', 'all at once'],
    ['lying', 'without any motion'],
  ),
  'look.behind': { label: 'Behind the cards' },
  'look.missMotion': choice(
    'How a miss moves',
    ['none', 'stays still'],
    ['shake', 'shakes'],
    ['nudge', 'is nudged'],
    ['dim', 'dims'],
  ),
  'look.flipTime': number('Time of a flip', BOUNDS.motion, 'seconds'),
  'look.missTime': number('Time of a motion', BOUNDS.motion, 'seconds'),
  'look.missMoves': number('How often a miss moves', BOUNDS.moves),
  'look.missStrength': number('How strongly a miss moves', BOUNDS.strength, 'percent'),
  'look.celebration': choice(
    'What celebrates a win',
    ['none', 'nothing'],
    ['wave', 'a wave of the cards'],
    ['fan', 'the cards in a fan'],
    ['sparks', 'sparks'],
    ['picture', 'the picture behind'],
  ),
  'look.back': { label: 'The back' },
  'look.marks': choice(
    'Marks on the backs',
    ['none', 'no marks'],
    ['numbers', 'numbers from 1'],
    ['cells', 'the names of their cells'],
  ),
  'sound.on': choice('Sounds', ['true', 'are on'], ['false', 'are off']),
  'sound.family': choice('What sounds are like', ...FAMILY_WORDS),
  'sound.volume': loudness('Volume of the sounds'),
  'sound.deal': soundWords('Sound of the deal'),
  'sound.flip': soundWords('Sound of a flip'),
  'sound.match': soundWords('Sound of a match'),
  'sound.miss': soundWords('Sound of a miss'),
  'sound.streak': soundWords('Sound of a streak'),
  'sound.lastSeconds': soundWords('Sound of the last seconds'),
  'sound.win': soundWords('Sound of a win'),
  'sound.loss': soundWords('Sound of a loss'),
  'volumes.deal': loudness('Volume of the deal'),
  'volumes.flip': loudness('Volume of a flip'),
  'volumes.match': loudness('Volume of a match'),
  'volumes.miss': loudness('Volume of a miss'),
  'volumes.streak': loudness('Volume of a streak'),
  'volumes.lastSeconds': loudness('Volume of the last seconds'),
  'volumes.win': loudness('Volume of a win'),
  'volumes.loss': loudness('Volume of a loss'),
}

export const settingWords = (section: Section, name: string): SettingWords =>
  SETTING_WORDS[`${section}.${name}` as SettingPath]

/** The value of a setting in words, as its sentence has it. */
export function valueWords(key: string, value: unknown): string {
  const { choices, unit } = SETTING_WORDS[key as SettingPath]
  const choice = choices?.find(([one]) => one === String(value))
  if (choice) return choice[1]
  if (value === null && key === 'head.figures') return 'what the rules ask for'
  if (value === null && key.startsWith('layout.'))
    return key === 'layout.size' ? 'as large as fits' : 'as suits the table'
  if (value === null || (Array.isArray(value) && !value.length)) return 'none'
  const shape = Object.entries(CARD_RATIOS).find(([, ratio]) => ratio === value)
  if (key === 'layout.ratio' && shape) return shape[0]
  if (typeof value === 'number') return writeNumber(value, unit ?? 'count')
  if (key === 'players.minds') return (value as (string | null)[]).map((id) => id ?? 'a person').join(', ')
  if (Array.isArray(value)) return key === 'deal.arranged' ? 'own places' : value.join(', ')
  if (typeof value !== 'object') return String(value).replaceAll('-', ' ')
  if (key === 'fill.counts')
    return countWords(
      Object.values(value as Record<string, number>).reduce((sum, count) => sum + count, 0),
      'pair',
    )
  const { by, at, tags, pairs, from, to, fixed, alt, name, width, height } = value as Record<string, unknown>
  if (width) return `${String(width)} × ${String(height)} px`
  if (by)
    return `by ${String(by)}: ${(at as number[]).map((one) => writeNumber(one, by === 'time' ? 'clock' : 'count')).join(', ')}`
  if (tags) return `pairs tagged ${(tags as string[]).join(', ')}`
  if (pairs) return `${(pairs as string[]).length} chosen pairs`
  if (from) return `pairs ${String(from)} to ${String(to)}`
  if (fixed) return `always "${String(fixed)}"`
  return String(alt ?? name ?? 'an image')
}
