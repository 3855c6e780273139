import type { Page } from '@playwright/test'

export function keepAsBefore(page: Page, address: string, games: unknown[]): Promise<void>
