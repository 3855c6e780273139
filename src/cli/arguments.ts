import { InvalidArgumentError } from 'commander'
import { LEVERS, type Lever } from '../core/odds/levers.ts'
import { BOUNDS } from '../core/settings/bounds.ts'

/** How the words of a call are read. What cannot be read is thrown, and the command ends with 2. */

/** Reads a whole number within bounds, both included. */
export const wholeNumber =
  ([low, high]: readonly [number, number]) =>
  (text: string): number => {
    const number = Number(text)
    if (!Number.isInteger(number) || number < low || number > high)
      throw new InvalidArgumentError(
        `a whole number from ${low} to ${high.toLocaleString('en')} is expected.`,
      )
    return number
  }
export const readCount = wholeNumber([1, 10_000_000])
export const readSide = wholeNumber([1, BOUNDS.cards[1]])

/** An option that may be given more than once. */
export const gather = (text: string, before: string[] = []): string[] => [...before, text]

export function readLever(text: string): Lever {
  if ((LEVERS as readonly string[]).includes(text)) return text as Lever
  throw new InvalidArgumentError(`one of ${LEVERS.join(', ')} is expected.`)
}

export function readShare(text: string): number {
  const share = Number(text)
  if (text.trim() === '' || !(share > 0 && share <= 1))
    throw new InvalidArgumentError('a share above 0, up to 1, is expected.')
  return share
}

/** What a game can be shipped as: how the name of that file ends, and what it is. */
export const SHIPPED_AS = {
  page: { ends: /\.html?$/i, what: 'the page is written as HTML; end its name in .html' },
  site: { ends: /\.zip$/i, what: 'the site is a zip; end its name in .zip' },
  engine: { ends: /\.tgz$/i, what: 'the engine is a package; end its name in .tgz' },
  project: { ends: /\.zip$/i, what: 'the project is a zip; end its name in .zip' },
  kit: { ends: /\.zip$/i, what: 'the kit is a zip; end its name in .zip' },
} as const
export type ShippedAs = keyof typeof SHIPPED_AS
