import { figuresInRow, roomAround, standingOf, tableArea } from '../core/board/geometry.ts'
import type { Game } from '../core/game/game.ts'
import { findLevel } from '../core/settings/levels.ts'
import { resultOf } from '../core/play/result.ts'
import { isOver, NEVER } from '../core/play/round.ts'
import type { Cells } from '../core/deal/deal.ts'
import type { Input } from '../core/play/events.ts'
import type { Speech } from '../core/texts/speech.ts'
import { keepBest, readBest, type Keep } from './best.ts'
import { newAnnouncer } from './announcer.ts'
import { BoardView } from './board.ts'
import { newCelebration } from './celebration.ts'
import { element, on, useDrawings, type Drawings } from './element.ts'
import type { Art } from './face.ts'
import { hearsOfNew } from './how-to.ts'
import { Hud } from './hud.ts'
import { listen } from './input.ts'
import { listenToMarks } from './typing.ts'
import { newLoop } from './loop.ts'
import { moveByLook } from './motion.ts'
import { PanelHost } from './panel-host.ts'
import './player.css'
import { MINDS_PLAY } from './minds-play.ts'
import { newOpenKeeper, readOpen, type OpenGame } from './open-game.ts'
import type { PageOffers } from './panel-acts.ts'
import { readNames } from './who-panel.ts'
import {
  act,
  dealTable,
  isOnlyRound,
  newEvents,
  newTable,
  nextDue,
  nextLevel,
  runAt,
  standTable,
  tick,
  timeNow,
  type Rivals,
  type Table,
} from './table.ts'

export type PlayerOptions = {
  game: Game
  /** where to get library pictures */
  art: Art
  drawings: Drawings
  /** what everything is said in */
  speech: Speech
  /** the level to start with; the first of the ladder if the id is unknown */
  level?: string
  /** whether one round is played, and its result stays */
  onlyOne?: boolean
  /** the seed of the first deal; later rounds follow the level's own rule */
  seed?: string
  /** whether the player may choose levels; off if something around the table does */
  levels?: boolean
  /** where best results are kept; nowhere if missing */
  keep?: Keep
  /** where an unfinished game is kept, so that it continues after the page was closed */
  keepGame?: Keep
  /** where the players' own names are kept; if missing, nobody is asked for them */
  keepNames?: Keep
  /** an unfinished game to continue, instead of one that was kept */
  open?: OpenGame
  /** what the page around the table offers besides playing */
  page?: PageOffers
  glass?: boolean
  /** lets minds play where the game gives them a seat */
  rivals?: Rivals
  /** called after anything happened: a deal, an input, something due */
  onChange?: (table: Readonly<Table>) => void
}

export type Player = {
  readonly table: Readonly<Table>
  /** A new round, of this level and with this seed if they are given. */
  deal(level?: string, seed?: string, cells?: Cells): void
  /** Replays these inputs up to a time in ms, and holds the game there until something is pressed. */
  stand(inputs: readonly Input[], at: number): void
  /** Sets the speed of time, as a multiple of the real one. */
  run(speed: number): void
  /** Holds the game and moves it to the next event. */
  stepDue(): void
  setGlass(on: boolean): void
  setSound(on: boolean): void
  /** Pauses, or resumes if paused. */
  pause(): void
  destroy(): void
}

/** A table narrower than this, in px, has smaller figures. */
const SMALL = 400

/** Panels that lead back to the one that they were opened from. */
const LYING_OVER: ReadonlySet<Table['panel']> = new Set(['levels', 'how', 'languages', 'credits'])

/** How long a short result is shown, in ms. */
const BRIEF = 2000

