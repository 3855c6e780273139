import type { Game } from '../../core/game/game.ts'

/** Parts of games never change, so that what has been written out once holds for as long as a part is known. */
const written = new WeakMap<object, string>()

function textOfPart(part: object): string {
  let text = written.get(part)
  if (text === undefined) {
    text = JSON.stringify(part)
    written.set(part, text)
  }
  return text
}

/** A game as JSON, as it is stored: of a large one that is saved after every edit only what was changed is written out anew. */
export function textOfGame({ id, title, deck, house, levels, checks }: Game): string {
  const back = JSON.stringify(deck.back)
  return (
    `{"id":${JSON.stringify(id)},"title":${JSON.stringify(title)},` +
    `"deck":{"back":${back},"pairs":${textOfPart(deck.pairs)}},"house":${textOfPart(house)},` +
    `"levels":[${levels.map(textOfPart).join(',')}]${checks ? `,"checks":${textOfPart(checks)}` : ''}}`
  )
}
