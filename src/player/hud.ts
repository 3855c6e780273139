import iconClock from '~icons/ph/timer?raw'
import iconHeart from '~icons/ph/heart-fill?raw'
import iconPause from '~icons/ph/pause?raw'
import iconSound from '~icons/ph/speaker-high?raw'
import iconSilent from '~icons/ph/speaker-slash?raw'
import iconLevels from '~icons/ph/stairs?raw'
import { timeLeft, timeUsed } from '../core/play/clock.ts'
import { isWaitingForButton, isWaitingForPress } from '../core/play/machine.ts'
import { isOver, type Round } from '../core/play/round.ts'
import { button, element, icon } from './element.ts'
import { figuresOf } from '../core/settings/figures.ts'
import { FIGURES, type Figure } from '../core/settings/settings.ts'
import type { Best } from './best.ts'
import { MINDS_PLAY } from './minds-play.ts'
import { playerNames, type Table } from './table.ts'
import { clockText, grouped } from './words.ts'

export type HudActs = { pause(): void; levels(): void; sound(): void; turnBack(): void }

/** Title, clock, turns, lives, score and the buttons above the board; the turn-back button below it. */
export class Hud {
  readonly head: HTMLElement
  readonly bar = element('div', 'lt-limit')
  readonly foot: HTMLElement
  private readonly title = element('span', 'lt-level-name')
  private readonly place = element('span', 'lt-level-place')
  private readonly game = element('span', 'lt-title')
  private readonly row = element('dl', 'lt-figures')
  private readonly figures = Object.fromEntries(
    FIGURES.map((name) => [name, newFigure(name, ...FIGURE_WORDS[name])]),
  ) as Record<Figure, { box: HTMLElement; value: HTMLElement }>
  /** the round whose figures are shown */
  private shownFor: Round | null = null
  private readonly seats = element('ol', 'lt-seats')
  private readonly fill = element('div', 'lt-limit-fill')
  private readonly soundButton: HTMLButtonElement
  private readonly pauseButton: HTMLButtonElement
  private readonly turnBackButton: HTMLButtonElement
  private readonly line = element('p', 'lt-line')
  private last = new Map<HTMLElement, string>()
  private readonly table: Table

  constructor(
    table: Table,
    acts: HudActs,
    withLevels: boolean,
    private readonly best: () => Best,
  ) {
    this.table = table
    this.soundButton = button('lt-round', 'Sound', acts.sound, iconSound)
    this.pauseButton = button('lt-round', 'Pause', acts.pause, iconPause)
    this.turnBackButton = button('lt-button lt-turn-back', 'Turn them back', acts.turnBack)
    const name = element('div', 'lt-level', this.game, element('div', '', this.title, this.place))
    const buttons = element('div', 'lt-buttons', this.soundButton, this.pauseButton)
    if (withLevels && table.game.levels.length > 1)
      buttons.prepend(button('lt-round', 'Choose a level', acts.levels, iconLevels))
    this.head = element('header', 'lt-head', name, buttons, this.row, this.seats)
    this.bar.append(this.fill)
    this.seats.setAttribute('aria-label', 'Players')
    this.bar.setAttribute('aria-hidden', 'true')
    this.line.setAttribute('aria-hidden', 'true')
    this.foot = element('footer', 'lt-foot', this.line, this.turnBackButton)
  }

  say(text: string, tone: string): void {
    this.line.textContent = tone === 'luck' ? `✦ ${text}` : text
    this.line.dataset.tone = tone
  }

  draw(): void {
    const { table } = this
    const { round, settings, game, level } = table
    const at = game.levels.indexOf(level) + 1
    this.put(this.game, settings.head.title ? game.title : '')
    this.put(this.title, settings.head.level ? level.name : '')
    this.put(
      this.place,
      settings.head.level && game.levels.length > 1 ? `${at} of ${game.levels.length}` : '',
    )
    // only when it changes: an icon replaced under a finger would swallow the press
    if (this.soundButton.ariaPressed !== String(table.sound)) {
      this.soundButton.replaceChildren(icon(table.sound ? iconSound : iconSilent))
      this.soundButton.setAttribute('aria-pressed', String(table.sound))
    }
    this.soundButton.hidden = !settings.sound.on
    const playing = round !== null && !isOver(round)
    this.pauseButton.disabled = !playing
    this.row.hidden = round === null
    // a mind that plays on turns the cards back itself
    const isTheirs = MINDS_PLAY && table.seated?.haveTurn
    const button = !isTheirs && round !== null && isWaitingForButton(round)
    this.turnBackButton.hidden = !button
    this.line.hidden = button
    if (!round) {
      this.bar.hidden = true
      this.seats.hidden = true
      return
    }
    const left = timeLeft(round)
    this.drawFigures(round, left)
    this.drawSeats()
    this.bar.hidden = left === null
    if (left !== null)
      this.fill.style.transform = `scaleX(${Math.min(1, left / settings.clock.limit).toFixed(4)})`
    if (!isTheirs && isWaitingForPress(round)) this.say('press anywhere to turn them back', 'plain')
  }

