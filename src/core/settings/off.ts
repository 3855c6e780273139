import type { Section, Settings } from './settings.ts'

/** A rule that can be off: its value then, and the keys of its section that only matter while it is on. */
type Off = { off: unknown; only?: readonly string[] }

/** The rules that can be off, by their place in the file format. */
const RULES_OFF = {
  'turn.firstLook': { off: 0 },
  'turn.matchLook': { off: 0 },
  'turn.missLook': { off: 0 },
  'turn.duringLook': { off: 'wait' },
  'turn.onOpen': { off: 'stay' },
  'clock.mode': { off: 'off', only: ['limit', 'startsAt'] },
  'clock.lookStopsClock': { off: false },
  'clock.matchBonus': { off: 0 },
  'clock.missPenalty': { off: 0 },
  'limits.lives': { off: null, only: ['livesLostOn'] },
  'limits.turns': { off: null },
  'score.match': { off: 0 },
  'score.streakStep': { off: 0, only: ['streakMax'] },
  'score.lucky': { off: 0 },
  'score.miss': { off: 0 },
  'score.slip': { off: 0 },
  'score.perSecondLeft': { off: 0 },
  'score.perLifeLeft': { off: 0 },
  'score.floorAtZero': { off: true },
  'score.stars': { off: null },
  'finish.wait': { off: 0 },
  'finish.rounds': { off: 'any' },
  'look.missMotion': { off: 'none', only: ['missStrength', 'missTime', 'missMoves'] },
  'look.celebration': { off: 'none' },
  'look.behind': { off: null },
  'look.marks': { off: 'none' },
  'look.back': { off: null },
} as const satisfies Record<string, Off>
export type RuleKey = keyof typeof RULES_OFF

/** Whether a rule is off by these settings. */
export function isOff(settings: Settings, rule: RuleKey): boolean {
  const [section, key] = rule.split('.') as [Section, string]
  return (settings[section] as Record<string, unknown>)[key] === RULES_OFF[rule].off
}

/** The keys that belong to a rule: its own, then those that only matter while it is on. */
export function keysOfRule(rule: RuleKey): readonly string[] {
  const { only = [] }: Off = RULES_OFF[rule]
  return [rule.split('.')[1]!, ...only]
}

/** The rule that this key of a section belongs to; null if there is none. */
export function ruleOf(section: Section, key: string): RuleKey | null {
  const name = `${section}.${key}`
  return Object.hasOwn(RULES_OFF, name) ? (name as RuleKey) : null
}

/** Keys that only matter with some ways of filling or dealing. */
const ONLY_WITH: Record<string, (settings: Settings) => boolean> = {
  'fill.use': ({ fill }) => fill.repeat !== 'counts',
  'fill.counts': ({ fill }) => fill.repeat === 'counts',
  'fill.pick': ({ fill }) => fill.repeat !== 'counts' && fill.repeat !== 'with-replacement',
  'deal.steps': ({ deal }) => deal.way === 'apart' || deal.way === 'close',
  'deal.arranged': ({ deal }) => deal.way === 'arranged',
}

/** Whether a key of a section changes anything by these settings: the rule that it belongs to is on. */
export function isInUse(settings: Settings, section: Section, key: string): boolean {
  const isOfOff = Object.entries<Off>(RULES_OFF).some(
    ([rule, { only }]) =>
      rule.startsWith(`${section}.`) && only?.includes(key) && isOff(settings, rule as RuleKey),
  )
  return !isOfOff && (ONLY_WITH[`${section}.${key}`]?.(settings) ?? true)
}
