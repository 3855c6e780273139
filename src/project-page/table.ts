import {
  advance,
  deal,
  eventsOf,
  faceOf,
  press,
  resultOf,
  seedFor,
  settingsOf,
  startRound,
  turnBack,
  type Deal,
  type Face,
  type Game,
  type LevelSettings,
  type Round,
  type RoundEvent,
} from '../engine/engine.ts'

/*
 * A table to play at, in plain DOM: yours to change. The rules are the engine's: this file says what was pressed and
 * draws what the round has become.
 */

/** What lies on the table. */
type OnTable = { settings: LevelSettings; dealt: Deal; round: Round; began: number }

/** How often time is told to the engine, in ms. */
const TICK = 100

/** Puts a table into a place on the page, with the first level dealt on it. */
export function showTable(place: HTMLElement, game: Game): void {
  const levels = element('select', { ariaLabel: 'Level' })
  for (const { id, name } of game.levels) levels.append(new Option(name, id))
  const again = element('button', { textContent: 'Deal' })
  const figures = element('p', { className: 'figures' })
  const board = element('div', { className: 'board', role: 'group', ariaLabel: 'Board' })
  const status = element('p', { className: 'said', role: 'status' })
  const back = element('button', { textContent: 'Turn them back' })
  const bar = element('div', { className: 'bar' })
  bar.append(levels, again, figures)
  place.replaceChildren(bar, board, status, back)

  let table: OnTable
  /** how many events were told so far */
  let eventCount = 0
  again.onclick = levels.onchange = layOut
  back.onclick = () => {
    turnBack(table.round, now())
    draw()
  }
  layOut()
  setInterval(() => {
    advance(table.round, now())
    draw()
  }, TICK)

  function now(): number {
    return Math.round(performance.now() - table.began)
  }

  /** Deals the chosen level anew. */
  function layOut(): void {
    const level = levels.value
    const seed = orThrow(seedFor(game, level, Date.now(), Math.floor(Math.random() * 2 ** 32)))
    const firstDeal = orThrow(deal(game, level, seed))
    const settings = orThrow(settingsOf(game, level))
    const round = orThrow(startRound(game, firstDeal))
    table = { settings, dealt: firstDeal, round, began: performance.now() }
    eventCount = 0
    hear('deal', settings)
    board.dataset.level = level
    place.style.setProperty('--table', settings.look.table)
    place.style.setProperty('--flip', `${settings.look.flipTime}ms`)
    board.style.setProperty('--columns', String(firstDeal.columns))
    board.style.setProperty('--rows', String(firstDeal.rows))
    let count = 0
    board.replaceChildren(
      ...firstDeal.cells.map((card, cell) => (card === null ? gap() : cardAt(cell, ++count))),
    )
    draw()
  }

  /** The card of a cell, and which it is among the cards, from 1. */
  function cardAt(cell: number, number: number): HTMLElement {
    const card = element('button', { className: 'card' })
    const { ink, paper } = table.settings.look.back ?? game.deck.back
    card.style.setProperty('--back-ink', ink)
    card.style.setProperty('--back-paper', paper)
    const name = wordsOn(game, table.dealt.cells[cell]!)
    card.append(drawnFace(orThrow(faceOf(game, table.dealt.cards[cell]!)), name))
    const { marks } = table.settings.look
    if (marks !== 'none')
      card.dataset.mark = marks === 'cells' ? nameOf(cell, table.dealt.columns) : String(number)
    card.onclick = () => {
      press(table.round, now(), cell)
      draw()
    }
    return card
  }

  /** Makes the page show what the round has become. */
  function draw(): void {
    const { round, settings, dealt } = table
    for (const [cell, state] of round.states.entries()) {
      const card = board.children[cell] as HTMLElement
      if (state === null) continue
      const isOpen = round.phase === 'first-look' || state === 'up' || state === 'matched'
      card.dataset.state = isOpen && state === 'down' ? 'up' : state
      const where = nameOf(cell, dealt.columns)
      card.ariaLabel = isOpen ? `${where}, ${wordsOn(game, dealt.cells[cell]!)}` : `${where}, face down`
      if (state === 'gone') card.ariaLabel = `${where}, taken`
    }
    for (const { kind } of eventsOf(round).slice(eventCount))
      if (kind in MOMENTS) hear(MOMENTS[kind as 'flip'], settings)
    eventCount = eventsOf(round).length
    figures.textContent = figuresOf(round, settings)
    const isOver = round.phase === 'won' || round.phase === 'lost'
    again.hidden = levels.hidden = isOver && settings.finish.rounds === 'one'
    // a screen reader reads each writing anew
    const line = lineFor(round, settings)
    if (status.textContent !== line) status.textContent = line
    back.hidden = !(round.phase === 'judged' && !round.judgedMatch && settings.turn.onMiss === 'button')
  }
}

