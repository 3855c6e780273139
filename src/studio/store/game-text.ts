import type { Game } from '../../core/game/game.ts'

/** Parts of games never change, so that what has been written out once holds for as long as a part is known. */
const written = new WeakMap<object, string>()

function textOfPart(part: object): string {
  let text = written.get(part)
  if (text === undefined) {
    text = plainJson(part)
    written.set(part, text)
  }
  return text
}

/** JSON of ASCII letters alone: to the browser such text is half as long. */
const plainJson = (value: unknown): string =>
  JSON.stringify(value).replaceAll(
    /[^\0-\x7f]/g,
    (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`,
  )

/** A game as JSON, as it is stored: of a large one that is saved after every edit only what was changed is written out anew. */
export function textOfGame({ id, title, deck, house, levels, checks }: Game): string {
  const back = plainJson(deck.back)
  return (
    `{"id":${plainJson(id)},"title":${plainJson(title)},` +
    `"deck":{"back":${back},"pairs":${textOfPart(deck.pairs)}},"house":${textOfPart(house)},` +
    `"levels":[${levels.map(textOfPart).join(',')}]${checks ? `,"checks":${textOfPart(checks)}` : ''}}`
  )
}
