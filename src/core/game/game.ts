import type { Back } from '../settings/back.ts'
import type { Pair } from '../deck/pair.ts'
import type { Check } from '../play/record.ts'
import type { Level } from '../settings/levels.ts'
import type { Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'
import type { Texts } from '../texts/own.ts'

/** The one document: deck, house rules, levels. Files hold it together with `format` and `version`. */
export type Game = {
  id: string
  title: string
  deck: { back: Back; pairs: Pair[] }
  house: Settings
  levels: Level[]
  /** played games that must come out the same after every change */
  checks?: Check[]
  /** its own simulated players, besides those that every game has */
  minds?: Mind[]
  /** the languages it is shipped in, and what it says its own way; English alone if missing */
  texts?: Texts
  /** lines of its author's own in the credits */
  credits?: string[]
}
