/**
 * Deals made from the words of docs/shuffle.md alone, sharing no code with what that page describes. Slow and plain: it
 * follows the page step by step.
 */

type Fill = { pick: 'first' | 'random'; repeat: 'never' | 'evenly' | 'at-random' | 'with-replacement' }
/** A level as the page needs it. `related` says it of each pair of the deck; gaps are cell indices. */
export type PageLevel = {
  related: boolean[]
  rows: number
  columns: number
  gaps: number[]
  fill: Fill
  way: 'shuffled' | 'in-order' | 'apart' | 'close'
  steps: number
}
type Draw = (n: number) => number
/** A card as the page writes it: its pair and its side. */
type RebuiltCard = { pair: number; side: 'a' | 'b'; related: boolean }
const sameFace = (x: RebuiltCard, y: RebuiltCard): boolean => x.pair === y.pair && x.side === y.side
const match = (x: RebuiltCard, y: RebuiltCard): boolean =>
  x.pair === y.pair && (!x.related || x.side !== y.side)

// 2: the hash, on bytes
function murmur(bytes: number[], seed: number): number[] {
  const M = 0xffffffffn
  const mul = (x: bigint, y: bigint): bigint => (x * y) & M
  const rot = (x: bigint, r: bigint): bigint => ((x << r) | (x >> (32n - r))) & M
  const [c1, c2, c3, c4] = [0x239b961bn, 0xab0e9789n, 0x38b34ae5n, 0xa1e38b93n]
  let [h1, h2, h3, h4] = [BigInt(seed), BigInt(seed), BigInt(seed), BigInt(seed)]
  const word = (at: number): bigint =>
    [0, 1, 2, 3].reduce((sum, i) => sum | (BigInt(bytes[at + i] ?? 0) << BigInt(8 * i)), 0n)
  const blocks = Math.floor(bytes.length / 16)
  for (let b = 0; b < blocks; b++) {
    const [k1, k2, k3, k4] = [word(b * 16), word(b * 16 + 4), word(b * 16 + 8), word(b * 16 + 12)]
    h1 = (mul(rot((h1 ^ mul(rot(mul(k1, c1), 15n), c2)) & M, 19n) + h2, 5n) + 0x561ccd1bn) & M
    h2 = (mul(rot((h2 ^ mul(rot(mul(k2, c2), 16n), c3)) & M, 17n) + h3, 5n) + 0x0bcaa747n) & M
    h3 = (mul(rot((h3 ^ mul(rot(mul(k3, c3), 17n), c4)) & M, 15n) + h4, 5n) + 0x96cd1c35n) & M
    h4 = (mul(rot((h4 ^ mul(rot(mul(k4, c4), 18n), c1)) & M, 13n) + h1, 5n) + 0x32ac3b17n) & M
  }
  const tail = blocks * 16
  const left = bytes.length - tail
  if (left > 12) h4 ^= mul(rot(mul(word(tail + 12), c4), 18n), c1)
  if (left > 8) h3 ^= mul(rot(mul(word(tail + 8), c3), 17n), c4)
  if (left > 4) h2 ^= mul(rot(mul(word(tail + 4), c2), 16n), c3)
  if (left > 0) h1 ^= mul(rot(mul(word(tail), c1), 15n), c2)
  const fmix = (x: bigint): bigint => {
    let h = x
    h = mul(h ^ (h >> 16n), 0x85ebca6bn)
    h = mul(h ^ (h >> 13n), 0xc2b2ae35n)
    return h ^ (h >> 16n)
  }
  const n = BigInt(bytes.length)
  h1 ^= n
  h2 ^= n
  h3 ^= n
  h4 ^= n
  h1 = (h1 + h2 + h3 + h4) & M
  ;[h2, h3, h4] = [(h2 + h1) & M, (h3 + h1) & M, (h4 + h1) & M]
  ;[h1, h2, h3, h4] = [fmix(h1), fmix(h2), fmix(h3), fmix(h4)]
  h1 = (h1 + h2 + h3 + h4) & M
  return [h1, (h2 + h1) & M, (h3 + h1) & M, (h4 + h1) & M].map(Number)
}

const PURPOSES = { picking: 1, shuffling: 2, swaps: 3 }
export type PagePurpose = keyof typeof PURPOSES
export const pageHash = (seed: string, purpose: PagePurpose): number[] => {
  const bytes = [...seed.normalize('NFC')].flatMap((letter) => {
    const point = letter.codePointAt(0)!
    return [point & 255, (point >> 8) & 255, (point >> 16) & 255, point >>> 24]
  })
  return murmur(bytes, PURPOSES[purpose])
}

