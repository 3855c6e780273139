import type { Pattern } from './back.ts'

/** What is printed on a card's front. `ink` and `paper` are #rrggbb; `alt` is what a screen reader says. */
export type Face = { alt?: string; ink?: string; paper?: string } & (
  { kind: 'picture'; name: string } | { kind: 'image'; src: string } | { kind: 'text'; text: string }
)

/** An entry of the deck. Without `b` it is identical: the same face twice. */
export type Pair = { id: string; name: string; tags?: string[]; a: Face; b?: Face }

/** The middle of a back: a library picture, or an own image. */
type Emblem = { kind: 'picture'; name: string } | { kind: 'image'; src: string }

/** A colour laid over an own image on the back; `strength` in percent: at 100 the image is hidden. */
type Tint = { colour: string; strength: number }

/**
 * What every card shows face down: a pattern in two colours, an emblem on it, or an own image over the whole back,
 * which may be tinted.
 */
export type Back = {
  pattern: Pattern
  ink: string
  paper: string
  emblem?: Emblem
  image?: string
  tint?: Tint
}