/** Puts a table into `host` and deals. The one table: the shipped game and the studio's Play both call this. */
export function mountPlayer(host: HTMLElement, options: PlayerOptions): Player {
  const { game, keep = null, keepGame = null, keepNames = null } = options
  useDrawings(options.drawings)
  const table = newTable(game, options.art, findLevel(game, options.level) ?? game.levels[0]!, options.speech)
  if (MINDS_PLAY) table.rivals = options.rivals
  table.glass = options.glass ?? false
  table.onlyOne = options.onlyOne
  table.ownNames = readNames(keepNames)
  table.asksWho = keepNames !== null && options.level === undefined
  table.opens = options.page?.opening ?? false

  const board = new BoardView(table)
  const hud = new Hud(
    table,
    {
      restart: () => again(),
      levels: (options.levels ?? true) && game.levels.length > 1 ? () => open('levels') : undefined,
      'how-to': () => open('how'),
      sound: () => setSound(!table.sound),
      pause,
      leave: options.page?.leave,
      turnBack: () => input({ do: 'turn-back' }),
    },
    () => readBest(keep),
  )
  const announcer = newAnnouncer(table, hud)
  const felt = element('div', 'lt-felt', board.behind.root, board.root)
  const root = element('section', 'lt-player', hud.head, hud.bar, felt, hud.foot, announcer.live)
  root.setAttribute('aria-label', game.title)
  root.lang = table.speech.language
  root.dir = table.speech.direction
  moveByLook(root, table.settings.look, table.speed)
  // read before the table is in the page: later it would be styled and laid out for that alone
  let { clientWidth: width, clientHeight: height } = host
  host.replaceChildren(root)
  const panels = new PanelHost(table, board, felt, {
    resume,
    again: () => again(),
    deal: (level, seed) => again(level.id, seed),
    close,
    begin,
    open,
    page: options.page,
    name,
  })
  const celebration = newCelebration(table, felt)
  const keeper = newOpenKeeper(keepGame, table)
  const loop = newLoop(draw)

  // not a style container: its least change would lay out every card anew
  const resized = new ResizeObserver(() => {
    ;({ clientWidth: width, clientHeight: height } = root)
    makeRoom()
    board.place(tableArea(width, height, table.settings))
  })
  resized.observe(root)
  /** what ends all this */
  const ends = [
    () => resized.disconnect(),
    listen(board, table, (cell) => input({ do: 'press', cell })),
    listenToMarks(root, table, {
      show: (typed) => hud.say(typed, 'plain'),
      press(cell) {
        hud.say('', 'plain')
        table.cursor = cell
        input({ do: 'press', cell })
      },
      refuse: announcer.noMark,
    }),
    on(document, 'visibilitychange', () => {
      if (document.hidden && table.panel === 'none' && table.inputs.length > 0) pause()
    }),
    on(window, 'pagehide', keeper.now),
    on(root, 'keydown', ({ key }: KeyboardEvent) => {
      if (key === 'Escape' && ['pause', 'levels', 'how', 'who', 'languages', 'credits'].includes(table.panel))
        close()
      if (key === 'Escape' && table.panel === 'brief') deal(nextLevel(table)!.id)
    }),
    loop.end,
    celebration.end,
    keeper.now,
    () => root.remove(),
  ]

  /** Gives the parts around the table the space that the geometry reserves for them. */
  function makeRoom(): void {
    const standing = standingOf(width, height)
    root.classList.toggle('lt-wide', standing === 'wide')
    root.classList.toggle('lt-across', standing === 'across')
    root.classList.toggle('lt-small', width < SMALL)
    root.classList.toggle('lt-large', table.settings.head.size === 'large')
    root.style.setProperty('--lt-in-row', String(figuresInRow(width, standing, table.settings)))
    for (const [part, length] of Object.entries(roomAround(width, height, table.settings)))
      root.style.setProperty(`--lt-${part}`, `${length}px`)
  }

  /**
   * The one place that draws, once a frame: time passes, and what it or the player changed is shown. Out: whether time
   * keeps running by itself.
   */
  function draw(): boolean {
    if (tick(table)) finish()
    if (performance.now() >= table.briefUntil && table.panel === 'brief') again(nextLevel(table)!.id)
    if (table.laysBoard) build()
    const events = newEvents(table)
    if (events.length) {
      announcer.tell(events)
      if (events.some(({ kind }) => kind === 'won')) {
        // against a chosen rival it is not the level's own game
        table.isRecord =
          !(MINDS_PLAY && table.rival) && keepBest(keep, table.level.id, resultOf(table.round!))
        celebration.begin()
      }
      keeper.changed()
    }
    if (events.length || table.drawsCards) board.draw()
    const isWon = table.round?.phase === 'won'
    root.classList.toggle('lt-is-won', isWon)
    // a wave takes the place of the deal's motion, which would start anew after it
    if (isWon) root.classList.remove('lt-dealt')
    // without a second value it would be the other way round at every frame
    if (MINDS_PLAY) root.classList.toggle('lt-theirs', table.seated?.haveTurn ?? false)
    if (events.length) options.onChange?.(table)
    table.laysBoard = table.drawsCards = false
    hud.draw()
    announcer.watchClock()
    panels.draw(() => readBest(keep))
    if (table.takesKeyboard) board.focus(table.cursor)
    table.takesKeyboard = false
    const { round } = table
    if (!round || round.phase === 'paused' || table.held) return false
    // behind the result the last two cards still settle
    return !isOver(round) || table.panel === 'none' || table.panel === 'brief' || round.nextDue !== NEVER
  }

  /** Lays the board of a new round. */
  function build(): void {
    const { look, turn } = table.settings
    celebration.end()
    makeRoom()
    root.style.setProperty('--table', look.table)
    root.classList.toggle('lt-fade', turn.onMatch === 'fade')
    moveByLook(root, look, table.speed)
    root.dataset.dealIn = look.dealIn
    board.build(tableArea(width, height, table.settings))
    root.classList.remove('lt-is-won')
    // the motion of a deal starts anew only if the page has shown the table without it
    if (root.classList.contains('lt-dealt')) {
      root.classList.remove('lt-dealt')
      void root.offsetWidth
    }
    root.classList.add('lt-dealt')
  }

  function deal(level?: string, seed?: string, cells?: Cells): void {
    dealTable(table, findLevel(game, level) ?? table.level, seed, cells)
    announcer.dealt()
    keeper.changed()
    options.onChange?.(table)
    const isNew = hearsOfNew(table)
    if (table.opens && table.round) {
      table.opens = false
      open('start')
    } else if (isNew && options.page?.opening) open('how')
    else if (!askWho()) announcer.looks()
    loop.ask()
  }

  /** Asks once who plays, if there is anything to ask. Out: whether it does now. */
  function askWho(): boolean {
    if (!table.asksWho || !(table.round?.seats || (MINDS_PLAY && table.rivals?.mayChoose(table))))
      return false
    table.asksWho = false
    open('who')
    return true
  }

  /** From the opening panel to the first turn. */
  function begin(): void {
    if (askWho()) return
    resume()
    table.takesKeyboard = true
  }

  function name(names: string[]): void {
    table.ownNames = names
    keepNames?.write(JSON.stringify(names))
    resume()
    table.takesKeyboard = true
  }

  function input(what: Parameters<typeof act>[1]): void {
    if (table.panel !== 'none' && what.do === 'press') return
    act(table, what)
    loop.ask()
  }

  function stand(inputs: readonly Input[], at: number): void {
    standTable(table, inputs, at)
    announcer.hush()
    options.onChange?.(table)
    loop.ask()
  }

  function stepDue(): void {
    if (table.round) stand(table.inputs, nextDue(table))
  }

  function finish(): void {
    const { then } = table.settings.finish
    const won = table.round!.phase === 'won'
    if (isOnlyRound(table)) open('result')
    else if (then === 'deal-again') deal()
    else if (then === 'next-level' && won && nextLevel(table)) {
      open('brief')
      table.briefUntil = performance.now() + BRIEF
    } else open('result')
  }

  function open(what: Table['panel']): void {
    if (table.panel === what) return close()
    if (table.round && !isOver(table.round) && table.round.phase !== 'paused') act(table, { do: 'pause' })
    if (LYING_OVER.has(what)) table.below = table.panel
    table.panel = what
    keeper.now()
    loop.ask()
  }

  function pause(): void {
    if (!table.round || isOver(table.round)) return
    if (table.panel === 'pause' || table.panel === 'levels') return close()
    if (table.panel === 'none') open('pause')
  }

  function resume(): void {
    table.panel = table.round && isOver(table.round) && timeNow(table) >= table.endsAt ? 'result' : 'none'
    act(table, { do: 'resume' })
    announcer.looks()
    loop.ask()
  }

  /** Back to the panel below, or to the board. */
  function close(): void {
    if (table.below === 'none') return resume()
    table.panel = table.below
    table.below = 'none'
    loop.ask()
  }

  function setSound(on: boolean): void {
    table.sound = on
    loop.ask()
  }

  /** A new round from a panel: the keyboard returns to the board. */
  function again(level?: string, seed?: string): void {
    deal(level, seed)
    table.takesKeyboard = true
  }

  const openBefore =
    options.seed === undefined && options.level === undefined ? readOpen(keepGame, game) : null
  const openGame = options.open ?? openBefore
  if (openGame) table.asksWho = table.opens = false
  if (MINDS_PLAY) table.rival = openGame?.rival
  if (!openGame) deal(undefined, options.seed)
  else {
    // told of once it stands where it was left
    dealTable(table, findLevel(game, openGame.level) ?? table.level, openGame.seed)
    hearsOfNew(table)
    announcer.dealt()
    stand(openGame.inputs, openGame.at)
    runAt(table, table.speed)
    pause()
  }
  // the first time at once, so that nobody sees an empty table
  if (draw()) loop.ask()
  return {
    table,
    deal,
    stand,
    stepDue,
    run(speed) {
      runAt(table, speed)
      moveByLook(root, table.settings.look, speed)
      loop.ask()
    },
    pause,
    setSound,
    setGlass(on) {
      table.glass = on
      table.drawsCards = true
      loop.ask()
    },
    destroy: () => ends.forEach((end) => end()),
  }
}
