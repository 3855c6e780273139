import { prepareDeal } from '../deal/deal.ts'
import type { Playable } from '../odds/games.ts'
import type { Own } from '../settings/levels.ts'
import type { Memory, Mind } from '../settings/mind.ts'
import { pairsNamed, settingsWith } from './games.ts'

/** A level of this many different pairs on two rows, ready to be played. */
export function levelOf(pairs: number, own: Own = {}): Playable {
  const settings = settingsWith({ board: { rows: 2, columns: pairs }, ...own })
  const dealer = prepareDeal(pairsNamed(pairs), settings)
  if (!dealer.ok) throw new Error(dealer.problem.message)
  return { settings, dealer: dealer.value }
}

/** A memory that forgets nothing and never looks at the first look. */
export const PERFECT: Memory = { notice: 1, hold: null, fade: 0, blur: 0, glance: 0 }

/** A mind that forgets nothing, except as given, and thinks for 1 s and 0.5 s. */
export const mindWith = (memory: Partial<Memory>, pace: Partial<Mind['pace']> = {}): Mind => ({
  id: 'one',
  name: 'One',
  memory: { ...PERFECT, ...memory },
  pace: { first: 1000, second: 500, spread: 0, ...pace },
})
