import iconClock from '~icons/ph/timer?raw'
import iconHeart from '~icons/ph/heart-fill?raw'
import iconPause from '~icons/ph/pause?raw'
import iconSound from '~icons/ph/speaker-high?raw'
import iconSilent from '~icons/ph/speaker-slash?raw'
import iconLevels from '~icons/ph/stairs?raw'
import { timeLeft, timeUsed } from '../core/play/clock.ts'
import { isWaitingForButton, isWaitingForPress } from '../core/play/machine.ts'
import { isOver } from '../core/play/round.ts'
import { button, element, icon } from './element.ts'
import type { Table } from './table.ts'
import { clockText } from './words.ts'

export type HudActs = { pause(): void; levels(): void; sound(): void; turnBack(): void }

/** Title, clock, turns, lives, score and the buttons above the board; the turn-back button below it. */
export class Hud {
  readonly head: HTMLElement
  readonly bar = element('div', 'lt-limit')
  readonly foot: HTMLElement
  private readonly title = element('span', 'lt-level-name')
  private readonly place = element('span', 'lt-level-place')
  private readonly figures: Record<
    'time' | 'turns' | 'lives' | 'score',
    { box: HTMLElement; label: HTMLElement; value: HTMLElement }
  >
  private readonly seats = element('ol', 'lt-seats')
  private readonly fill = element('div', 'lt-limit-fill')
  private readonly soundButton: HTMLButtonElement
  private readonly pauseButton: HTMLButtonElement
  private readonly turnBackButton: HTMLButtonElement
  private readonly line = element('p', 'lt-line')
  private last = new Map<HTMLElement, string>()
  private readonly table: Table

  constructor(table: Table, acts: HudActs, withLevels: boolean) {
    this.table = table
    this.soundButton = button('lt-round', 'Sound', acts.sound, iconSound)
    this.pauseButton = button('lt-round', 'Pause', acts.pause, iconPause)
    this.turnBackButton = button('lt-button lt-turn-back', 'Turn them back', acts.turnBack)
    const name = element('div', 'lt-level', this.title, this.place)
    const buttons = element('div', 'lt-buttons', this.soundButton, this.pauseButton)
    if (withLevels && table.game.levels.length > 1)
      buttons.prepend(button('lt-round', 'Choose a level', acts.levels, iconLevels))
    this.figures = {
      time: figure('time', iconClock),
      turns: figure('turns'),
      lives: figure('lives', iconHeart),
      score: figure('score'),
    }
    const { time, turns, lives, score } = this.figures
    this.head = element(
      'header',
      'lt-head',
      name,
      buttons,
      element('div', 'lt-figures', time.box, turns.box, lives.box, score.box),
      this.seats,
    )
    this.bar.append(this.fill)
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
    this.put(this.title, level.name)
    this.put(this.place, game.levels.length > 1 ? `${at} of ${game.levels.length}` : '')
    // only when it changes: an icon replaced under a finger would swallow the press
    if (this.soundButton.ariaPressed !== String(table.sound)) {
      this.soundButton.replaceChildren(icon(table.sound ? iconSound : iconSilent))
      this.soundButton.setAttribute('aria-pressed', String(table.sound))
    }
    this.soundButton.hidden = !settings.look.sounds
    const playing = round !== null && !isOver(round)
    this.pauseButton.disabled = !playing
    for (const { box } of Object.values(this.figures)) box.hidden = round === null
    if (!round) return
    const left = timeLeft(round)
    this.put(this.figures.time.label, left === null ? 'time used' : 'time left')
    this.put(this.figures.time.value, clockText(left ?? timeUsed(round), left !== null))
    this.figures.time.box.hidden = settings.clock.mode === 'off'
    this.figures.time.box.classList.toggle('lt-short', left !== null && left <= 10_000 && playing)
    const { turns } = settings.limits
    this.put(this.figures.turns.value, turns === null ? String(round.turns) : `${round.turns} of ${turns}`)
    this.figures.lives.box.hidden = round.lives === null
    this.put(this.figures.lives.value, `${round.lives ?? ''} of ${settings.limits.lives ?? ''}`)
    this.put(this.figures.score.value, String(round.score))
    this.figures.score.box.hidden = round.seats !== null
    this.drawSeats()
    this.bar.hidden = left === null
    if (left !== null)
      this.fill.style.transform = `scaleX(${Math.min(1, left / settings.clock.limit).toFixed(4)})`
    const button = isWaitingForButton(round)
    this.turnBackButton.hidden = !button
    this.line.hidden = button
    if (isWaitingForPress(round)) this.say('press anywhere to turn them back', 'plain')
  }

  /** Who sits at the table, with what each has won; whose turn it is stands out, and is said. */
  private drawSeats(): void {
    const { round, settings } = this.table
    const seats = round?.seats ?? []
    this.seats.hidden = seats.length === 0
    while (this.seats.children.length > seats.length) this.seats.lastChild!.remove()
    while (this.seats.children.length < seats.length) this.seats.append(element('li', 'lt-seat'))
    seats.forEach(({ score, matches }, at) => {
      const seat = this.seats.children[at] as HTMLElement
      const now = at === round!.player && !isOver(round!)
      const pairs = `${matches} ${matches === 1 ? 'pair' : 'pairs'}`
      this.put(
        seat,
        `${settings.players.names[at]!}${now ? ' (your turn)' : ''}: ${pairs}, ${score} ${score === 1 ? 'point' : 'points'}`,
      )
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

function figure(name: string, svg?: string): { box: HTMLElement; label: HTMLElement; value: HTMLElement } {
  const value = element('span', 'lt-value')
  const label = element('span', '', name)
  const labelled = element('span', 'lt-label', ...(svg ? [icon(svg)] : []), label)
  return { box: element('div', `lt-figure lt-${name}`, labelled, value), label, value }
}
