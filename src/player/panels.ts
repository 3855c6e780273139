import { openCells } from '../core/board/cells.ts'
import { resolveLevel } from '../core/settings/levels.ts'
import { resultOf, winners, type RoundResult } from '../core/play/result.ts'
import { pairsLeft } from '../core/play/round.ts'
import type { Speech } from '../core/texts/speech.ts'
import type { Best } from './best.ts'
import { button, element, icon } from './element.ts'
import { MINDS_PLAY } from './minds-play.ts'
import {
  creditsPanel,
  howPanel,
  languagesPanel,
  leaveButton,
  moreButtons,
  openingPanel,
} from './page-panels.ts'
import type { PanelActs } from './panel-acts.ts'
import { howTo } from './how-to.ts'
import { panel } from './panel-box.ts'
import { whoPanel } from './who-panel.ts'
import { isOnlyRound, nextLevel, playerNames, type Table } from './table.ts'
import { languageOf, lostWords, tale } from './words.ts'

/** The panel over the board now, or null. `best` are the results won so far. */
export function panelFor(table: Table, acts: PanelActs, best: Best): HTMLElement | null {
  const { say } = table.speech
  switch (table.panel) {
    case 'pause':
      return panel(
        say('paused'),
        [say('pausedText'), ...howTo(table)].map((line) => element('p', '', line)),
        [
          button('lt-button lt-main', say('goOn'), acts.resume, 'play'),
          ...(isOnlyRound(table) ? [] : [button('lt-button', say('startOver'), acts.again, 'again')]),
        ],
        moreButtons(table, acts),
      )
    case 'start':
      return openingPanel(table, acts)
    case 'how':
      return howPanel(table, acts)
    case 'languages':
      return languagesPanel(table, acts)
    case 'credits':
      return creditsPanel(table, acts)
    case 'problem':
      return panel(say('cannotDeal'), [element('p', '', `${table.problem}.`)], [])
    case 'who':
      return MINDS_PLAY && table.rivals?.mayChoose(table)
        ? table.rivals.panel(table, acts.deal)
        : whoPanel(table, acts.name)
    case 'brief':
      return briefPanel(table, acts)
    case 'levels':
      return panel(
        say('levelList'),
        [levelList(table, acts, best)],
        [button('lt-button', say('close'), acts.close)],
      )
    case 'result':
      return resultPanel(table, acts)
    default:
      return null
  }
}

function resultPanel(table: Table, acts: PanelActs): HTMLElement {
  const { say, number, clock } = table.speech
  const result = resultOf(table.round!)
  const won = result.outcome === 'won'
  const next = nextLevel(table)
  const body: Node[] = []
  if (won && result.stars !== null) body.push(starRow(table.speech, result.stars))
  const { players } = result
  if (players) body.push(playersTable(table, players))
  else
    body.push(
      element(
        'p',
        'lt-tale',
        won ? tale(table.speech, result) : `${lostWords(table.speech, result.lostBy!)} ${leftWords(table)}`,
      ),
    )
  const facts = element('dl', 'lt-facts')
  const fact = (name: string, value: string): void =>
    facts.append(element('div', '', element('dt', '', name), element('dd', '', value)))
  if (!players) fact(say('score'), number(result.score))
  fact(say('turns'), number(result.turns))
  fact(say('timeUsed'), clock(result.timeUsed, false))
  const { flips, slips } = table.settings.finish
  if (flips) fact(say('flips'), number(result.flips))
  if (slips) fact(say('slipCount'), number(result.slips))
  body.push(facts)
  if (table.isRecord) body.push(element('p', 'lt-record', say('yourBest')))
  const again = button(
    `lt-button${won && next ? '' : ' lt-main'}`,
    say(won ? 'playAgain' : 'tryAgain'),
    acts.again,
    'again',
  )
  const isLast = isOnlyRound(table)
  const buttons = isLast ? [] : [again]
  if (won && table.settings.look.behind) buttons.push(peekButton(table, acts))
  if (won && next && !isLast)
    buttons.unshift(
      button('lt-button lt-main lt-next', say('next', { level: next.name }), () => acts.deal(next), 'next'),
    )
  return panel(titleOf(table, result), body, buttons, leaveButton(table, acts))
}

