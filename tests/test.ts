import { test as base, type BrowserContext, type CDPSession } from '@playwright/test'
import { beenHere } from '../scripts/tools/been-here.mjs'

const reduced = (motion: boolean) => (motion ? 'no-preference' : 'reduce')

type Shared = { context: BrowserContext; session: CDPSession }

/**
 * Tests of one worker share a browser context, wiped between them: what the browser has loaded and compiled once serves
 * all. A file whose tests need their own, as those about storage do, says `test.use({ own: true })`. So must those that
 * open pages from files: all such pages share one origin, and what a process of it keeps right after a wipe can be
 * lost.
 *
 * Most tests ask for less motion, as a user can: then no frames are drawn of dialogs that fade. A file about what moves
 * says `test.use({ motion: true })`.
 */
export const test = base.extend<{ own: boolean }, { motion: boolean; shared: Shared }>({
  own: [false, { option: true }],
  motion: [false, { option: true, scope: 'worker' }],
  shared: [
    async ({ browser, motion }, use, { project }) => {
      const { baseURL, viewport } = project.use
      const context = await browser.newContext({ baseURL, viewport, reducedMotion: reduced(motion) })
      await beenHere(context)
      const keeper = await context.newPage()
      await use({ context, session: await context.newCDPSession(keeper) })
      await context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ shared, own, motion, browser, baseURL }, use) => {
    if (own) {
      const fresh = await browser.newContext({ reducedMotion: reduced(motion) })
      await use(fresh)
      return fresh.close()
    }
    const { context, session } = shared
    const [keeper] = context.pages()
    await use(context)
    // lent pages and servers of a test's own have origins of their own
    const origins = context
      .pages()
      .flatMap((page) => page.frames())
      .map((frame) => frame.url())
      .filter((url) => url.startsWith('http'))
      .map((url) => new URL(url).origin)
    for (const page of context.pages()) if (page !== keeper) await page.close()
    await context.clearPermissions()
    for (const origin of new Set([baseURL!, ...origins]))
      await session.send('Storage.clearDataForOrigin', {
        origin,
        storageTypes: 'indexeddb,local_storage,cache_storage',
      })
  },
})
