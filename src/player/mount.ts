import { isWide, roomAround } from '../core/board/geometry.ts'
import type { Game } from '../core/game/game.ts'
import { findLevel } from '../core/settings/levels.ts'
import { resultOf } from '../core/play/result.ts'
import { isOver, NEVER } from '../core/play/round.ts'
import type { Cells } from '../core/deal/deal.ts'
import type { Input } from '../core/play/events.ts'
import { keepBest, readBest, type Keep } from './best.ts'
import { BoardView } from './board.ts'
import { element } from './element.ts'
import type { Art } from './face.ts'
import { Hud } from './hud.ts'
import { listen } from './input.ts'
import { keepPace } from './motion.ts'
import { panelFor } from './panels.ts'
import { playSound, soundOf } from './sound.ts'
import './player.css'
import { keepOpen, readOpen } from './open-game.ts'
import {
  act,
  dealTable,
  newEvents,
  newTable,
  nextLevel,
  runAt,
  standTable,
  tick,
  timeNow,
  type Table,
} from './table.ts'
import { shown, spoken } from './words.ts'

export type PlayerOptions = {
  game: Game
  /** where library pictures are to be had */
  art: Art
  /** the level to begin with; the first of the ladder if there is none of that id */
  level?: string
  /** deals this seed first; later rounds follow the level's own rule */
  seed?: string
  /** whether the player may choose levels; off where something around the table does */
  levels?: boolean
  /** where best results are kept; nowhere if left out */
  keep?: Keep
  /** where a game that is not over is kept, so that it goes on after the page was closed */
  keepGame?: Keep
  glass?: boolean
  /** called after anything happened: a deal, an input, something falling due */
  onChange?: (table: Readonly<Table>) => void
}

export type Player = {
  readonly table: Readonly<Table>
  /** A new round, of this level if one is named, with this seed if one is given. */
  deal(level?: string, seed?: string, cells?: Cells): void
  /** Puts the game where these inputs lead by a time in ms, and holds it there until something is pressed. */
  stand(inputs: readonly Input[], at: number): void
  /** Lets time go on, so many times as fast as it really is. */
  run(speed: number): void
  /** Holds the game and lets it go to whatever falls due next. */
  stepDue(): void
  setGlass(on: boolean): void
  /** Pauses, or goes on if paused. */
  pause(): void
  destroy(): void
}

