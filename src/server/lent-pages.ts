import { randomBytes } from 'node:crypto'
import { LENDING, type LentPage } from '../core/files/lending.ts'

/** The pages that are lent, in memory only. */
export type LentPages = ReturnType<typeof newLentPages>

/** What a token looks like: 128 random bits. */
const TOKEN = { bytes: 16, form: /^[\w-]{22}$/ } as const

/** In: the time, in ms since 1970. */
export function newLentPages(now: () => number = Date.now) {
  const pages = new Map<string, LentPage & { html: string }>()
  const clear = (): void => {
    for (const [token, { until }] of pages) if (until <= now()) pages.delete(token)
  }
  const open = (token: string): (LentPage & { html: string }) | undefined => {
    clear()
    return TOKEN.form.test(token) ? pages.get(token) : undefined
  }

  return {
    /** Lends a page; null if there are too many already. */
    lend(title: string, html: string): string | null {
      clear()
      if (pages.size >= LENDING.pages) return null
      const token = randomBytes(TOKEN.bytes).toString('base64url')
      pages.set(token, { token, title, html, until: now() + LENDING.time, openers: [] })
      return token
    },
    /** Puts a newer page in the place of one that is lent. Out: whether it is still lent. */
    renew(token: string, title: string, html: string): boolean {
      const page = open(token)
      if (page) Object.assign(page, { title, html, until: now() + LENDING.time })
      return page !== undefined
    },
    /** The page itself, or null if it is not lent. */
    read: (token: string): string | null => open(token)?.html ?? null,
    /** Notes who opened a page; a device counts once. */
    note(token: string, address: string, browser: string): void {
      const page = open(token)
      if (!page) return
      const others = page.openers.filter((one) => one.address !== address || one.browser !== browser)
      page.openers = [{ address, browser, at: now() }, ...others].slice(0, LENDING.openers)
    },
    takeBack: (token: string): boolean => pages.delete(token),
    all(): LentPage[] {
      clear()
      return [...pages.values()].map(({ html: _, ...lent }) => lent)
    },
  }
}
