import type { Game } from '../../../core/game/game.ts'
import { gameFileName } from '../../../core/game/names.ts'

/** Saves a file to the user's downloads. */
export function download(name: string, content: BlobPart, type: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([content], { type }))
  link.download = name
  link.click()
  // by then the download has taken the content
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}

export async function downloadGame(game: Game): Promise<void> {
  const { writeGame } = await import('../../../core/files/game-file.ts')
  download(gameFileName(game), writeGame(game), 'application/json')
}
