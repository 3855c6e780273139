import { ART_SHARE, faceWords } from '../core/deck/face.ts'
import { textSize } from '../core/deck/fit-text.ts'
import type { Face } from '../core/deck/pair.ts'
import { pictureTitle } from '../core/deck/picture-words.ts'

/** Where to get the picture with a library name: a path in the studio, a data URL in a shipped game. */
export type Art = (name: string) => string

/** The element that shows a face; its size comes from the card around it. Text never becomes HTML. */
export function faceElement(
  face: Face,
  art: Art,
  ratio: number,
  decoding: 'sync' | 'async' = 'sync',
): HTMLElement {
  const box = document.createElement('span')
  box.className = `lt-face lt-face-${face.kind}`
  if (face.paper) box.style.setProperty('--face-paper', face.paper)
  if (face.ink) box.style.setProperty('--face-ink', face.ink)
  if (face.kind === 'text') {
    box.append(textElement(face.text, ratio))
  } else {
    const image = document.createElement('img')
    image.src = face.kind === 'picture' ? art(face.name) : face.src
    image.alt = ''
    image.style.width = image.style.height = `${ART_SHARE[face.kind] * 100}%`
    // on the table a face must be there as its card turns; elsewhere it can load later
    image.decoding = decoding
    image.draggable = false
    // a picture that cannot be drawn is replaced by its words
    image.onerror = () => {
      box.className = 'lt-face lt-face-text'
      box.replaceChildren(
        textElement(faceWords(face, face.kind === 'picture' ? pictureTitle(face.name) : '?'), ratio),
      )
    }
    box.append(image)
  }
  return box
}

function textElement(words: string, ratio: number): HTMLElement {
  const text = document.createElement('span')
  text.className = 'lt-text'
  text.textContent = words
  const { byWidth, byHeight } = textSize(words, ratio)
  text.style.setProperty('--by-width', `${(byWidth * 100).toFixed(2)}cqw`)
  text.style.setProperty('--by-height', `${(byHeight * 100).toFixed(2)}cqh`)
  return text
}
