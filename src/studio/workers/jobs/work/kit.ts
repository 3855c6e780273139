import readme from '../../../../../docs/kit.md?raw'
import shuffle from '../../../../../docs/shuffle.md?raw'
import type { Game } from '../../../../core/game/game.ts'
import type { Result } from '../../../../core/result.ts'
import type { Atlas, KitCard, KitOptions } from '../../../../ship/kit/cards.ts'
import { kitFiles, type KitParts } from '../../../../ship/kit/files.ts'
import type { Report } from './messages.ts'

/** All files of a kit but its images. */
export const writeKit = (
  {
    game,
    laid,
    options,
    parts,
  }: {
    game: Game
    laid: { cards: KitCard[]; atlas: Atlas }
    options: KitOptions
    parts: Omit<KitParts, 'docs'>
  },
  { progress }: Report,
): Result<Record<string, Uint8Array>> =>
  kitFiles(game, laid, options, { docs: { readme, shuffle }, ...parts }, progress)
