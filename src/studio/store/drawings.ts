import text from '../../../dist/player/drawings.json?raw'
import type { Drawings } from '../../player/element.ts'

/** The drawings on the player's buttons: what a table in the studio shows, and what goes into a shipped page. */
export const drawings = JSON.parse(text) as Drawings
