import type names from './drawings.json'

/** A new element with a class and children; strings become text, never HTML. */
export function element<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  name = '',
  ...children: (Node | string)[]
): HTMLElementTagNameMap[K] {
  const node = document.createElement(tag)
  if (name) node.className = name
  node.append(...children)
  return node
}

/**
 * The drawings on buttons as SVG, by what they mean: dist/player/drawings.json, which scripts/tools/player-drawings.mjs
 * writes.
 */
export type Drawings = Record<IconName, string>
export type IconName = keyof typeof names
let drawings: Partial<Drawings> = {}
/** Gives the drawings that `icon` shows. They are data of a page, not part of its script. */
export function useDrawings(given: Drawings): void {
  drawings = given
}

/** A drawing in the colour of the text around it. */
export function icon(name: IconName): HTMLElement {
  const box = element('span', 'lt-icon')
  box.setAttribute('aria-hidden', 'true')
  box.innerHTML = drawings[name] ?? ''
  return box
}

/** Calls `act` at each such event of a target. Out: what ends it. */
export function on<E extends Event>(target: EventTarget, type: string, act: (event: E) => void): () => void {
  target.addEventListener(type, act as (event: Event) => void)
  return () => target.removeEventListener(type, act as (event: Event) => void)
}

/** A button with a label, an optional icon in front, and what it does. */
export function button(
  name: string,
  label: string,
  press: () => void,
  drawing?: IconName,
): HTMLButtonElement {
  const node = element('button', name)
  node.type = 'button'
  if (drawing) node.append(icon(drawing))
  if (drawing && name.includes('lt-round')) node.setAttribute('aria-label', label)
  else node.append(label)
  node.addEventListener('click', press)
  return node
}
