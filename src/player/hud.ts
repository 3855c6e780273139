import { timeLeft, timeUsed } from '../core/play/clock.ts'
import { isWaitingForButton, isWaitingForPress } from '../core/play/machine.ts'
import { isOver, type Round } from '../core/play/round.ts'
import { button, element, icon, type IconName } from './element.ts'
import { figuresOf } from '../core/settings/figures.ts'
import type { Figure, Settings, TableButton } from '../core/settings/settings.ts'
import type { MessageKey } from '../core/texts/messages.ts'
import type { Best } from './best.ts'
import { MINDS_PLAY } from './minds-play.ts'
import { isOnlyRound, playerNames, type Table } from './table.ts'
import { languageOf } from './words.ts'

type FigureView = { box: HTMLElement; value: HTMLElement }
/** What the buttons do; those that can do nothing here are missing. */
export type HudActs = { [Button in TableButton]: (() => void) | undefined } & { turnBack(): void }

/** Title, clock, turns, lives, score and the buttons above the board; the turn-back button below it. */
export class Hud {
  readonly head: HTMLElement
  readonly bar = element('div', 'lt-limit')
  readonly foot: HTMLElement
  readonly #title = element('h2', 'lt-level-name')
  readonly #place = element('span', 'lt-level-place')
  readonly #game = element('span', 'lt-title')
  readonly #row = element('dl', 'lt-figures')
  /** those that were shown so far */
  readonly #figures: Partial<Record<Figure, FigureView>> = {}
  /** the round whose figures are shown */
  #shownFor: Round | null = null
  readonly #seats = element('ol', 'lt-seats')
  readonly #fill = element('div', 'lt-limit-fill')
  readonly #buttonRow = element('div', 'lt-buttons')
  #shownButtons = ''
  /** the settings whose buttons are shown */
  #buttonsFor: Settings | null = null
  /** those that were shown so far */
  readonly #buttons: Partial<Record<TableButton, HTMLButtonElement>> = {}
  readonly #turnBackButton: HTMLButtonElement
  readonly #line = element('p', 'lt-line')
  #last = new Map<HTMLElement, string>()
  private readonly table: Table