/** The result of a won game, in short, before the next level begins. */
function briefPanel(table: Table, acts: PanelActs): HTMLElement {
  const { say } = table.speech
  const result = resultOf(table.round!)
  const next = nextLevel(table)!
  const body: Node[] = result.stars === null ? [] : [starRow(table.speech, result.stars)]
  if (!result.players) body.push(element('p', 'lt-tale', say('points', { n: result.score })))
  return panel(titleOf(table, result), body, [
    button('lt-button lt-main lt-next', say('next', { level: next.name }), () => acts.deal(next), 'next'),
  ])
}

function peekButton({ speech: { say } }: Table, acts: PanelActs): HTMLButtonElement {
  const words = (small: boolean): string => say(small ? 'backToResult' : 'seePicture')
  const entry = button(
    'lt-button lt-peeking',
    words(false),
    () => (entry.lastChild!.textContent = words(acts.peek())),
    'image',
  )
  return entry
}

function titleOf(table: Table, { outcome, players }: RoundResult): string {
  const { say, list } = table.speech
  if (outcome !== 'won') return say('lost')
  if (!players) return say('won')
  const first = winners(players).map((at) => playerNames(table)[at]!)
  return first.length === 1 ? say('hasWon', { name: first[0]! }) : say('shareWin', { names: list(first) })
}

/** A row for each player, in seat order. */
function playersTable(table: Table, players: NonNullable<RoundResult['players']>): HTMLElement {
  const { say, number } = table.speech
  const names = playerNames(table)
  const row = (...cells: HTMLElement[]): HTMLElement => element('tr', '', ...cells)
  const first = new Set(winners(players))
  const body = players.map(({ matches, misses, score }, at) => {
    const name = element('th', '', names[at]!)
    name.setAttribute('scope', 'row')
    const line = row(name, ...[matches, misses, score].map((value) => element('td', '', number(value))))
    line.classList.toggle('lt-first', first.has(at))
    return line
  })
  const heads = (['player', 'pairCount', 'misses', 'score'] as const).map((key) => {
    const head = element('th', '', say(key))
    head.setAttribute('scope', 'col')
    return head
  })
  return element('table', 'lt-players', element('thead', '', row(...heads)), element('tbody', '', ...body))
}

const leftWords = ({ speech, round }: Table): string => speech.say('pairsWereLeft', { n: pairsLeft(round!) })

function starRow({ say }: Speech, stars: number): HTMLElement {
  const row = element('p', 'lt-stars')
  row.setAttribute('role', 'img')
  row.setAttribute('aria-label', say('stars', { n: stars }))
  for (let i = 0; i < 3; i++) {
    const star = icon('star')
    star.classList.toggle('lt-won', i < stars)
    row.append(star)
  }
  return row
}

function levelList(table: Table, acts: PanelActs, best: Best): HTMLElement {
  const { say } = table.speech
  const list = element('ol', 'lt-levels')
  for (const level of table.game.levels) {
    const pairs = openCells(resolveLevel(table.game, level).board).length / 2
    const won = best[level.id]
    const choose = button('lt-level-choice', '', () => acts.deal(level))
    const title = element('span', 'lt-level-title', level.name)
    title.lang = languageOf(table, level.name)
    choose.append(title, element('span', 'lt-level-note', say('pairs', { n: pairs })))
    if (won)
      choose.append(
        won.stars === null
          ? element('span', 'lt-level-note', say('bestScore', { n: won.score }))
          : starRow(table.speech, won.stars),
      )
    if (level.id === table.level.id) choose.setAttribute('aria-current', 'true')
    list.append(element('li', '', choose))
  }
  return list
}
