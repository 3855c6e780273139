/** What the studio and the server tell each other about pages that are lent to devices nearby. */

/**
 * How many pages are lent at a time, how large one may be, in bytes, for how long, in ms, and how many of the devices
 * that opened it are remembered.
 */
export const LENDING = {
  pages: 20,
  bytes: 16 * 2 ** 20,
  time: 8 * 3_600_000,
  openers: 50,
} as const

/**
 * A device that opened a lent page: its address, what its browser says of itself, and when it last did, in ms since
 * 1970.
 */
export type Opener = { address: string; browser: string; at: number }

/** A page that is lent, under a token that cannot be guessed, until a time in ms since 1970. */
export type LentPage = { token: string; title: string; until: number; openers: Opener[] }

/**
 * How lending stands. `here`: the origin at which this machine itself opens lent pages. `nearby`: the origins at which
 * others reach them, one for each network and name; empty if the server was not started for that.
 */
export type Lending = { here: string; nearby: string[]; lent: LentPage[] }

/** The path of a lent page, after an origin. */
export const lentPath = (token: string): string => `/lend/${token}`