  constructor(
    table: Table,
    private readonly acts: HudActs,
    private readonly best: () => Best,
  ) {
    this.table = table
    const { say } = table.speech
    this.#turnBackButton = button('lt-button lt-turn-back', say('turnBack'), acts.turnBack)
    const name = element(
      'div',
      'lt-level',
      this.#game,
      element('div', 'lt-level-row', this.#title, this.#place),
    )
    this.head = element('header', 'lt-head', name, this.#buttonRow, this.#row, this.#seats)
    this.bar.append(this.#fill)
    this.#seats.setAttribute('aria-label', say('players'))
    this.bar.setAttribute('aria-hidden', 'true')
    this.#line.setAttribute('aria-hidden', 'true')
    this.foot = element('footer', 'lt-foot', this.#line, this.#turnBackButton)
  }

  say(text: string, tone: string): void {
    this.#line.textContent = tone === 'luck' ? `✦ ${text}` : text
    this.#line.dataset.tone = tone
  }

  draw(): void {
    const { table } = this
    const { say } = table.speech
    const { round, settings, game, level } = table
    const at = game.levels.indexOf(level) + 1
    this.#putName(this.#game, settings.head.title ? game.title : '')
    this.#putName(this.#title, settings.head.level ? level.name : '')
    this.#put(
      this.#place,
      settings.head.level && game.levels.length > 1 ? say('place', { at, all: game.levels.length }) : '',
    )
    this.#drawButtons()
    hide(this.#row, round === null)
    // a mind that plays on turns the cards back itself
    const isTheirs = MINDS_PLAY && table.seated?.haveTurn
    const button = !isTheirs && round !== null && isWaitingForButton(round)
    hide(this.#turnBackButton, !button)
    hide(this.#line, button || round?.phase === 'paused')
    if (!round) {
      hide(this.bar, true)
      hide(this.#seats, true)
      return
    }
    const remaining = timeLeft(round)
    this.#drawFigures(round, remaining)
    this.#drawSeats()
    hide(this.bar, remaining === null)
    if (remaining !== null)
      this.#fill.style.transform = `scaleX(${Math.min(1, remaining / settings.clock.limit).toFixed(4)})`
    if (!isTheirs && isWaitingForPress(round)) this.say(say('pressAnywhere'), 'plain')
  }

  /** The buttons that the level shows and that can do something, in its order. */
  #drawButtons(): void {
    const { table } = this
    const { settings, round } = table
    // this runs once a frame, and only a deal brings other settings
    if (this.#buttonsFor !== settings) {
      this.#buttonsFor = settings
      const names = settings.head.buttons.filter(
        (name) =>
          this.acts[name] &&
          !(name === 'sound' && !settings.sound.on) &&
          !((name === 'levels' || name === 'restart') && isOnlyRound(table)),
      )
      // what is replaced under a finger would swallow the press
      if (this.#shownButtons !== names.join()) {
        this.#shownButtons = names.join()
        this.#buttonRow.replaceChildren(...names.map((name) => this.#button(name)))
      }
    }
    const { sound, pause } = this.#buttons
    if (sound && sound.ariaPressed !== String(table.sound)) {
      sound.replaceChildren(icon(table.sound ? 'sound' : 'silent'))
      sound.setAttribute('aria-pressed', String(table.sound))
    }
    if (pause) pause.disabled = round === null || isOver(round)
  }

  #button(name: TableButton): HTMLButtonElement {
    const [key, drawing] = BUTTON_PARTS[name]
    return (this.#buttons[name] ??= button('lt-round', this.table.speech.say(key), this.acts[name]!, drawing))
  }

  #figure(name: Figure): FigureView {
    return (this.#figures[name] ??= newFigure(
      name,
      this.table.speech.say(FIGURE_KEYS[name]),
      FIGURE_ICONS[name],
    ))
  }

  /** The figures that the level shows, in its order. */
  #drawFigures(round: Round, msLeft: number | null): void {
    const { settings, level, speech } = this.table
    const { say, number, clock } = speech
    const figureList = figuresOf(settings)
    if (this.#shownFor !== round) {
      this.#shownFor = round
      this.#row.replaceChildren(...figureList.map((name) => this.#figure(name).box))
      this.#row.classList.toggle('lt-many', figureList.length > MANY)
      if (figureList.includes('best')) {
        const best = this.best()[level.id]
        this.#put(this.#figure('best').value, best ? number(best.score) : '–')
      }
    }
    const { lives, turns } = settings.limits
    const of = (value: number, most: number | null): string =>
      most === null ? number(value) : say('outOf', { n: value, most })
    // only the visible ones are worked out: this runs once a frame
    const texts: Record<Exclude<Figure, 'best'>, () => string> = {
      'time-left': () => (msLeft === null ? '' : clock(msLeft, true)),
      'time-used': () => clock(timeUsed(round), false),
      turns: () => of(round.turns, turns),
      flips: () => number(round.flips),
      'pairs-left': () => number(round.cards / 2 - round.matches),
      score: () => number(round.score),
      streak: () => number(round.streak),
      lives: () => of(round.lives ?? 0, lives),
    }
    for (const name of figureList) if (name !== 'best') this.#put(this.#figure(name).value, texts[name]())
    this.#figures['time-left']?.box.classList.toggle(
      'lt-short',
      msLeft !== null && msLeft <= 10_000 && !isOver(round),
    )
  }

  /** The players, with what each has won; the current player stands out, and is announced. */
  #drawSeats(): void {
    const { round } = this.table
    const names = playerNames(this.table)
    const { say } = this.table.speech
    const seats = round?.seats ?? []
    hide(this.#seats, seats.length === 0)
    while (this.#seats.children.length > seats.length) this.#seats.lastChild!.remove()
    while (this.#seats.children.length < seats.length) this.#seats.append(newSeat())
    seats.forEach(({ score, matches }, at) => {
      const seat = this.#seats.children[at] as HTMLElement
      const [name, turn, won] = [...seat.children] as HTMLElement[]
      const now = at === round!.player && !isOver(round!)
      this.#put(name!, names[at]!)
      this.#put(
        turn!,
        now
          ? ` (${say(MINDS_PLAY && this.table.settings.players.minds[at] ? 'playsNow' : 'yourTurn')}): `
          : ': ',
      )
      this.#put(won!, `${say('pairs', { n: matches })}, ${say('points', { n: score })}`)
      if (!now) seat.removeAttribute('aria-current')
      else if (!seat.hasAttribute('aria-current')) seat.setAttribute('aria-current', 'true')
    })
  }

  #putName(box: HTMLElement, name: string): void {
    if (this.#last.get(box) !== name) box.lang = languageOf(this.table, name)
    this.#put(box, name)
  }

  #put(box: HTMLElement, text: string): void {
    if (this.#last.get(box) === text) return
    this.#last.set(box, text)
    box.textContent = text
  }
}

/** Hides an element, or shows it; it is touched only when that changes, since each touch costs a frame its styles. */
const hide = (box: HTMLElement, hidden: boolean): void => {
  if (box.hidden !== hidden) box.hidden = hidden
}

/** A player at the table: name, whether it is their turn, what they have won. */
const newSeat = (): HTMLElement =>
  element(
    'li',
    'lt-seat',
    element('span', 'lt-seat-name'),
    element('span', 'lt-seat-turn'),
    element('span', 'lt-seat-won'),
  )

/** What each button is called, and its drawing. */
const BUTTON_PARTS: Record<TableButton, [MessageKey, IconName]> = {
  restart: ['startOver', 'again'],
  levels: ['levels', 'levels'],
  'how-to': ['howTitle', 'how'],
  sound: ['sound', 'sound'],
  pause: ['pause', 'pause'],
  leave: ['leave', 'leave'],
}

/** With more figures than this, they are arranged in columns on a narrow player. */
const MANY = 4
const FIGURE_KEYS: Record<Figure, MessageKey> = {
  'time-left': 'timeLeft',
  'time-used': 'timeUsed',
  turns: 'turns',
  flips: 'flips',
  'pairs-left': 'pairsLeft',
  score: 'score',
  streak: 'streak',
  lives: 'lives',
  best: 'best',
}
const FIGURE_ICONS: Partial<Record<Figure, IconName>> = {
  'time-left': 'clock',
  'time-used': 'clock',
  lives: 'heart',
}
function newFigure(name: Figure, words: string, drawing?: IconName): FigureView {
  const value = element('dd', 'lt-value')
  const label = element('dt', 'lt-label', ...(drawing ? [icon(drawing)] : []), element('span', '', words))
  return { box: element('div', `lt-figure lt-${name}`, label, value), value }
}
