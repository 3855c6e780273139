import type { Event } from '../core/play/events.ts'
import { element } from './element.ts'
import type { Hud } from './hud.ts'
import { playSound, soundOf } from './sound.ts'
import type { Table } from './table.ts'
import { shown, spoken } from './words.ts'

/** Tells what happens on the table: by sound, in words under the board, and in words for those who listen. */
export function newAnnouncer(table: Table, hud: Hud) {
  const live = element('p', 'lt-hidden')
  live.setAttribute('role', 'status')
  const audible = (): boolean => table.sound && table.settings.look.sounds

  /** A new round lies on the table. */
  function dealt(): void {
    const looks = table.settings.turn.firstLook > 0
    hud.say(looks ? 'look well…' : '', 'plain')
    live.textContent = looks ? 'Look: all cards lie face up for a moment.' : ''
    if (audible()) playSound('deal')
  }
  function tell(events: readonly Event[]): void {
    const words: string[] = []
    for (const event of events) {
      const sound = soundOf(event)
      if (sound && audible()) playSound(sound)
      const word = spoken(table, event)
      if (word) words.push(word)
      const line = shown(event)
      if (line) hud.say(line.text, line.tone)
    }
    if (words.length) live.textContent = words.join(' ')
  }
  /** What was said last is no longer so. */
  const hush = (): void => hud.say('', 'plain')

  return { live, dealt, tell, hush }
}