export function pageNumbers(seed: string, purpose: PagePurpose): () => number {
  const W = (1n << 64n) - 1n
  const [h1, h2, h3, h4] = pageHash(seed, purpose).map(BigInt)
  let [s0, s1] = [(h1! << 32n) + h2!, (h3! << 32n) + h4!]
  const rot = (x: bigint, r: bigint): bigint => ((x << r) | (x >> (64n - r))) & W
  return () => {
    const sum = (s0 + s1) & W
    s1 ^= s0
    s0 = rot(s0, 24n) ^ s1 ^ ((s1 << 16n) & W)
    s1 = rot(s1, 37n)
    return Number(sum & 0xffffffffn)
  }
}

// 3
function drawsOf(seed: string, purpose: PagePurpose): Draw {
  const next = pageNumbers(seed, purpose)
  return (n) => {
    for (;;) {
      const p = BigInt(next()) * BigInt(n)
      const low = Number(p & 0xffffffffn)
      if (low >= 2 ** 32 % n) return Number(p >> 32n)
    }
  }
}
const swap = <T>(list: T[], i: number, j: number): void => {
  const one = list[i]!
  list[i] = list[j]!
  list[j] = one
}
function shuffled<T>(list: T[], draw: Draw): T[] {
  for (let i = list.length - 1; i > 0; i--) swap(list, i, draw(i + 1))
  return list
}
const upTo = (n: number): number[] => Array.from({ length: n }, (_, i) => i)

// 4
function chosen(k: number, count: number, { pick }: Fill, draw: Draw): number[] {
  const places = upTo(k)
  if (pick === 'random' && count < k) for (let i = 0; i < count; i++) swap(places, i, i + draw(k - i))
  return places.slice(0, count).sort((a, b) => a - b)
}
function filled({ related, fill }: PageLevel, n: number, seed: string): number[] {
  const draw = drawsOf(seed, 'picking')
  const k = related.length
  if (fill.repeat === 'with-replacement' || (fill.repeat === 'at-random' && k < n))
    return upTo(n)
      .map(() => draw(k))
      .sort((a, b) => a - b)
  if (k >= n) return chosen(k, n, fill, draw)
  const entries = chosen(k, n % k, fill, draw)
  for (let times = 0; times < Math.floor(n / k); times++) entries.push(...upTo(k))
  return entries.sort((a, b) => a - b)
}

// 5
const cardsFor = (entries: number[], related: boolean[]): RebuiltCard[] =>
  entries.flatMap((pair) => [
    { pair, side: 'a' as const, related: related[pair]! },
    { pair, side: related[pair] ? ('b' as const) : ('a' as const), related: related[pair]! },
  ])

export function pageDeal(level: PageLevel, seed: string): string[] {
  const cells = upTo(level.rows * level.columns)
  const places = cells.filter((cell) => !level.gaps.includes(cell))
  const entries = filled(level, places.length / 2, seed)
  const repeated =
    level.related.length < places.length / 2 ||
    (level.fill.repeat === 'with-replacement' && places.length > 2)
  let cards = cardsFor(entries, level.related)
  if (level.way === 'shuffled') cards = shuffled(cards, drawsOf(seed, 'shuffling'))
  else if (level.way === 'apart' && repeated && level.steps > 1)
    cards = repeatsApart(level, places, cards, seed)
  else if (level.way !== 'in-order') cards = onMatching(level, places, cards, seed)
  return cells.map((cell) => {
    const at = places.indexOf(cell)
    const card = cards[at]
    return card ? `${card.pair}${card.related ? card.side : ''}` : '.'
  })
}

const kingSteps = (x: number, y: number, columns: number): number =>
  Math.max(
    Math.abs(Math.floor(x / columns) - Math.floor(y / columns)),
    Math.abs((x % columns) - (y % columns)),
  )

// 6
function onMatching(
  { columns, way, steps }: PageLevel,
  places: number[],
  cards: RebuiltCard[],
  seed: string,
): RebuiltCard[] {
  const near = places.map((x, i) =>
    upTo(places.length).filter((j) => {
      const apart = kingSteps(x, places[j]!, columns)
      return j !== i && (way === 'apart' ? apart >= steps : apart <= steps)
    }),
  )
  const mates = leastMatching(near)!
  const draw = drawsOf(seed, 'swaps')
  for (let worm = 0; worm < 2 * places.length; worm++) {
    const tail = draw(places.length)
    let head = mates[tail]!
    for (;;) {
      const n = near[head]![draw(near[head]!.length)]!
      if (n === tail) break
      const beyond = mates[n]!
      mates[head] = n
      mates[n] = head
      head = beyond
    }
    mates[head] = tail
    mates[tail] = head
  }
  const shuffle = drawsOf(seed, 'shuffling')
  const order = shuffled(upTo(places.length / 2), shuffle)
  const laid: RebuiltCard[] = []
  mates.forEach((mate, place) => {
    if (laid[place]) return
    const entry = order.shift()! * 2
    const turned = shuffle(2)
    laid[place] = cards[entry + turned]!
    laid[mate] = cards[entry + 1 - turned]!
  })
  return laid
}

