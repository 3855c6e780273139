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

/** The drawings of icons.css. */
export const DRAWINGS = [
  'again',
  'clock',
  'credits',
  'heart',
  'image',
  'language',
  'leave',
  'levels',
  'mind',
  'next',
  'pause',
  'play',
  'silent',
  'sound',
  'star',
] as const
export type IconName = (typeof DRAWINGS)[number]

/** A drawing in the colour of the text around it. */
export function icon(name: IconName): HTMLElement {
  const box = element('span', `lt-icon lt-icon-${name}`)
  box.setAttribute('aria-hidden', 'true')
  return box
}

/** A button with a label, an optional icon in front, and what it does. */
export function button(
  name: string,
  label: string,
  press: () => void,
  drawing?: IconName,
): HTMLButtonElement {
  const made = element('button', name)
  made.type = 'button'
  if (drawing) made.append(icon(drawing))
  if (drawing && name.includes('lt-round')) made.setAttribute('aria-label', label)
  else made.append(label)
  made.addEventListener('click', press)
  return made
}
