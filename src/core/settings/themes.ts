import { wcagContrast } from 'culori'
import { CARD_RATIOS, type DealIn, type Flip, type Settings } from './settings.ts'

/** What a theme sets for the table and its cards; a level that takes one sets it as its own. */
export type Theme = {
  name: string
  look: Pick<Settings['look'], 'table' | 'flip' | 'dealIn'>
  layout: Pick<Settings['layout'], 'ratio'>
}

const theme = (
  name: string,
  table: string,
  shape: keyof typeof CARD_RATIOS,
  flip: Flip,
  dealIn: DealIn,
): Theme => ({ name, look: { table, flip, dealIn }, layout: { ratio: CARD_RATIOS[shape] } })

/** Ready looks of our own, each dark enough for text on the table. */
export const THEMES: readonly Theme[] = [
  theme('Evening bench', '#383a63', 'portrait', 'turn', 'in-turn'),
  theme('Boiler room', '#5a2f24', 'portrait', 'tip', 'at-once'),
  theme('Signal box', '#1e4a4d', 'landscape', 'tip', 'in-turn'),
  theme('Kiln yard', '#5c3b1c', 'square', 'turn', 'from-middle'),
  theme('Slate roof', '#37424d', 'portrait', 'melt', 'lying'),
  theme('Mulberry felt', '#4d2748', 'portrait', 'turn', 'from-middle'),
]

/** The colour of text on the table; it needs at least this much contrast (WCAG 2, level AA). */
const TABLE_INK = '#fffdf8'
export const LEAST_CONTRAST = 4.5

/**
 * The contrast of text on a table of this colour (#rrggbb), 1 to 21. No part of the table is lighter than its colour.
 */
export const tableContrast = (table: string): number => wcagContrast(TABLE_INK, table)
