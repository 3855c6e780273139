import type { Mind } from '../settings/mind.ts'
import { BOUNDS } from '../settings/bounds.ts'
import { type Section, type Settings } from '../settings/settings.ts'
import { playGames, type Playable } from './games.ts'
import { Z } from './wilson.ts'

/** One small step of a rule: its size, in its own unit (ms, lives, turns). */
type RuleStep = { section: Section; key: string; by: number }
/**
 * How the share of wins changes with such a step (−1 to 1), with its 95 % interval; `told`: whether it differs from 0
 * beyond chance.
 */
export type Sensitivity = RuleStep & { change: number; interval: [number, number]; told: boolean }

/** A step's rule matters only if this holds. */
type Candidate = RuleStep & { bounds: readonly [number, number]; matters(settings: Settings): boolean }
const hasClock = ({ clock }: Settings): boolean => clock.mode === 'down'
const hasLimit = (settings: Settings): boolean =>
  hasClock(settings) || settings.limits.lives !== null || settings.limits.turns !== null
const countsLooks = (settings: Settings): boolean => hasClock(settings) && !settings.clock.lookStopsClock
const CANDIDATES: readonly Candidate[] = [
  { section: 'clock', key: 'limit', by: 5000, bounds: BOUNDS.limit, matters: hasClock },
  { section: 'clock', key: 'matchBonus', by: 1000, bounds: BOUNDS.clockChange, matters: hasClock },
  { section: 'clock', key: 'missPenalty', by: 1000, bounds: BOUNDS.clockChange, matters: hasClock },
  {
    section: 'limits',
    key: 'lives',
    by: 1,
    bounds: BOUNDS.lives,
    matters: ({ limits }) => limits.lives !== null,
  },
  {
    section: 'limits',
    key: 'turns',
    by: 1,
    bounds: BOUNDS.turns,
    matters: ({ limits }) => limits.turns !== null,
  },
  { section: 'turn', key: 'firstLook', by: 1000, bounds: BOUNDS.look, matters: hasLimit },
  { section: 'turn', key: 'missLook', by: 500, bounds: BOUNDS.look, matters: countsLooks },
  { section: 'turn', key: 'matchLook', by: 500, bounds: BOUNDS.look, matters: countsLooks },
]

/** The small steps of the rules that matter on a level; none if only the last pair ends its games. */
export const stepsThatMatter = (settings: Settings): readonly RuleStep[] =>
  CANDIDATES.filter(({ matters, section, key, by, bounds }) => {
    const value = (settings[section] as Record<string, unknown>)[key]
    return matters(settings) && typeof value === 'number' && value + by <= bounds[1]
  }).map(({ section, key, by }) => ({ section, key, by }))

/**
 * How the share of a mind's wins changes with one small step of each rule that matters. The same deals are played with
 * the same chances before and after, so that the interval is that of the mean of paired differences. In: the seed text
 * and the number of games (2 or more); `told` is called as work goes on, from 0 to 1.
 */
export function sensitivities(
  level: Playable,
  mind: Mind,
  seed: string,
  games: number,
  progress?: (done: number) => void,
): Sensitivity[] {
  const steps = stepsThatMatter(level.settings)
  const before = playGames(level, mind, seed, 1, games).ends
  return steps.map((step, i) => {
    progress?.((i + 1) / (steps.length + 1))
    const { section, key, by } = step
    const rules = level.settings[section] as Record<string, number>
    const settings = { ...level.settings, [section]: { ...rules, [key]: rules[key]! + by } }
    const after = playGames({ ...level, settings }, mind, seed, 1, games).ends
    let [sum, squares] = [0, 0]
    after.forEach((end, place) => {
      const difference = Number(end === 0) - Number(before[place] === 0)
      sum += difference
      squares += difference * difference
    })
    const change = sum / games
    const error = Math.sqrt(Math.max(0, squares - games * change * change) / (games - 1) / games)
    const interval: [number, number] = [change - Z * error, change + Z * error]
    return { ...step, change, interval, told: interval[0] > 0 || interval[1] < 0 }
  })
}
