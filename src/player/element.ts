/** A new element with a class and children; strings become text, never HTML. */
export function element<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  name = '',
  ...children: (Node | string)[]
): HTMLElementTagNameMap[K] {
  const made = document.createElement(tag)
  if (name) made.className = name
  made.append(...children)
  return made
}

/** A drawing that is part of the player's own code. */
export function icon(svg: string): HTMLElement {
  const box = element('span', 'lt-icon')
  box.setAttribute('aria-hidden', 'true')
  box.innerHTML = svg
  return box
}

/** A button with a label, an optional icon in front, and what it does. */
export function button(name: string, label: string, press: () => void, svg?: string): HTMLButtonElement {
  const made = element('button', name)
  made.type = 'button'
  if (svg) made.append(icon(svg))
  if (svg && name.includes('lt-round')) made.setAttribute('aria-label', label)
  else made.append(label)
  made.addEventListener('click', press)
  return made
}
