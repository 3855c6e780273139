import { pictureWords } from '../../core/deck/picture-words.ts'
import { fileOfApp } from './faults.ts'

/** The picture library as the studio has it: files beside the app, loaded on demand. */

export const pictureUrl = (name: string): string => `/pictures/${encodeURIComponent(name)}.svg`

/**
 * The same at low resolution, for places with many small pictures: for the browser an SVG is a whole document, and
 * hundreds of them block the page.
 */
export const smallPictureUrl = (name: string): string => `/pictures/small/${encodeURIComponent(name)}.webp`

/** The SVG text of a picture, or null if the library has none of that name. */
export async function pictureText(name: string): Promise<string | null> {
  const answer = await fileOfApp(pictureUrl(name))
  if (answer.status === 404) return null
  if (!answer.ok) throw new Error(`the picture "${name}" could not be loaded (${answer.status})`)
  return answer.text()
}

export type Picture = { name: string; words: string; kind: string }

let index: Promise<Picture[]> | null = null

/** Names and kinds of all pictures, loaded once. */
export function pictureIndex(): Promise<Picture[]> {
  index ??= fileOfApp('/pictures/index.json')
    .then((answer) => answer.json() as Promise<[string, string][]>)
    .then((entries) => entries.map(([name, kind]) => ({ name, kind, words: pictureWords(name) })))
    .catch((error: unknown) => {
      index = null
      throw error
    })
  return index
}

/**
 * The pictures that match every word of a query, best first: a whole word of the name, then the start of one, then any
 * part of a name, then its kind. An empty query gives all, in order.
 */
export function searchPictures(pictures: readonly Picture[], query: string): Picture[] {
  const searchWords = query.toLowerCase().split(/\s+/).filter(Boolean)
  if (!searchWords.length) return [...pictures]
  const points = (picture: Picture): number => {
    const words = picture.words.split(' ')
    let sum = 0
    for (const word of searchWords) {
      if (words.includes(word)) sum += 8
      else if (words.some((one) => one.startsWith(word))) sum += 4
      else if (picture.words.includes(word)) sum += 2
      else if (picture.kind.toLowerCase().includes(word)) sum += 1
      else return 0
    }
    return sum - words.length / 100
  }
  return pictures
    .map((picture) => ({ picture, points: points(picture) }))
    .filter((found) => found.points > 0)
    .sort((a, b) => b.points - a.points)
    .map((found) => found.picture)
}