/** By trying, lowest first: the boards of the tests are small enough. */
export function leastMatching(near: number[][], mates: number[] = near.map(() => -1)): number[] | null {
  const place = mates.indexOf(-1)
  if (place < 0) return mates
  for (const other of near[place]!) {
    if (mates[other] !== -1) continue
    const next = [...mates]
    next[place] = other
    next[other] = place
    const found = leastMatching(near, next)
    if (found) return found
  }
  return null
}

// 7
function repeatsApart(level: PageLevel, places: number[], cards: RebuiltCard[], seed: string): RebuiltCard[] {
  const { columns, steps } = level
  const N = places.length
  const nearOf = upTo(N).map((i) =>
    upTo(N).filter((j) => i !== j && kingSteps(places[i]!, places[j]!, columns) < steps),
  )
  const isNear = (i: number, j: number): boolean => nearOf[i]!.includes(j)
  const pairsOf = (holds: (i: number, j: number) => boolean): number =>
    upTo(N).reduce((sum, i) => sum + upTo(i).filter((j) => holds(i, j)).length, 0)
  const close = (list: RebuiltCard[]): number => pairsOf((i, j) => isNear(i, j) && match(list[i]!, list[j]!))
  const closeAt = (list: RebuiltCard[], i: number): number =>
    nearOf[i]!.filter((j) => match(list[i]!, list[j]!)).length

  const swapAbout = (list: RebuiltCard[], draw: Draw, blocks: number): boolean => {
    const mean = (pairsOf((i, j) => match(list[i]!, list[j]!)) * pairsOf(isNear)) / ((N * (N - 1)) / 2)
    let m = Math.max(2, Math.ceil(mean))
    for (let block = 1; close(list) > 0; block++) {
      if (block > blocks) return false
      if (block % 50 === 0) m *= 2
      for (let left = 20 * N; left > 0; left--) {
        const i = draw(N)
        const j = draw(N)
        if (i === j || sameFace(list[i]!, list[j]!)) continue
        const before = closeAt(list, i) + closeAt(list, j)
        swap(list, i, j)
        const worse = closeAt(list, i) + closeAt(list, j) - before
        for (let d = 0; d < worse; d++)
          if (draw(m) !== 0) {
            swap(list, i, j)
            break
          }
      }
    }
    return true
  }
  const mended = (list: RebuiltCard[], draw: Draw): boolean => {
    const rounds = Math.min(200, Math.round(1.6e6 / N ** 2))
    for (let round = 0; round < rounds && close(list) > 0; round++)
      for (let place = 0; place < N; place++)
        for (let left = 30; left > 0 && closeAt(list, place) > 0; left--) {
          const j = draw(N)
          if (j === place || sameFace(list[j]!, list[place]!)) continue
          const before = closeAt(list, place) + closeAt(list, j)
          swap(list, place, j)
          if (closeAt(list, place) + closeAt(list, j) <= before) break
          swap(list, place, j)
        }
    return close(list) === 0
  }
  const groupsIn = (list: RebuiltCard[]): Map<number, RebuiltCard[]> => {
    const groups = new Map<number, RebuiltCard[]>()
    for (const card of list) groups.set(card.pair, [...(groups.get(card.pair) ?? []), card])
    return groups
  }
  const onLattice = (list: RebuiltCard[]): RebuiltCard[] => {
    const sets = new Map<string, number[]>()
    places.forEach((cell, place) => {
      const key = `${Math.floor(cell / columns) % steps} ${(cell % columns) % steps}`
      sets.set(key, [...(sets.get(key) ?? []), place])
    })
    const laid: RebuiltCard[] = []
    const over: RebuiltCard[] = []
    for (const group of [...groupsIn(list).values()].sort((x, y) => y.length - x.length)) {
      const room = [...sets.values()]
        .filter((set) => set.length >= group.length)
        .sort((x, y) => x.length - y.length)
      if (room[0]) for (const card of group) laid[room[0].shift()!] = card
      else over.push(...group)
    }
    return upTo(N).map((place) => laid[place] ?? over.shift()!)
  }
  const find = (list: RebuiltCard[]): { laid: RebuiltCard[]; bySwaps: boolean } | null => {
    const draw = drawsOf('limit', 'swaps')
    const blocks = Math.min(60, Math.round(1.5e8 / N ** 3))
    const lattice = onLattice(list)
    const even = close(lattice) === 0
    const mixed = shuffled([...list], draw)
    if (swapAbout(mixed, draw, even ? Math.floor(blocks / 2) : blocks)) return { laid: mixed, bySwaps: true }
    if (even || mended(lattice, draw)) return { laid: lattice, bySwaps: false }
    return mended(mixed, draw) ? { laid: mixed, bySwaps: false } : null
  }
  const fillWith = (identicalMore: number | null): RebuiltCard[] => {
    const k = level.related.length
    const extra = (N / 2) % k
    let more = upTo(extra)
    if (identicalMore !== null) {
      const identical = upTo(k).filter((pair) => !level.related[pair])
      const related = upTo(k).filter((pair) => level.related[pair])
      more = [...identical.slice(0, identicalMore), ...related.slice(0, extra - identicalMore)]
    }
    const all = [...more, ...upTo(Math.floor(N / 2 / k)).flatMap(() => upTo(k))]
    return cardsFor(
      all.sort((a, b) => a - b),
      level.related,
    )
  }
  const k = level.related.length
  const extra = (N / 2) % k
  const byChance = level.fill.pick === 'random' && extra > 0
  const relatedCount = level.related.filter(Boolean).length
  const fewest = byChance ? Math.max(0, extra - relatedCount) : null
  const first = fillWith(fewest)
  const strict = first.every((card) => card.related)
    ? first
    : first.map(({ pair }) => ({ pair, side: 'a' as const, related: false }))
  let found = find(strict)
  if (!found && relatedCount > 0) {
    // the fill of this very seed; whether the others exist too is checked when a level is made ready
    const own = new Map<number, number>()
    for (const { pair } of cards) own.set(pair, (own.get(pair) ?? 0) + 1)
    const most = Math.max(...own.values())
    const identicalMore = [...own].filter(([pair, count]) => !level.related[pair] && count === most).length
    found = find(fillWith(byChance ? identicalMore : null))
  }
  if (!found) throw new Error('cannot be dealt')

  const draw = drawsOf(seed, 'swaps')
  if (found.bySwaps) {
    const mixed = shuffled([...cards], draw)
    if (swapAbout(mixed, draw, 400)) return mixed
  }
  const model = found.laid
  const kindsApart = model.some((card) => card.related) && model.some((card) => !card.related)
  const keyOf = (group: RebuiltCard[]): string => `${group.length} ${kindsApart && group[0]!.related}`
  const groups = new Map<string, number[]>()
  for (const [pair, group] of groupsIn(cards))
    groups.set(keyOf(group), [...(groups.get(keyOf(group)) ?? []), pair])
  const mixing = drawsOf(seed, 'shuffling')
  for (const group of groups.values()) shuffled(group, mixing)
  const stands = new Map<number, number>()
  for (const [pair, group] of groupsIn(model)) stands.set(pair, groups.get(keyOf(group))!.pop()!)
  const left = [...cards]
  const take = (pair: number, side: 'a' | 'b'): RebuiltCard => {
    for (const wanted of [side, 'a', 'b'] as const) {
      const at = left.findIndex((card) => card.pair === pair && card.side === wanted)
      if (at >= 0) return left.splice(at, 1)[0]!
    }
    throw new Error('no card is left')
  }
  let laid = model.map(({ pair, side }) => take(stands.get(pair)!, side))

  const faces = [...new Map(cards.map((card) => [`${card.pair}${card.side}`, card])).values()].sort(
    (x, y) => x.pair - y.pair || x.side.localeCompare(y.side),
  )
  for (let move = 1; move <= 12 * N; move++) {
    const i = draw(N)
    const f = laid[i]!
    const g = faces.filter((face) => !sameFace(face, f))[draw(faces.length - 1)]!
    const either = (place: number): boolean => sameFace(laid[place]!, f) || sameFace(laid[place]!, g)
    const chainOf = (start: number): number[] => {
      const chain = [start]
      for (const place of chain)
        for (const other of upTo(N))
          if (isNear(place, other) && either(other) && !chain.includes(other)) chain.push(other)
      return chain
    }
    const surplus = (chain: number[]): number =>
      chain.reduce((sum, place) => sum + (sameFace(laid[place]!, f) ? 1 : -1), 0)
    let changed: number[]
    if (move % 2) {
      const j = draw(N)
      if (!sameFace(laid[j]!, g)) continue
      changed = [i, j]
    } else {
      changed = chainOf(i)
      if (surplus(changed) !== 0) {
        const j = draw(N)
        if (!either(j) || changed.includes(j)) continue
        const second = chainOf(j)
        if (surplus(second) !== -surplus(changed)) continue
        changed.push(...second)
      }
    }
    const next = laid.map((card, place) => (changed.includes(place) ? (sameFace(card, f) ? g : f) : card))
    if (changed.every((place) => closeAt(next, place) === 0)) laid = next
  }
  return laid
}
