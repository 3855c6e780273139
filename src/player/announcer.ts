import type { Event } from '../core/play/events.ts'
import { isOver } from '../core/play/round.ts'
import { LAST_SECONDS, timeLeft } from '../core/play/clock.ts'
import { element } from './element.ts'
import type { Hud } from './hud.ts'
import { playSound, prepareSounds, soundOf } from './sound.ts'
import type { Table } from './table.ts'
import { eventLine, eventWords, isMinor } from './words.ts'

/** ms */
const SECOND = 1000

/** Announces what happens on the table: by sound, in words under the board, and in words for screen readers. */
export function newAnnouncer(table: Table, hud: Hud) {
  const live = element('p', 'lt-hidden')
  live.setAttribute('role', 'status')
  let second = Infinity
  /** when something minor was announced last */
  let minorAt = -SECOND
  const isFirstLook = (): boolean => table.round?.phase === 'first-look'

  /** A new round lies on the table, or the problem that it cannot be dealt. */
  function announceDeal(): void {
    hud.say(isFirstLook() ? table.speech.say('lookWell') : '', 'plain')
    live.textContent = ''
    second = Infinity
    prepareSounds(table.settings)
    if (table.sound) playSound('deal', table.settings)
  }
  /** No panel lies over the table: a first look is told as it runs. */
  function looks(): void {
    if (isFirstLook()) live.textContent = table.speech.say('lookNow')
  }
  function tell(events: readonly Event[]): void {
    const words: string[] = []
    for (const event of events) {
      const sound = soundOf(event, table.settings.sound)
      if (sound && table.sound) playSound(sound, table.settings)
      const word = eventWords(table, event)
      const now = performance.now()
      if (word && !(isMinor(event) && now - minorAt < SECOND)) {
        words.push(word)
        if (isMinor(event)) minorAt = now
      }
      const line = eventLine(table.speech, event)
      if (line) hud.say(line.text, line.tone)
    }
    if (words.length) live.textContent = words.join(' ')
  }
  /** A clock that runs out ticks, once a second. */
  function watchClock(): void {
    const { round } = table
    const msLeft = round && !isOver(round) && round.phase !== 'paused' ? timeLeft(round) : null
    if (msLeft === null) return
    const now = Math.ceil(msLeft / 1000)
    if (now < second && msLeft <= LAST_SECONDS && msLeft > 0 && table.sound)
      playSound('lastSeconds', table.settings)
    second = now
  }
  /** The last message no longer holds. */
  const hush = (): void => hud.say('', 'plain')

  /** No card has the mark that was typed. */
  function noMark(mark: string): void {
    const words = table.speech.say('noMark', { mark })
    hud.say(words, 'plain')
    live.textContent = words
  }

  return { live, noMark, dealt: announceDeal, looks, tell, watchClock, hush }
}
