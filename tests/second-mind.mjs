// A mind and its game, written from docs/odds.md (and docs/shuffle.md for its streams) alone: nothing of the project is
// used here. src/core/odds/page.test.ts compares its presses with those of the project.

// docs/shuffle.md, 1 and 2
function hash(bytes, seed) {
  const M = 0xffffffffn
  const mul = (x, y) => (x * y) & M
  const rot = (x, r) => ((x << r) | (x >> (32n - r))) & M
  const C = [0x239b961bn, 0xab0e9789n, 0x38b34ae5n, 0xa1e38b93n]
  const h = [seed, seed, seed, seed]
  const word = (at, end) => {
    let value = 0n
    for (let i = 0; i < 4; i++) if (at + i < end) value |= BigInt(bytes[at + i]) << BigInt(8 * i)
    return value
  }
  const K = [15n, 16n, 17n, 18n]
  const R = [19n, 17n, 15n, 13n]
  const ADD = [0x561ccd1bn, 0x0bcaa747n, 0x96cd1c35n, 0x32ac3b17n]
  const mix = (k, i) => mul(rot(mul(k, C[i]), K[i]), C[(i + 1) % 4])
  const whole = bytes.length - (bytes.length % 16)
  for (let at = 0; at < whole; at += 16)
    for (let i = 0; i < 4; i++) {
      h[i] ^= mix(word(at + 4 * i, bytes.length), i)
      h[i] = (mul((rot(h[i], R[i]) + h[(i + 1) % 4]) & M, 5n) + ADD[i]) & M
    }
  for (let i = 3; i >= 0; i--)
    if (bytes.length - whole > 4 * i) h[i] ^= mix(word(whole + 4 * i, bytes.length), i)
  const end = () => {
    h[0] = (h[0] + h[1] + h[2] + h[3]) & M
    for (let i = 1; i < 4; i++) h[i] = (h[i] + h[0]) & M
  }
  for (let i = 0; i < 4; i++) h[i] ^= BigInt(bytes.length)
  end()
  for (let i = 0; i < 4; i++) {
    h[i] = mul(h[i] ^ (h[i] >> 16n), 0x85ebca6bn)
    h[i] = mul(h[i] ^ (h[i] >> 13n), 0xc2b2ae35n)
    h[i] ^= h[i] >> 16n
  }
  end()
  return h
}

/** The numbers of a stream. */
function streamOf(text, purpose) {
  const bytes = [...text.normalize('NFC')].flatMap((letter) => {
    const point = letter.codePointAt(0)
    return [point & 255, (point >> 8) & 255, (point >> 16) & 255, 0]
  })
  const h = hash(bytes, BigInt(purpose))
  const W = 2n ** 64n
  const rot = (x, r) => ((x << r) | (x >> (64n - r))) % W
  let [s0, s1] = [h[0] * 2n ** 32n + h[1], h[2] * 2n ** 32n + h[3]]
  return () => {
    const sum = (s0 + s1) % W
    s1 ^= s0
    s0 = rot(s0, 24n) ^ s1 ^ ((s1 << 16n) % W)
    s1 = rot(s1, 37n)
    return Number(sum % 2n ** 32n)
  }
}

// docs/shuffle.md, 3
function draw(stream, n) {
  for (;;) {
    const p = BigInt(stream()) * BigInt(n)
    if (p % 2n ** 32n >= 2n ** 32n % BigInt(n)) return Number(p / 2n ** 32n)
  }
}
function shuffled(list, stream) {
  for (let i = list.length - 1; i > 0; i--) {
    const j = draw(stream, i + 1)
    ;[list[i], list[j]] = [list[j], list[i]]
  }
  return list
}

// docs/odds.md
const happens = (stream, p) => (p <= 0 ? false : p >= 1 ? true : stream() < p * 2 ** 32)

function normal(u) {
  const p = (u + 0.5) / 2 ** 32
  const q = p - 0.5
  if (Math.abs(q) <= 0.425) {
    const r = 0.180625 - q ** 2
    return (
      (q * (3.3871327 + 50.434272 * r + 159.29113 * r ** 2 + 59.109375 * r ** 3)) /
      (1 + 17.895169 * r + 78.757758 * r ** 2 + 67.187564 * r ** 3)
    )
  }
  const r = Math.sqrt(-Math.log(Math.min(p, 1 - p))) - 1.6
  const z =
    (1.4234373 + 2.7568154 * r + 1.3067285 * r ** 2 + 0.17023821 * r ** 3) /
    (1 + 0.73700164 * r + 0.12021133 * r ** 2)
  return q < 0 ? -z : z
}

class Player {
  constructor({ memory, pace }, board, seed, game, seat) {
    const stream = (purpose) => streamOf(`${seed} ${game} ${seat}`, purpose)
    Object.assign(this, { memory, pace, board })
    this.choosing = stream(4)
    this.remembering = stream(5)
    this.pacing = stream(6)
    /** the traces from the oldest to the freshest, each with the time at which it was laid */
    this.traces = []
    this.clock = 0
    /** pairs of traces that match, in the order in which they became complete */
    this.pairs = []
    this.bare = board.cells.flatMap((card, cell) => (card ? [cell] : []))
  }

