import kit from '../../../../docs/kit.md?raw'
import shuffle from '../../../../docs/shuffle.md?raw'
import type { Game } from '../../../core/game/game.ts'
import type { Result } from '../../../core/result.ts'
import type { Atlas, KitCard, KitOptions } from '../../../ship/kit/cards.ts'
import { kitFiles, type KitParts } from '../../../ship/kit/files.ts'
import { answer } from './answer.ts'

export type KitFilesInput = {
  game: Game
  laid: { cards: KitCard[]; atlas: Atlas }
  options: KitOptions
  parts: Omit<KitParts, 'docs'>
}
export type KitFilesOutput = Result<Record<string, Uint8Array>>

/** All files of a kit but its images. */
answer<KitFilesInput, KitFilesOutput>(({ game, laid, options, parts }, progress) =>
  kitFiles(game, laid, options, { docs: { readme: kit, shuffle }, ...parts }, progress),
)
