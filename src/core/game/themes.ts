import { wcagContrast } from 'culori'
import type { Settings } from './settings.ts'

/** What a theme says of the table; a level that takes one says it as its own. */
export type Theme = { name: string; look: Pick<Settings['look'], 'table' | 'shape'> }

/** Ready looks of our own, each dark enough for what is written on the table. */
export const THEMES: readonly Theme[] = [
  { name: 'Evening bench', look: { table: '#383a63', shape: 'portrait' } },
  { name: 'Boiler room', look: { table: '#5a2f24', shape: 'portrait' } },
  { name: 'Signal box', look: { table: '#1e4a4d', shape: 'landscape' } },
  { name: 'Kiln yard', look: { table: '#5c3b1c', shape: 'square' } },
  { name: 'Slate roof', look: { table: '#37424d', shape: 'portrait' } },
  { name: 'Mulberry felt', look: { table: '#4d2748', shape: 'portrait' } },
]

/** What is written on the table is in this colour; it wants so much contrast at least (WCAG 2, level AA). */
export const TABLE_INK = '#fffdf8'
export const LEAST_CONTRAST = 4.5

/** The contrast of writing on a table of this colour (#rrggbb), 1 to 21. The table is nowhere lighter than its colour. */
export const tableContrast = (table: string): number => wcagContrast(TABLE_INK, table)