  /** The figures that the level shows, in its order. */
  private drawFigures(round: Round, left: number | null): void {
    const { settings, level } = this.table
    const shown = figuresOf(settings)
    if (this.shownFor !== round) {
      this.shownFor = round
      this.row.replaceChildren(...shown.map((name) => this.figures[name].box))
      this.row.classList.toggle('lt-many', shown.length > MANY)
      const best = shown.includes('best') ? this.best()[level.id] : undefined
      this.put(this.figures.best.value, best ? grouped(best.score) : '–')
    }
    const { lives, turns } = settings.limits
    const of = (value: number, most: number | null): string =>
      most === null ? grouped(value) : `${grouped(value)} of ${grouped(most)}`
    // only the visible ones are worked out: this runs once a frame
    const texts: Record<Exclude<Figure, 'best'>, () => string> = {
      'time-left': () => (left === null ? '' : clockText(left, true)),
      'time-used': () => clockText(timeUsed(round), false),
      turns: () => of(round.turns, turns),
      flips: () => grouped(round.flips),
      'pairs-left': () => grouped(round.cards / 2 - round.matches),
      score: () => grouped(round.score),
      streak: () => grouped(round.streak),
      lives: () => of(round.lives ?? 0, lives),
    }
    for (const name of shown) if (name !== 'best') this.put(this.figures[name].value, texts[name]())
    this.figures['time-left'].box.classList.toggle(
      'lt-short',
      left !== null && left <= 10_000 && !isOver(round),
    )
  }

  /** The players, with what each has won; the current player stands out, and is announced. */
  private drawSeats(): void {
    const { round } = this.table
    const names = playerNames(this.table)
    const seats = round?.seats ?? []
    this.seats.hidden = seats.length === 0
    while (this.seats.children.length > seats.length) this.seats.lastChild!.remove()
    while (this.seats.children.length < seats.length) this.seats.append(newSeat())
    seats.forEach(({ score, matches }, at) => {
      const seat = this.seats.children[at] as HTMLElement
      const [name, turn, won] = [...seat.children] as HTMLElement[]
      const now = at === round!.player && !isOver(round!)
      const pairs = `${matches} ${matches === 1 ? 'pair' : 'pairs'}`
      this.put(name!, names[at]!)
      this.put(
        turn!,
        now
          ? MINDS_PLAY && this.table.settings.players.minds[at]
            ? ' (plays now): '
            : ' (your turn): '
          : ': ',
      )
      this.put(won!, `${pairs}, ${grouped(score)} ${score === 1 ? 'point' : 'points'}`)
      if (now) seat.setAttribute('aria-current', 'true')
      else seat.removeAttribute('aria-current')
    })
  }

  private put(box: HTMLElement, text: string): void {
    if (this.last.get(box) === text) return
    this.last.set(box, text)
    box.textContent = text
  }
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

/** With more figures than this, they are arranged in columns on a narrow player. */
const MANY = 4
const FIGURE_WORDS: Record<Figure, [words: string, svg?: string]> = {
  'time-left': ['time left', iconClock],
  'time-used': ['time used', iconClock],
  turns: ['turns'],
  flips: ['flips'],
  'pairs-left': ['pairs left'],
  score: ['score'],
  streak: ['in a row'],
  lives: ['lives', iconHeart],
  best: ['best'],
}
function newFigure(name: Figure, words: string, svg?: string): { box: HTMLElement; value: HTMLElement } {
  const value = element('dd', 'lt-value')
  const label = element('dt', 'lt-label', ...(svg ? [icon(svg)] : []), element('span', '', words))
  return { box: element('div', `lt-figure lt-${name}`, label, value), value }
}