/** Puts a table into `host` and deals. The one table: the shipped game and the studio's Play both call this. */
export function mountPlayer(host: HTMLElement, options: PlayerOptions): Player {
  const { game, keep = null, keepGame = null } = options
  const table = newTable(game, options.art, findLevel(game, options.level) ?? game.levels[0]!)
  table.glass = options.glass ?? false
  let frame = 0
  let record = false
  let panelDrawn: HTMLElement | null = null
  let panelOf = 'none'
  let focusBefore: HTMLElement | null = null

  const board = new BoardView(table)
  const hud = new Hud(
    table,
    { pause, levels: () => open('levels'), sound: toggleSound, turnBack: () => input({ do: 'turn-back' }) },
    options.levels ?? true,
  )
  const live = element('p', 'lt-hidden')
  live.setAttribute('role', 'status')
  const felt = element('div', 'lt-felt', board.behind.root, board.root)
  const root = element('section', 'lt-player', hud.head, hud.bar, felt, hud.foot, live)
  root.setAttribute('aria-label', game.title)
  keepPace(root, table.speed)
  host.replaceChildren(root)
  listen(board, table, (cell) => input({ do: 'press', cell }))
  // not a container of the style: its least change would lay out every card anew
  const resized = new ResizeObserver(() => {
    makeRoom()
    board.place()
  })
  resized.observe(felt)
  const whenHidden = (): void => {
    if (document.hidden && table.panel === 'none' && table.inputs.length > 0) pause()
  }
  document.addEventListener('visibilitychange', whenHidden)

  /** Gives the parts around the table the room that the geometry has for them. */
  function makeRoom(): void {
    const width = root.clientWidth
    root.classList.toggle('lt-wide', isWide(width))
    for (const [part, height] of Object.entries(roomAround(width, table.settings)))
      root.style.setProperty(`--lt-${part}`, `${height}px`)
  }

  function deal(level?: string, seed?: string, cells?: Cells): void {
    dealTable(table, findLevel(game, level) ?? table.level, seed, cells)
    makeRoom()
    record = false
    root.style.setProperty('--table', table.settings.look.table)
    root.classList.toggle('lt-fade', table.settings.turn.onMatch === 'fade')
    root.dataset.flip = table.settings.look.flip
    root.dataset.dealIn = table.settings.look.dealIn
    board.build()
    root.classList.remove('lt-dealt', 'lt-is-won')
    void root.offsetWidth
    root.classList.add('lt-dealt')
    hud.say(table.settings.turn.firstLook > 0 ? 'look well…' : '', 'plain')
    live.textContent = table.settings.turn.firstLook > 0 ? 'Look: all cards lie face up for a moment.' : ''
    if (audible()) playSound('deal')
    options.onChange?.(table)
    keepOpen(keepGame, table)
    after()
    run()
  }

  /** Tells what happened since the last time, and draws. */
  function after(): void {
    const events = newEvents(table)
    const words: string[] = []
    for (const event of events) {
      const sound = soundOf(event)
      if (sound && audible()) playSound(sound)
      const word = spoken(table, event)
      if (word) words.push(word)
      const line = shown(event)
      if (line) hud.say(line.text, line.tone)
      if (event.kind === 'won') {
        root.classList.add('lt-is-won')
        record = keepBest(keep, table.level.id, resultOf(table.round!))
      }
    }
    if (words.length) live.textContent = words.join(' ')
    if (events.length) {
      board.draw()
      options.onChange?.(table)
      keepOpen(keepGame, table)
    }
    hud.draw()
    drawPanel()
  }

  function input(what: Parameters<typeof act>[1]): void {
    if (table.panel !== 'none' && what.do === 'press') return
    tick(table)
    act(table, what)
    after()
    run()
  }

  /** One frame: time passes, what changed is drawn. Rests while nothing can happen by itself. */
  function step(): void {
    frame = 0
    if (tick(table)) finish()
    after()
    const { round } = table
    if (!round || round.phase === 'paused' || table.held) return
    // behind the result the last two cards still settle
    if (!isOver(round) || table.panel === 'none' || round.nextDue !== NEVER) run()
  }
  function run(): void {
    if (frame === 0) frame = requestAnimationFrame(step)
  }

  function stand(inputs: readonly Input[], at: number): void {
    standTable(table, inputs, at)
    root.classList.toggle('lt-is-won', table.round?.phase === 'won')
    hud.say('', 'plain')
    board.draw()
    options.onChange?.(table)
    after()
  }

  function stepDue(): void {
    const { round } = table
    if (!round) return
    tick(table)
    // what falls due in the far future is not waited for
    const next = round.nextDue === NEVER ? round.at : round.nextDue
    stand(table.inputs, next)
  }

  function finish(): void {
    const { then } = table.settings.finish
    const won = table.round!.phase === 'won'
    const next = nextLevel(table)
    if (then === 'deal-again') deal()
    else if (then === 'next-level' && won && next) deal(next.id)
    else open('result')
  }

  function open(what: Table['panel']): void {
    if (what === 'levels' && table.round && !isOver(table.round)) act(table, { do: 'pause' })
    table.panel = what
    after()
    drawPanel()
  }

  function pause(): void {
    if (!table.round || isOver(table.round)) return
    if (table.panel === 'pause' || table.panel === 'levels') return resume()
    if (table.panel !== 'none') return
    act(table, { do: 'pause' })
    open('pause')
  }

  function resume(): void {
    table.panel = table.round && isOver(table.round) && timeNow(table) >= table.endsAt ? 'result' : 'none'
    act(table, { do: 'resume' })
    after()
    run()
  }

  const audible = (): boolean => table.sound && table.settings.look.sounds

  function toggleSound(): void {
    table.sound = !table.sound
    hud.draw()
  }

  function drawPanel(): void {
    if (panelOf === table.panel) return
    panelOf = table.panel
    panelDrawn?.remove()
    felt.classList.remove('lt-peek')
    panelDrawn = panelFor(
      table,
      {
        resume,
        again: () => again(),
        deal: (level) => again(level.id),
        close: resume,
        peek: () => felt.classList.toggle('lt-peek'),
      },
      readBest(keep),
      record,
    )
    felt.classList.toggle('lt-covered', panelDrawn !== null)
    board.root.inert = panelDrawn !== null
    if (!panelDrawn) return focusBefore?.focus({ preventScroll: true })
    const focused = document.activeElement
    focusBefore = focused instanceof HTMLElement && root.contains(focused) ? focused : null
    felt.append(panelDrawn)
    // a player who was not at the table is left where they are
    if (focusBefore || focused === document.body)
      panelDrawn.querySelector('button')?.focus({ preventScroll: true })
  }

  /** A new round from a panel: the keyboard comes back to the board. */
  function again(level?: string): void {
    deal(level)
    board.focus(table.cursor)
  }

  root.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && (table.panel === 'pause' || table.panel === 'levels')) resume()
  })

  const left = options.seed === undefined && options.level === undefined ? readOpen(keepGame, game) : null
  deal(left?.level, left?.seed ?? options.seed)
  if (left) {
    stand(left.inputs, left.at)
    runAt(table, table.speed)
    pause()
  }
  return {
    table,
    deal,
    stand,
    stepDue,
    run(speed) {
      runAt(table, speed)
      keepPace(root, speed)
      run()
    },
    pause,
    setGlass(on) {
      table.glass = on
      board.draw()
    },
    destroy() {
      cancelAnimationFrame(frame)
      frame = -1
      resized.disconnect()
      document.removeEventListener('visibilitychange', whenHidden)
      root.remove()
    },
  }
}
