import type { BrowserContext, Page } from '@playwright/test'

export function beenHere(pageOrContext: Page | BrowserContext): Promise<unknown>