/** A cell's name: "C3". */
const nameOf = (cell: number, columns: number): string =>
  `${String.fromCharCode(65 + (cell % columns))}${Math.floor(cell / columns) + 1}`

/** The line of figures: those that the level has. */
function figuresOf(round: Round, { clock, limits }: LevelSettings): string {
  const { turns, score, lives, timeUsed } = resultOf(round)
  const time = clock.mode === 'down' ? Math.max(0, round.clock.limit - timeUsed) : timeUsed
  return [
    clock.mode === 'off'
      ? ''
      : `time ${Math.floor(time / 60_000)}:${String(Math.floor(time / 1000) % 60).padStart(2, '0')}`,
    limits.turns === null ? `turns ${turns}` : `turns ${turns} of ${limits.turns}`,
    lives === null ? '' : `lives ${lives}`,
    `score ${score}`,
  ]
    .filter(Boolean)
    .join(' · ')
}

/** What to say of the last thing that happened. */
function lineFor(round: Round, { players }: LevelSettings): string {
  if (round.phase === 'first-look') return 'Look well …'
  const lastEvent = eventsOf(round).findLast(({ kind }) => kind in LINES)
  // each line takes its own kind of event
  return lastEvent ? LINES[lastEvent.kind as keyof typeof LINES](lastEvent as never, players.names) : ''
}
const LINES = {
  match: ({ how }: RoundEvent & { kind: 'match' | 'miss' }) =>
    how === 'lucky' ? 'A lucky pair!' : 'A pair!',
  miss: ({ how }: RoundEvent & { kind: 'match' | 'miss' }) =>
    how === 'slip' ? 'Not a pair, and you had seen one of them' : 'Not a pair',
  'turned-back': () => 'Turned back',
  passed: ({ to }: RoundEvent & { kind: 'passed' }, names: readonly string[]) => `${names[to]} is next`,
  won: () => 'All pairs found!',
  lost: ({ by }: RoundEvent & { kind: 'lost' }) =>
    ({ clock: 'Time is up.', lives: 'No lives left.', turns: 'No turns left.' })[by],
}

/** The moments that have a sound, by the events that bring them. */
const MOMENTS = { flip: 'flip', match: 'match', miss: 'miss', won: 'win', lost: 'loss' } as const

/** Plays a moment's own sound, if the level has one. Our families are made by the player of a shipped page. */
function hear(
  moment: 'deal' | (typeof MOMENTS)[keyof typeof MOMENTS],
  { sound, volumes }: LevelSettings,
): void {
  const own = sound[moment]
  if (!sound.on || typeof own !== 'object') return
  const player = new Audio(own.src)
  player.volume = (sound.volume * volumes[moment]) / 100 ** 2
  // before the first press a browser refuses to make a sound
  void player.play().catch(() => undefined)
}

/**
 * A face, as large as its card: a picture of the library is a file, an own image is in the game. In the place of one
 * that is not there stands its name. Text never becomes HTML.
 */
function drawnFace(face: Face, name: string): HTMLElement {
  const box = element('span', { className: `face ${face.kind}` })
  if (face.paper) box.style.background = face.paper
  if (face.ink) box.style.color = face.ink
  if (face.kind === 'text') box.textContent = face.text
  else {
    const src = face.kind === 'picture' ? `pictures/${face.name}.svg` : face.src
    box.append(element('img', { src, alt: '', draggable: false, onerror: () => box.replaceChildren(name) }))
  }
  return box
}

/** What is on a card, in words. In: its name in a deal, such as "cog/a". */
function wordsOn(game: Game, card: string): string {
  const [id, side] = card.split('/')
  const pair = game.deck.pairs.find((one) => one.id === id)!
  const face = (side === 'b' && pair.b) || pair.a
  return face.alt ?? (face.kind === 'text' ? face.text : pair.name)
}

const gap = (): HTMLElement => element('span', {})

function element<Tag extends keyof HTMLElementTagNameMap>(
  tag: Tag,
  given: Partial<HTMLElementTagNameMap[Tag]>,
): HTMLElementTagNameMap[Tag] {
  return Object.assign(document.createElement(tag), given)
}

/** The engine returns what went wrong; here that ends the program, with its place and reason. */
export function orThrow<T>(
  result: { ok: true; value: T } | { ok: false; problem: { at: string; message: string } },
): T {
  if (result.ok) return result.value
  throw new Error(`${result.problem.at}: ${result.problem.message}`)
}
