import type { Level } from '../core/settings/levels.ts'
import type { Language } from '../core/texts/languages.ts'
import type { CreditPart } from '../core/texts/credit-part.ts'
import type { Table } from './table.ts'

/** What a page around the table offers besides playing; the studio's tables have none. */
export type PageOffers = {
  /** begins with a panel that tells how to play */
  opening: boolean
  /** the languages to choose from, and what happens when one is chosen */
  languages: readonly Language[]
  speak(language: Language): void
  credits: readonly CreditPart[]
  /** where the player may leave to, if anywhere */
  leave?: () => void
}

/** What the buttons of a panel do. */
export type PanelActs = {
  resume(): void
  again(): void
  /** a round of a level; without a seed, the level's own rule gives it */
  deal(level: Level, seed?: string): void
  close(): void
  /** ends the opening panel */
  begin(): void
  open(panel: Table['panel']): void
  /** what the page around the table offers */
  page?: PageOffers
  /** takes the names that the players give themselves, by their place at the table */
  name(names: string[]): void
  /** makes the panel small, or full size again; out: whether it is small now */
  peek(): boolean
}
