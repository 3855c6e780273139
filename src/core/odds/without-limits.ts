import type { Settings } from '../settings/settings.ts'

/**
 * The settings for players whom nothing stops before the board is cleared: no lives, no turn limit, no time limit. A
 * clock that counts up stays, since bonus and penalty move the time used.
 */
export const withoutLimits = (settings: Settings): Settings => ({
  ...settings,
  clock: { ...settings.clock, mode: settings.clock.mode === 'up' ? 'up' : 'off' },
  limits: { ...settings.limits, lives: null, turns: null },
})
