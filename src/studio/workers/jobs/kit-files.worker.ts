import kit from '../../../../docs/kit.md?raw'
import shuffle from '../../../../docs/shuffle.md?raw'
import type { Game } from '../../../core/game/game.ts'
import type { Result } from '../../../core/result.ts'
import type { PlayerCredits } from '../../../ship/credits.ts'
import type { Atlas, KitCard, KitOptions } from '../../../ship/kit/cards.ts'
import { kitFiles } from '../../../ship/kit/files.ts'
import { answer } from './answer.ts'

export type KitFilesInput = {
  game: Game
  laid: { cards: KitCard[]; atlas: Atlas }
  options: KitOptions
  credits: PlayerCredits
}
export type KitFilesOutput = Result<Record<string, Uint8Array>>

/** All files of a kit but its images. */
answer<KitFilesInput, KitFilesOutput>(({ game, laid, options, credits }, progress) =>
  kitFiles(game, laid, options, { docs: { readme: kit, shuffle }, credits }, progress),
)
