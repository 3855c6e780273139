import type { Page } from '@playwright/test'
import type { storedGame } from './stored-game.ts'

export function putGames(page: Page, address: string, games: ReturnType<typeof storedGame>[]): Promise<void>