  leave(cell) {
    const place = this.bare.indexOf(cell)
    if (place < 0) return
    const last = this.bare.pop()
    if (place < this.bare.length) this.bare[place] = last
  }
  lay(cell) {
    const old = this.traces.findIndex((trace) => trace.cell === cell)
    if (old >= 0) {
      this.traces.push(...this.traces.splice(old, 1))
      return
    }
    const trace = { cell }
    for (const other of this.traces) if (this.board.match(other.cell, cell)) this.pairs.push([other, trace])
    this.traces.push(trace)
    this.leave(cell)
  }
  lose(trace) {
    this.traces.splice(this.traces.indexOf(trace), 1)
    this.bare.push(trace.cell)
  }
  hold() {
    const { hold } = this.memory
    while (hold !== null && this.traces.length > hold) this.lose(this.traces[0])
  }
  look(ms) {
    const { glance, notice } = this.memory
    const count = glance > 0 ? Math.floor(ms / glance) : 0
    if (count < 1) return
    const order = shuffled([...this.bare], this.remembering)
    for (const cell of order.slice(0, count)) if (happens(this.remembering, notice)) this.lay(cell)
    this.hold()
  }
  settle(first, second, isMatch) {
    const { notice, fade } = this.memory
    for (const cell of [first, second])
      if (isMatch) {
        this.traces = this.traces.filter((trace) => trace.cell !== cell)
        this.leave(cell)
      } else if (happens(this.remembering, notice)) this.lay(cell)
    this.hold()
    if (fade === 0) return
    let rest = [...this.traces]
    while (rest.length) {
      let kept = 0
      if (fade < 1) {
        const u = this.remembering()
        while (kept < rest.length && u < 2 ** 32 * (1 - fade) ** (kept + 1)) kept++
      }
      if (kept < rest.length) this.lose(rest[kept])
      rest = rest.slice(kept + 1)
    }
  }

  any(first) {
    const { bare, traces, choosing } = this
    const n = bare.includes(first) ? bare.length - 1 : bare.length
    if (n > 0) {
      const cell = bare[draw(choosing, n)]
      return cell === first ? bare.at(-1) : cell
    }
    const others = traces.filter(({ cell }) => cell !== first)
    return others[draw(choosing, others.length)].cell
  }
  press(cell, first) {
    if (!happens(this.choosing, this.memory.blur)) return cell
    const { columns } = this.board
    const column = cell % columns
    const beside = [cell - columns, cell + columns]
    if (column > 0) beside.push(cell - 1)
    if (column + 1 < columns) beside.push(cell + 1)
    const down = beside.filter(
      (one) => one !== first && (this.bare.includes(one) || this.traces.some((trace) => trace.cell === one)),
    )
    return down.length ? down[draw(this.choosing, down.length)] : cell
  }
  first() {
    this.pairs = this.pairs.filter((pair) => pair.every((trace) => this.traces.includes(trace)))
    this.plan = this.pairs[0]?.toSorted((x, y) => this.traces.indexOf(x) - this.traces.indexOf(y))
    if (!this.plan) return this.any(-1)
    const pressed = this.press(this.plan[0].cell, -1)
    if (pressed !== this.plan[0].cell) this.plan = undefined
    return pressed
  }
  second(first) {
    const twin =
      this.plan?.[1] ?? this.traces.findLast(({ cell }) => cell !== first && this.board.match(cell, first))
    return twin ? this.press(twin.cell, first) : this.any(first)
  }
  wait(card) {
    const { spread } = this.pace
    const ms = spread === 0 ? this.pace[card] : this.pace[card] * Math.exp(spread * normal(this.pacing()))
    return Math.max(1, Math.floor(ms + 0.5))
  }
}

/**
 * A game of minds as long as nothing ends it: what is pressed when, `'button'` or a cell, and the time spent waiting
 * after each turn. In: `columns`; `cells`, cards as { pair, side } with side null for an identical pair, null for a
 * gap; the rules of the turn, and whether a match gives another turn; the mind of each seat.
 */
export function playGame({ columns, cells, turn, goesAgain, minds, seed, game, turns }) {
  const board = {
    columns,
    cells,
    match: (x, y) =>
      cells[x].pair === cells[y].pair && (cells[x].side === null || cells[x].side !== cells[y].side),
  }
  const players = minds.map((mind, seat) => new Player(mind, board, seed, game, seat))
  for (const player of players) player.look(turn.firstLook)
  const presses = []
  const waits = []
  let ready = turn.firstLook
  /** the cards of the last turn: when their look is over, and what may turn them back before */
  let open = null
  let seat = 0
  let left = cells.filter(Boolean).length
  while (left > 0 && waits.length < turns) {
    const player = players[seat]
    let at = ready + player.wait('first')
    if (open && open.until > at) {
      if (open.by === 'button') presses.push({ at, press: 'button' })
      else if (turn.duringLook !== 'skip-and-flip') presses.push({ at, press: 'used up' })
    }
    const first = player.first()
    presses.push({ at, press: first })
    at += player.wait('second')
    const second = player.second(first)
    presses.push({ at, press: second })
    const isMatch = board.match(first, second)
    if (isMatch) left -= 2
    for (const one of players) one.settle(first, second, isMatch)
    const look = isMatch ? turn.matchLook : turn.missLook
    const by = isMatch ? 'timed' : turn.onMiss
    open = { by, until: by === 'timed' ? at + look : Infinity }
    const skips = turn.duringLook !== 'wait'
    let wait
    if (by === 'timed' && look === 0) wait = 0
    else if (by === 'button' || skips) wait = 400
    else if (by === 'press') wait = Math.max(look, 400)
    else wait = look
    waits.push(wait)
    ready = at + wait
    if (!(isMatch && goesAgain)) seat = (seat + 1) % players.length
  }
  return { presses, waits }
}
