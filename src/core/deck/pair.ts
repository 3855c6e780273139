/** What is printed on a card's front. `ink` and `paper` are #rrggbb; `alt` is what a screen reader says. */
export type Face = { alt?: string; ink?: string; paper?: string } & (
  { kind: 'picture'; name: string } | { kind: 'image'; src: string } | { kind: 'text'; text: string }
)

/** An entry of the deck. Without `b` it is identical: the same face twice. */
export type Pair = { id: string; name: string; tags?: string[]; a: Face; b?: Face }
