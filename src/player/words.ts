import { pairOf } from '../core/deck/card.ts'
import { faceOnCard, faceWords } from '../core/deck/face.ts'
import { cellName } from '../core/board/cells.ts'
import { markOf } from '../core/board/marks.ts'
import { languagesOf } from '../core/game/in-language.ts'
import type { Event } from '../core/play/events.ts'
import type { RoundResult } from '../core/play/result.ts'
import type { MessageKey } from '../core/texts/messages.ts'
import type { Speech } from '../core/texts/speech.ts'
import { playerNames, type Table } from './table.ts'

/** Everything the table says, in words of its language. */

/** The language of a name in a game: the table's, or the game's first where the table's has no such name. */
export const languageOf = ({ game, speech }: Table, name: string): string =>
  JSON.stringify(game.texts?.own[speech.language] ?? '').includes(JSON.stringify(name))
    ? speech.language
    : languagesOf(game)[0]

/** What a card is called: the mark on its back, or its cell. */
function nameOf({ settings, round }: Table, cell: number): string {
  const { look, board } = settings
  return markOf(look.marks, round?.cells ?? [], cell, board.columns) ?? cellName(cell, board.columns)
}

/** What the card in a cell shows, in words. */
export function cardWords(table: Table, cell: number): string {
  const card = table.round!.cells[cell]!
  const { pairs } = table.game.deck
  return faceWords(faceOnCard(card, pairs), pairs[pairOf(card)]!.name)
}

/** The accessible name of a card: its cell, and what it shows only while that can be seen (`open`: in a first look). */
export function cardLabel(table: Table, cell: number, open = false): string {
  const { say } = table.speech
  const name = nameOf(table, cell)
  const shows = (key: MessageKey): string => say(key, { cell: name, face: cardWords(table, cell) })
  switch (table.round!.states[cell]) {
    case 'up':
      return shows('faceUp')
    case 'matched':
      return shows('matched')
    case 'gone':
      return say('taken', { cell: name })
    case null:
      return say('noCard', { cell: name })
    default:
      return open ? shows('faceUp') : say('faceDown', { cell: name })
  }
}

/** A text without the stop at its end, for a place where one follows. */
const unstopped = (text: string): string => text.replace(/[.。]$/, '')

/** Events that come often and of which little depends: they are announced once a second at most. */
export const isMinor = ({ kind }: Event): boolean => kind === 'settled' || kind === 'refused'

/** What a screen reader hears of an event; empty if it is not announced. */
export function eventWords(table: Table, event: Event): string {
  const { say } = table.speech
  switch (event.kind) {
    case 'flip':
      return say('flipped', {
        cell: nameOf(table, event.cell),
        face: unstopped(cardWords(table, event.cell)),
      })
    case 'match':
      return say(event.how === 'lucky' ? 'matchByLuck' : event.how === 'glimpsed' ? 'matchFromLook' : 'match')
    case 'miss':
      return say('miss')
    case 'life-lost':
      return say('livesLeft', { n: event.left })
    case 'first-look-over':
      return say('allDown')
    case 'passed':
      return say('nextTurn', { name: playerNames(table)[event.to]! })
    case 'won': {
      const face = table.settings.look.behind?.alt
      const won = say(table.round!.seats ? 'allFound' : 'won')
      return face ? `${won} – ${say('behind', { face: unstopped(face) })}` : won
    }
    case 'lost':
      return lostWords(table.speech, event.by)
    case 'turned-back':
      return say('turnedBack')
    case 'settled':
      return event.to === 'down' ? say('turnedBack') : ''
    case 'refused':
      // how the card lies says why it did not turn
      return cardLabel(table, event.cell, event.reason === 'first-look')
    default:
      return ''
  }
}

/** The short line under the board. `tone` picks its colour and sign. */
export function eventLine(
  { say }: Speech,
  event: Event,
): { text: string; tone: 'luck' | 'good' | 'plain' } | null {
  switch (event.kind) {
    case 'match':
      if (event.how === 'lucky') return { text: say('luckyPair'), tone: 'luck' }
      if (event.how === 'glimpsed') return { text: say('wellSpotted'), tone: 'good' }
      return {
        text: event.streak > 1 ? say('inARow', { n: event.streak }) : say('remembered'),
        tone: 'good',
      }
    case 'miss':
      return { text: say(event.how === 'slip' ? 'seenBefore' : 'notAPair'), tone: 'plain' }
    case 'first-look-over':
    case 'turned-back':
    case 'flip':
      return { text: '', tone: 'plain' }
    default:
      return null
  }
}

export const lostWords = ({ say }: Speech, by: 'lives' | 'turns' | 'clock'): string =>
  say(by === 'lives' ? 'noLivesLeft' : by === 'turns' ? 'noTurnsLeft' : 'timeIsUp')

/** The lucky matches and slips of a finished round, in friendly words. */
export function tale({ say }: Speech, { glimpsed, lucky, slips }: RoundResult): string {
  const luck =
    glimpsed > 0
      ? say('keptFromLook', { n: glimpsed })
      : lucky === 0
        ? say('noLuck')
        : say('luckyPairs', { n: lucky })
  return slips === 0 ? say('noSlip', { luck }) : say('slips', { luck, n: slips })
}
