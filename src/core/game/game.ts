import type { Back, Pair } from '../deck/pair.ts'
import type { Check } from '../play/record.ts'
import type { Level } from '../settings/levels.ts'
import type { Mind } from '../settings/mind.ts'
import type { Settings } from '../settings/settings.ts'

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
}
