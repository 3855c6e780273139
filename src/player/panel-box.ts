import { element } from './element.ts'

/**
 * A panel over the board until one of its buttons is pressed: a title, a text, its buttons, and below them those that
 * are seldom needed.
 */
export function panel(
  title: string | Node,
  body: Node[],
  buttons: HTMLElement[],
  more: HTMLElement[] = [],
): HTMLElement {
  const heading = element('h2', 'lt-panel-title', title)
  heading.id = 'lt-panel-title'
  const box = element('div', 'lt-panel', heading, ...body, element('div', 'lt-panel-buttons', ...buttons))
  if (more.length) box.append(element('div', 'lt-panel-more', ...more))
  box.setAttribute('role', 'dialog')
  box.setAttribute('aria-modal', 'true')
  box.setAttribute('aria-labelledby', heading.id)
  return box
}
