import iconAgain from '~icons/ph/arrow-counter-clockwise?raw'
import iconEye from '~icons/ph/eye?raw'
import iconNext from '~icons/ph/arrow-right?raw'
import iconPlay from '~icons/ph/play-fill?raw'
import iconStar from '~icons/ph/star-four-fill?raw'
import { openCells } from '../core/board/cells.ts'
import { type Level, resolveLevel } from '../core/settings/levels.ts'
import { resultOf, winners, type RoundResult } from '../core/play/result.ts'
import { pairsLeft } from '../core/play/round.ts'
import type { Best } from './best.ts'
import { button, element, icon } from './element.ts'
import { MINDS_PLAY } from './minds-play.ts'
import { panel } from './panel-box.ts'
import { whoPanel } from './who-panel.ts'
import { nextLevel, playerNames, type Table } from './table.ts'
import { clockText, grouped, lostWords, tale } from './words.ts'

export type PanelActs = {
  resume(): void
  again(): void
  /** a round of a level; without a seed, the level's own rule gives it */
  deal(level: Level, seed?: string): void
  close(): void
  /** takes the names that the players give themselves, by their place at the table */
  name(names: string[]): void
  /** makes the panel small, or full size again; out: whether it is small now */
  peek(): boolean
}

/** The panel over the board now, or null. `best` are the results won so far, `record` whether this one beat them. */
export function panelFor(table: Table, acts: PanelActs, best: Best, record: boolean): HTMLElement | null {
  switch (table.panel) {
    case 'pause':
      return panel(
        'Paused',
        [element('p', '', 'The cards are hidden until you go on.')],
        [
          button('lt-button lt-main', 'Go on', acts.resume, iconPlay),
          button('lt-button', 'Start over', acts.again, iconAgain),
        ],
      )
    case 'problem':
      return panel('This level cannot be dealt', [element('p', '', `${table.problem}.`)], [])
    case 'who':
      return MINDS_PLAY && table.rivals?.mayChoose(table)
        ? table.rivals.panel(table, acts.deal)
        : whoPanel(table, acts.name)
    case 'brief':
      return briefPanel(table, acts)
    case 'levels':
      return panel('Levels', [levelList(table, acts, best)], [button('lt-button', 'Close', acts.close)])
    case 'result':
      return resultPanel(table, acts, record)
    default:
      return null
  }
}

function resultPanel(table: Table, acts: PanelActs, record: boolean): HTMLElement {
  const result = resultOf(table.round!)
  const won = result.outcome === 'won'
  const next = nextLevel(table)
  const body: Node[] = []
  if (won && result.stars !== null) body.push(starRow(result.stars))
  const { players } = result
  if (players) body.push(playersTable(playerNames(table), players))
  else
    body.push(
      element('p', 'lt-tale', won ? tale(result) : `${lostWords(result.lostBy!)} ${leftWords(table)}`),
    )
  const facts = element('dl', 'lt-facts')
  const fact = (name: string, value: string): void =>
    facts.append(element('div', '', element('dt', '', name), element('dd', '', value)))
  if (!players) fact('score', grouped(result.score))
  fact('turns', String(result.turns))
  fact('time used', clockText(result.timeUsed, false))
  body.push(facts)
  if (record) body.push(element('p', 'lt-record', 'Your best on this level.'))
  const again = button(
    `lt-button${won && next ? '' : ' lt-main'}`,
    won ? 'Play again' : 'Try again',
    acts.again,
    iconAgain,
  )
  const buttons = [again]
  if (won && table.settings.look.behind) buttons.push(peekButton(acts))
  if (won && next)
    buttons.unshift(button('lt-button lt-main', `Next: ${next.name}`, () => acts.deal(next), iconNext))
  return panel(titleOf(table, result), body, buttons)
}

/** The result of a won game, in short, before the next level begins. */
function briefPanel(table: Table, acts: PanelActs): HTMLElement {
  const result = resultOf(table.round!)
  const next = nextLevel(table)!
  const body: Node[] = result.stars === null ? [] : [starRow(result.stars)]
  if (!result.players) body.push(element('p', 'lt-tale', `${grouped(result.score)} points`))
  return panel(titleOf(table, result), body, [
    button('lt-button lt-main', `Next: ${next.name}`, () => acts.deal(next), iconNext),
  ])
}

function peekButton(acts: PanelActs): HTMLButtonElement {
  const words = (small: boolean): string => (small ? 'Back to the result' : 'See the picture')
  const made = button(
    'lt-button lt-peeking',
    words(false),
    () => (made.lastChild!.textContent = words(acts.peek())),
    iconEye,
  )
  return made
}

function titleOf(table: Table, { outcome, players }: RoundResult): string {
  if (outcome !== 'won') return 'Not this time'
  if (!players) return 'All pairs found'
  const first = winners(players).map((at) => playerNames(table)[at]!)
  return first.length === 1
    ? `${first[0]!} has won`
    : `${first.slice(0, -1).join(', ')} and ${first.at(-1)!} share the win`
}

/** A row for each player, in seat order. */
function playersTable(names: readonly string[], players: NonNullable<RoundResult['players']>): HTMLElement {
  const row = (...cells: HTMLElement[]): HTMLElement => element('tr', '', ...cells)
  const first = new Set(winners(players))
  const body = players.map(({ matches, misses, score }, at) => {
    const name = element('th', '', names[at]!)
    name.setAttribute('scope', 'row')
    const line = row(name, ...[matches, misses, score].map((value) => element('td', '', grouped(value))))
    line.classList.toggle('lt-first', first.has(at))
    return line
  })
  const heads = ['player', 'pairs', 'misses', 'score'].map((word) => {
    const head = element('th', '', word)
    head.setAttribute('scope', 'col')
    return head
  })
  return element('table', 'lt-players', element('thead', '', row(...heads)), element('tbody', '', ...body))
}

function leftWords(table: Table): string {
  const left = pairsLeft(table.round!)
  return left === 1 ? 'One pair was left.' : `${left} pairs were left.`
}

function starRow(stars: number): HTMLElement {
  const row = element('p', 'lt-stars')
  row.setAttribute('role', 'img')
  row.setAttribute('aria-label', `${stars} of 3 stars`)
  for (let i = 0; i < 3; i++) {
    const star = icon(iconStar)
    star.classList.toggle('lt-won', i < stars)
    row.append(star)
  }
  return row
}

function levelList(table: Table, acts: PanelActs, best: Best): HTMLElement {
  const list = element('ol', 'lt-levels')
  for (const level of table.game.levels) {
    const pairs = openCells(resolveLevel(table.game, level).board).length / 2
    const won = best[level.id]
    const choose = button('lt-level-choice', '', () => acts.deal(level))
    choose.append(
      element('span', 'lt-level-title', level.name),
      element('span', 'lt-level-note', `${pairs} pairs`),
    )
    if (won)
      choose.append(
        won.stars === null
          ? element('span', 'lt-level-note', `best ${grouped(won.score)}`)
          : starRow(won.stars),
      )
    if (level.id === table.level.id) choose.setAttribute('aria-current', 'true')
    list.append(element('li', '', choose))
  }
  return list
}
