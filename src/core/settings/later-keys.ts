import { DEFAULTS, LATER_DEFAULTS, SECTIONS, type Section, type Settings } from './settings.ts'

type Keys = Record<string, unknown>

/** Keys of a section that came after version 1.0.0: house rules without one have its default. */
export const laterKeys = (section: Section): string[] =>
  Object.keys((LATER_DEFAULTS as { [S in Section]?: Keys })[section] ?? {})

/** House rules from before a key came, with its default; complete ones as they are. */
export function withLaterKeys(house: Settings): Settings {
  const sections = SECTIONS.filter((section) =>
    laterKeys(section).some((key) => !Object.hasOwn(house[section], key)),
  )
  if (!sections.length) return house
  // the defaults first, for the order in which a file has its keys
  const whole = sections.map((section) => [section, { ...DEFAULTS[section], ...house[section] }])
  return { ...house, ...(Object.fromEntries(whole) as Partial<Settings>) }
}

/** House rules without the later keys that have their default, as a shipped page holds them. */
export function withoutLaterDefaults(house: Settings): Settings {
  const sections = Object.entries(house).map(([section, keys]: [string, Keys]) => {
    const later = laterKeys(section as Section)
    const defaults = DEFAULTS[section as Section] as Keys
    const isSaid = ([key, value]: [string, unknown]): boolean =>
      !later.includes(key) || JSON.stringify(value) !== JSON.stringify(defaults[key])
    return [section, Object.fromEntries(Object.entries(keys).filter(isSaid))]
  })
  return Object.fromEntries(sections) as Settings
}
