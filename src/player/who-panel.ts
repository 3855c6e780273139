import { LENGTHS } from '../core/settings/bounds.ts'
import type { Keep } from './best.ts'
import { button, element } from './element.ts'
import { MINDS_PLAY } from './minds-play.ts'
import { panel } from './panel-box.ts'
import { givenNames, type Table } from './table.ts'

/** Names kept in the player's browser; unreadable data counts as none. */
export function readNames(keep: Keep | null): string[] {
  try {
    const stored: unknown = JSON.parse(keep?.read() || '[]')
    return Array.isArray(stored)
      ? stored.map((name) => (typeof name === 'string' ? name.trim().slice(0, LENGTHS.player) : ''))
      : []
  } catch {
    return []
  }
}

/** Asks before the game who sits where. An empty field leaves the game's own name. */
export function whoPanel(table: Table, name: (names: string[]) => void): HTMLElement {
  const fields = givenNames(table).map((name, at) => {
    const field = element('input', 'lt-name')
    field.maxLength = LENGTHS.player
    field.placeholder = name
    field.value = table.ownNames[at] ?? ''
    field.autocomplete = 'off'
    const label = element('label', 'lt-who', element('span', '', name), field)
    if (MINDS_PLAY && table.settings.players.minds[at]) label.style.display = 'none'
    return { field, label }
  })
  const start = button(
    'lt-button lt-main',
    table.speech.say('begin'),
    () => name(fields.map(({ field }) => field.value.trim())),
    'play',
  )
  for (const { field } of fields)
    field.addEventListener('keydown', (event) => {
      if (event.key === 'Enter') start.click()
    })
  return panel(
    table.speech.say('whoPlays'),
    fields.map(({ label }) => label),
    [start],
  )
}
