import { element } from './element.ts'

/** A panel over the board until one of its buttons is pressed: a title, a text, and its buttons. */
export function panel(title: string, body: Node[], buttons: HTMLElement[]): HTMLElement {
  const heading = element('h2', 'lt-panel-title', title)
  heading.id = 'lt-panel-title'
  const box = element('div', 'lt-panel', heading, ...body, element('div', 'lt-panel-buttons', ...buttons))
  box.setAttribute('role', 'dialog')
  box.setAttribute('aria-modal', 'true')
  box.setAttribute('aria-labelledby', heading.id)
  return box
}
