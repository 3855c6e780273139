import type { Settings } from '../settings/settings.ts'

/** The settings for players whom nothing stops before the board is cleared: no clock, no lives, no turn limit. */
export const unlimited = (settings: Settings): Settings => ({
  ...settings,
  clock: { ...settings.clock, mode: 'off' },
  limits: { ...settings.limits, lives: null, turns: null },
})
