import type { Face } from '../core/game/game.ts'
import { fitText } from './fit-text.ts'

/** Where the picture of a library name is to be had: a path in the studio, a data URL in a shipped game. */
export type Art = (name: string) => string

/** What a face shows, in words. */
export function faceWords(face: Face, name: string): string {
  if (face.alt) return face.alt
  return face.kind === 'text' ? face.text : name
}

/** The element that shows a face; its size comes from the card around it. Text never becomes HTML. */
export function faceElement(face: Face, art: Art, ratio: number): HTMLElement {
  const box = document.createElement('span')
  box.className = `lt-face lt-face-${face.kind}`
  if (face.paper) box.style.setProperty('--face-paper', face.paper)
  if (face.ink) box.style.setProperty('--face-ink', face.ink)
  if (face.kind === 'text') {
    const text = document.createElement('span')
    text.className = 'lt-text'
    text.textContent = face.text
    const { lines, width } = fitText(face.text, ratio)
    text.style.setProperty('--lines', String(lines))
    text.style.setProperty('--width', width.toFixed(2))
    box.append(text)
  } else {
    const image = document.createElement('img')
    image.src = face.kind === 'picture' ? art(face.name) : face.src
    image.alt = ''
    image.decoding = 'sync'
    image.draggable = false
    box.append(image)
  }
  return box
}
