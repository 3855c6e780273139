// Plays the test games of a kit by rules that were written from its README alone: nothing of the project is used here.
// In: the folder of a kit. It ends with 1 at the first difference.
import { readdirSync, readFileSync } from 'node:fs'
import { isDeepStrictEqual } from 'node:util'

/** A round of one level; `match` tells whether the cards of two cells match. */
function newRound(settings, cells, related) {
  const { turn, clock, limits, score, players } = settings
  const seats = players.names.map(() => ({ matches: 0, misses: 0, score: 0, streak: 0 }))
  const isMany = seats.length > 1
  const state = cells.map((card) => (card === null ? null : 'down'))
  const seen = cells.map(() => 0)
  // cells whose card was turned back alone
  const alone = new Set()
  const events = []
  const count = {
    turns: 0,
    flips: 0,
    matches: 0,
    misses: 0,
    lucky: 0,
    glimpsed: 0,
    slips: 0,
    longestStreak: 0,
  }
  const refused = {}
  let now = 0
  let phase = 'first-look'
  let held = phase
  let pausedAt = 0
  let lookEnds = turn.firstLook
  let [first, second, isMatch] = [null, null, false]
  let seat = 0
  let lives = limits.lives
  let lostBy = null
  let limit = clock.limit
  let [started, used, since] = [false, 0, null]

  const tell = (kind, more = {}) => events.push({ at: now, phase, kind, ...more })
  const waitsForButton = () => phase === 'judged' && !isMatch && turn.onMiss === 'button'
  const waitsForPress = () => phase === 'judged' && lookEnds === null && !waitsForButton()
  const timeUsed = () => (since === null ? used : used + now - since)
  function runClock() {
    const isHeld = clock.lookStopsClock && (lookEnds !== null || waitsForButton())
    const runs = started && (phase === 'ready' || phase === 'one-up' || (phase === 'judged' && !isHeld))
    if (runs === (since !== null)) return
    used = timeUsed()
    since = runs ? now : null
  }
  function nextDue() {
    if (phase === 'paused') return Infinity
    const out = clock.mode === 'down' && since !== null ? since + limit - used + 1 : Infinity
    return Math.min(lookEnds ?? Infinity, out)
  }
  function pass(until) {
    for (let due = nextDue(); due <= until; due = nextDue()) {
      now = due
      if (lookEnds !== null && lookEnds <= now) endLook()
      else end('lost', 'clock')
    }
    now = Math.max(now, until)
  }
  function endLook() {
    lookEnds = null
    if (phase === 'first-look') {
      phase = 'ready'
      if (clock.startsAt === 'deal') started = true
      if (turn.firstLook > 0) tell('first-look-over')
      runClock()
    } else if (!isMatch && turn.onMiss === 'press') runClock()
    else settle('time')
  }
  function settle(by) {
    const to = !isMatch ? 'down' : turn.onMatch === 'leave' ? 'gone' : 'matched'
    const two = { first, second }
    state[first] = state[second] = to
    lookEnds = null
    const goesOn = phase === 'judged'
    if (goesOn) phase = 'ready'
    runClock()
    tell('settled', { ...two, to, by })
    if (goesOn && isMany && !(isMatch && players.matchGoesAgain)) {
      seat = (seat + 1) % seats.length
      tell('passed', { to: seat })
    }
  }
  function end(outcome, by) {
    phase = outcome
    if (by) lostBy = by
    runClock()
    if (by) tell('lost', { by })
  }
  function addPoints(points) {
    const { score: before } = seats[seat]
    seats[seat].score = score.floorAtZero ? Math.max(0, before + points) : before + points
    return seats[seat].score - before
  }
  function changeClock(ms) {
    if (clock.mode === 'off' || ms === 0) return
    if (clock.mode === 'down') limit += ms
    else {
      used = Math.max(0, timeUsed() - ms)
      if (since !== null) since = now
    }
    tell('clock-changed', { by: ms })
  }
  function judge() {
    const me = seats[seat]
    const matches = (a, b) => {
      const [[pair, one], [other, two]] = [cells[a].split('/'), cells[b].split('/')]
      return a !== b && pair === other && (related.has(pair) ? one !== two : true)
    }
    const wasSeen = (cell) => alone.has(cell) || (seen[cell] > 0 && seen[cell] < count.turns)
    count.turns++
    phase = 'judged'
    isMatch = matches(first, second)
    const lookTime = isMatch ? turn.matchLook : turn.missLook
    lookEnds = !isMatch && turn.onMiss === 'button' ? null : now + lookTime
    runClock()
    let how
    let points
    if (isMatch) {
      how = wasSeen(second) ? 'found' : turn.firstLook > 0 ? 'glimpsed' : 'lucky'
      if (how !== 'found') count[how]++
      count.matches++
      me.matches++
      me.streak++
      count.longestStreak = Math.max(count.longestStreak, me.streak)
      const times = Math.min(1 + score.streakStep * (me.streak - 1), score.streakMax)
      points = addPoints(Math.round(score.match * times) + (how === 'lucky' ? score.lucky : 0))
    } else {
      const twinSeen = cells.some(
        (card, cell) =>
          card !== null && cell !== first && matches(first, cell) && wasSeen(cell) && !isTaken(cell),
      )
      how = wasSeen(second) || twinSeen ? 'slip' : 'fresh'
      if (how === 'slip') count.slips++
      count.misses++
      me.misses++
      me.streak = 0
      points = addPoints(-score.miss - (how === 'slip' ? score.slip : 0))
    }
    tell(isMatch ? 'match' : 'miss', { how, turn: count.turns, first, second, streak: me.streak, points })
    if (!isMatch && lives !== null && (limits.livesLostOn === 'miss' || how === 'slip'))
      tell('life-lost', { left: --lives })
    changeClock(isMatch ? clock.matchBonus : -clock.missPenalty)
    if (count.matches * 2 === cells.filter((card) => card !== null).length) {
      const left = clock.mode === 'down' ? Math.max(0, limit - timeUsed()) : 0
      const bonus = score.perSecondLeft * Math.floor(left / 1000) + score.perLifeLeft * (lives ?? 0)
      addPoints(bonus)
      end('won')
      tell('won', { bonus })
    } else if (lives === 0) end('lost', 'lives')
    else if (limits.turns !== null && count.turns >= limits.turns) end('lost', 'turns')
    else if (clock.mode === 'down' && timeUsed() > limit) end('lost', 'clock')
  }
  const isTaken = (cell) => ['matched', 'gone'].includes(state[cell])
  function press(cell) {
    if ((phase === 'ready' || phase === 'one-up') && state[cell] === 'down') {
      const isFirst = phase === 'ready'
      state[cell] = 'up'
      count.flips++
      if (!seen[cell]) seen[cell] = count.turns + 1
      if (isFirst) {
        first = cell
        phase = 'one-up'
        started = true
        runClock()
      } else second = cell
      tell('flip', { cell, turn: count.turns + 1 })
      if (!isFirst) judge()
    } else if (phase === 'one-up' && cell === first && turn.onOpen === 'turn-back') {
      state[cell] = 'down'
      alone.add(cell)
      first = -1
      phase = 'ready'
      tell('turned-back', { cell })
    } else if (phase === 'judged' && (waitsForPress() || (turn.duringLook !== 'wait' && !waitsForButton()))) {
      settle('press')
      if (turn.duringLook === 'skip-and-flip') {
        pass(now)
        press(cell)
      }
    } else {
      const reasons = {
        finished: phase === 'won' || phase === 'lost',
        paused: phase === 'paused',
        'first-look': phase === 'first-look',
        locked: phase === 'judged',
        'no-card': (state[cell] ?? null) === null,
        matched: isTaken(cell),
        'face-up': state[cell] === 'up',
      }
      const reason = Object.keys(reasons).find((one) => reasons[one])
      refused[reason] = (refused[reason] ?? 0) + 1
      tell('refused', { cell, reason })
    }
  }
  function take(input) {
    pass(input.at)
    if (input.do === 'press') press(input.cell)
    else if (input.do === 'turn-back' && waitsForButton()) settle('button')
    else if (input.do === 'pause' && !['paused', 'won', 'lost'].includes(phase)) {
      held = phase
      phase = 'paused'
      pausedAt = now
      runClock()
      tell('paused')
    } else if (input.do === 'resume' && phase === 'paused') {
      phase = held
      if (lookEnds !== null) lookEnds += now - pausedAt
      runClock()
      tell('resumed')
    }
    pass(now)
  }
  function result() {
    const total = seats.reduce((sum, one) => sum + one.score, 0)
    const { by, at } = score.stars ?? {}
    const value = { score: total, turns: count.turns, time: timeUsed() }[by]
    const reached = at?.filter((threshold) => (by === 'score' ? value >= threshold : value <= threshold))
    return {
      ...count,
      outcome: phase === 'won' || phase === 'lost' ? phase : 'open',
      lostBy,
      found: count.matches - count.lucky - count.glimpsed,
      fresh: count.misses - count.slips,
      score: total,
      stars: score.stars ? (phase === 'won' ? reached.length : 0) : null,
      lives,
      timeUsed: timeUsed(),
      refused,
      ...(isMany && { players: seats.map(({ streak: _, ...seat }) => seat) }),
    }
  }
  pass(0)
  return { take, pass, result, events }
}

const folder = process.argv[2]
const read = (name) => readFileSync(`${folder}/${name}`, 'utf8')
const cards = JSON.parse(read('cards.json'))
const related = new Set(cards.filter(({ card }) => card.endsWith('/b')).map(({ pair }) => pair))
const settings = new Map(JSON.parse(read('levels.json')).map((level) => [level.id, level.settings]))
const plain = (value) => JSON.parse(JSON.stringify(value ?? null))
let games = 0
for (const file of readdirSync(`${folder}/test-games`))
  for (const line of read(`test-games/${file}`).trim().split('\n')) {
    const { level, seed, cells, inputs, until, events, result } = JSON.parse(line)
    const round = newRound(settings.get(level), cells, related)
    for (const input of inputs) round.take(input)
    round.pass(until)
    const told = [...events, { result }]
    const mine = [...round.events, { result: round.result() }]
    const at = told.findIndex((one, i) => !isDeepStrictEqual(one, plain(mine[i])))
    if (at >= 0 || mine.length !== told.length) {
      console.log(
        `${level} ${seed} event ${at} told ${JSON.stringify(told[at])} but it is ${JSON.stringify(mine[at])}`,
      )
      process.exit(1)
    }
    games++
  }
console.log(`${games} games as they are told`)
