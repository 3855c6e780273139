import Dexie, { type Table } from 'dexie'
import { ref } from 'vue'
import type { Game } from '../../core/game/game.ts'
import { withLaterKeys } from '../../core/settings/later-keys.ts'
import { newId } from '../../core/settings/new-id.ts'
import { packed, rememberSound, unpack, type StoredImage } from './art.ts'
import { frameText, gameOf, partsOf, plainJson, type Parts } from './game-parts.ts'
import { nextTask } from './next-task.ts'

/**
 * The only access to the browser's storage. Every game is one row; `rev` grows with each save, so no tab overwrites
 * another unseen; `removed`: since when it has been in the bin, in ms.
 */
export type StoredGame = { key: string; game: Game; rev: number; touched: number; removed?: number }
/** The same as it is stored: the game's frame as text, with the hashes of its images. */
type GameRow = Omit<StoredGame, 'game'> & { frame: string; art: string[] }
/**
 * A step of a game's history: what it does, and the changes that lead to it from the next game, as text. `past`: it can
 * be undone, else redone.
 */
export type KeptStep = { id: number; label: string; at: number; text: string; past: boolean }
type StepRow = KeptStep & { key: string }
/** A part of a game, `at` counting from 0, as text. */
type PartRow = { key: string; at: number; text: string }
type NoteRow = { name: string; value: unknown }

class Shelf extends Dexie {
  games!: Table<GameRow, string>
  parts!: Table<PartRow, [string, number]>
  steps!: Table<StepRow, [string, number]>
  notes!: Table<NoteRow, string>
  /** the own images of all games; rows of `games` refer to them */
  art!: Table<StoredImage, string>
  constructor() {
    super('lucky-twin')
    // a save only checks whether the row it started from is still the newest
    this.version(1).stores({
      games: 'key, [key+rev]',
      parts: '[key+at]',
      steps: '[key+id]',
      notes: 'name',
      art: 'hash',
    })
    // a later version, and how it takes over what is stored, goes here: CONTRIBUTING.md
  }
}

const allOf = (key: string): [[string, number], unknown[]] => [
  [key, 0],
  [key, Dexie.maxKey],
]

const db = new Shelf()
/** Everything that belongs to a game is read and written in one transaction. */
const TABLES = [db.games, db.parts, db.art, db.steps]
/** All stored steps of a game. */
const stepsUnder = (key: string) => db.steps.where('[key+id]').between(...allOf(key))
/** All parts of a game. */
const partsUnder = (key: string) => db.parts.where('[key+at]').between(...allOf(key))
/** The parts of a game as they are stored at this rev: unchanged ones are not written again. */
const cache = new Map<string, { rev: number; parts: Parts }>()
/** The stored steps of a game as this tab last wrote them. */
const storedSteps = new Map<string, Map<number, string>>()
/** How long parts are written at a time before the page gets a break, in ms. */
const STRETCH = 8
/** The browser's message when it refused to store something; empty while all is well. */
export const storageProblem = ref('')
/** Replaces a storage that keeps nothing at all; it lasts as long as this tab. */
const memory = new Map<string, StoredGame>()
let refused = false

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lucky-twin')
/** Who is notified of games that another tab changed; the next save here overwrites its version as a whole. */
const tellers = new Set<(key: string) => void>([
  (key) => {
    cache.delete(key)
    storedSteps.delete(key)
  },
])
channel?.addEventListener('message', ({ data }: MessageEvent<string>) =>
  tellers.forEach((tell) => tell(data)),
)

/** Calls back with the key of every game that another tab saved or removed. Out: stops listening. */
export function onOtherTab(tell: (key: string) => void): () => void {
  tellers.add(tell)
  return () => void tellers.delete(tell)
}

export class SaveConflict extends Error {}

/** A rev that no tab holds of any game: saves count on from one by one, and never get that far. */
let lastNewRev = 0
const newRev = (): number => (lastNewRev = Math.max(lastNewRev + 1, Date.now()))

async function open(): Promise<boolean> {
  if (refused) return false
  try {
    await db.open()
    return true
  } catch (error) {
    refused = true
    storageProblem.value = `This browser does not let Lucky Twin keep games (${(error as Error).name}). What you make here lasts until the tab is closed: save it as a file.`
    return false
  }
}

/** Rows with their parts and images put back; `parts` in the order of their keys. */
async function joinRows(rows: GameRow[], parts: PartRow[]): Promise<StoredGame[]> {
  const hashes = [...new Set(rows.flatMap((row) => row.art))]
  const art = new Map<string, string>()
  for (const one of await db.art.bulkGet(hashes)) {
    if (!one) continue
    rememberSound(one)
    art.set(one.hash, one.src)
  }
  const texts = new Map(rows.map(({ key }): [string, string[]] => [key, []]))
  for (const { key, text } of parts) texts.get(key)?.push(text)
  return rows.map(({ key, rev, touched, removed, frame }) => {
    const stored = gameOf(frame, texts.get(key)!)
    const game = { ...stored, house: withLaterKeys(stored.house) }
    return { key, rev, touched, ...(removed ? { removed } : {}), game: unpack(game, art) }
  })
}

/** A row as it will be stored: what has to be written of it, and all its parts then. */
type GameWrite = { row: GameRow; texts: PartRow[]; art: StoredImage[]; parts: Parts }

/**
 * Prepares a row for writing, without the parts that are `known` to be stored. A lot of work is split over several
 * frames, except on a page that is closing.
 */
async function rowsOf(
  { key, rev, touched, removed, game }: StoredGame,
  before: Parts = new Map(),
): Promise<GameWrite> {
  let began = performance.now()
  const parts = partsOf(game, before)
  const { game: light, art } = packed(game)
  const texts: PartRow[] = []
  for (const [at, part] of partsOf(light)) {
    if (parts.get(at) === before.get(at)) continue
    texts.push({ key, at, text: plainJson(part) })
    if (performance.now() - began < STRETCH) continue
    await nextTask()
    began = performance.now()
  }
  const hashes = art.map(({ hash }) => hash)
  const row: GameRow = {
    key,
    rev,
    touched,
    ...(removed ? { removed } : {}),
    frame: frameText(light),
    art: hashes,
  }
  return { row, texts, art, parts }
}

/**
 * Stores a prepared row, with the steps of its history: other stored steps are dropped. Within a transaction. Each
 * answer of the storage has to wait until the page has time for it, so everything is looked up at once and written at
 * once. A save gives the rev that must be there (`before`, 0 for none), or it throws SaveConflict; its transaction ends
 * here, and no longer needs the page. Out: the steps as they are then stored.
 */
async function put(
  { row, texts, art, parts }: GameWrite,
  history: readonly KeptStep[],
  before: number | null = null,
): Promise<Map<number, string>> {
  const { key } = row
  const [, images, places, steps] = await Promise.all([
    before === null ? null : isNewest(key, before),
    row.art.length ? db.art.where('hash').anyOf(row.art).primaryKeys() : ([] as string[]),
    partsUnder(key).primaryKeys(),
    stepsUnder(key).primaryKeys(),
  ])
  const cachedSteps = storedSteps.get(key)
  const now = new Map(history.map((step) => [step.id, `${step.past} ${step.text}`]))
  // a step whose changes are the same is not written again
  const there = new Set(steps.map(([, id]) => id).filter((id) => cachedSteps?.get(id) === now.get(id)))
  const writing = [
    db.art.bulkPut(art.filter(({ hash }) => !images.includes(hash))),
    db.parts.bulkPut(texts),
    db.parts.bulkDelete(places.filter(([, at]) => !parts.has(at))),
    db.steps.bulkDelete(steps.filter(([, id]) => !now.has(id))),
    db.steps.bulkPut(history.filter(({ id }) => !there.has(id)).map((step) => ({ key, ...step }))),
    db.games.put(row),
  ]
  if (before !== null) Dexie.currentTransaction.idbtrans.commit()
  await Promise.all(writing)
  return now
}

/** Every game of this browser, including those in the bin. */
export async function allGames(): Promise<StoredGame[]> {
  if (!(await open())) return [...memory.values()]
  return db.transaction('r', TABLES, async () => joinRows(await db.games.toArray(), await db.parts.toArray()))
}

/** The stored steps of a game, in any order. */
export async function stepsOf(key: string): Promise<KeptStep[]> {
  return (await open()) ? stepsUnder(key).toArray() : []
}

/** A game on the shelf; one in the bin counts as missing. */
export async function oneGame(key: string): Promise<StoredGame | undefined> {
  const row = await anyGame(key)
  return row?.removed ? undefined : row
}

/** A game on the shelf or in the bin. */
export async function anyGame(key: string): Promise<StoredGame | undefined> {
  if (!(await open())) return memory.get(key)
  const game = await db.transaction('r', TABLES, async () => {
    const row = await db.games.get(key)
    return row && (await joinRows([row], await partsUnder(key).toArray()))[0]
  })
  if (game) cache.set(key, { rev: game.rev, parts: partsOf(game.game) })
  return game
}

/** Drops images that no game shows any more. */
export async function sweepArt(): Promise<void> {
  if (!(await open())) return
  await db.transaction('rw', db.games, db.art, async () => {
    const used = new Set((await db.games.toArray()).flatMap((row) => row.art))
    const all = await db.art.toCollection().primaryKeys()
    await db.art.bulkDelete(all.filter((hash) => !used.has(hash)))
  })
}

/**
 * Saves a game, and takes it out of the bin. `before` is the rev that was read (0 for a new row), `history` all steps
 * that can be undone and redone from it: other stored steps are dropped. Out: the new rev. Throws SaveConflict if another tab has saved since, and
 * whatever the browser throws when storage is full.
 */
export async function keepGame(
  key: string,
  game: Game,
  before: number,
  history: readonly KeptStep[] = [],
): Promise<number> {
  const row: StoredGame = { key, game, rev: before ? before + 1 : newRev(), touched: Date.now() }
  if (await open()) {
    const storedGame = cache.get(key)
    const writing = await rowsOf(row, storedGame?.rev === before ? storedGame.parts : undefined)
    await nextTask()
    storedSteps.set(key, await db.transaction('rw', TABLES, () => put(writing, history, before)))
    cache.set(key, { rev: row.rev, parts: writing.parts })
  } else {
    if ((memory.get(key)?.rev ?? 0) !== before) throw new SaveConflict()
    memory.set(key, row)
  }
  channel?.postMessage(key)
  return row.rev
}

/** Throws SaveConflict if the row stored under a key is not the one that was read. Within a transaction. */
async function isNewest(key: string, before: number): Promise<void> {
  const there = before
    ? await db.games.where('[key+rev]').equals([key, before]).count()
    : await db.games.where('key').equals(key).count()
  if (Boolean(there) !== before > 0) throw new SaveConflict()
}

/**
 * A game to be laid beside all others, under its key or one like it; or in place of what is under its key, which then
 * goes into the bin.
 */
export type RestoredGame = Omit<StoredGame, 'rev'> & { how: 'add' | 'replace' }

/**
 * Lays games on the shelf without a history, all of them or none. What another tab has saved until then is what goes
 * into the bin; a tab that has one of these games open finds that it was changed. In: `progress` gets the share done,
 * 0 to 1; nothing is laid if `signal` is aborted. Throws its reason, and whatever the browser throws when storage is
 * full.
 */
export async function layGames(
  games: readonly RestoredGame[],
  progress: (share: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<void> {
  const newKeys: string[] = []
  const step = (done: number): void => {
    signal?.throwIfAborted()
    progress(done / (2 * games.length))
  }
  if (await open()) {
    const writings: GameWrite[] = []
    for (const { how: _, ...game } of games) {
      step(writings.length)
      writings.push(await rowsOf({ ...game, rev: newRev() }))
      await nextTask()
    }
    await db.transaction('rw', TABLES, async () => {
      const keys = new Set(await db.games.toCollection().primaryKeys())
      for (const [i, one] of writings.entries()) {
        step(games.length + i)
        const { key } = one.row
        const there = games[i]!.how === 'replace' ? await db.games.get(key) : undefined
        const freeKey = newId(key, keys, 'game')
        keys.add(freeKey)
        if (there) await binCopy(there, freeKey)
        await put(there ? one : underKey(one, freeKey), [])
        newKeys.push(there ? key : freeKey)
      }
    })
  } else
    for (const { how, ...game } of games) {
      const there = how === 'replace' ? memory.get(game.key) : undefined
      const freeKey = newId(game.key, memory.keys(), 'game')
      if (there) memory.set(freeKey, { ...there, key: freeKey, removed: Date.now() })
      const key = there ? game.key : freeKey
      memory.set(key, { ...game, key, rev: newRev() })
      newKeys.push(key)
    }
  for (const key of newKeys) {
    cache.delete(key)
    storedSteps.delete(key)
    channel?.postMessage(key)
  }
}

/** What is prepared for one key, for another. */
const underKey = (one: GameWrite, key: string): GameWrite => ({
  ...one,
  row: { ...one.row, key },
  texts: one.texts.map((part) => ({ ...part, key })),
})

/** Copies a stored game into the bin under a new key, without its history. Within a transaction. */
async function binCopy(row: GameRow, key: string): Promise<void> {
  const parts = await partsUnder(row.key).toArray()
  await db.parts.bulkPut(parts.map((part) => ({ ...part, key })))
  await db.games.put({ ...row, key, rev: newRev(), removed: Date.now() })
}

/** Puts a game into the bin at a time, or back on the shelf (null). */
export async function setRemoved(key: string, since: number | null): Promise<void> {
  if (await open())
    await db.transaction('rw', db.games, async () => {
      const row = await db.games.get(key)
      if (!row) return
      // a tab that has it open finds that it was changed, before it saves
      const { removed: _, ...rest } = { ...row, rev: newRev() }
      await db.games.put(since === null ? rest : { ...rest, removed: since })
    })
  else {
    const row = memory.get(key)
    if (row) {
      const { removed: _, ...rest } = { ...row, rev: newRev() }
      memory.set(key, since === null ? rest : { ...rest, removed: since })
    }
  }
  channel?.postMessage(key)
}

/** Deletes a game for good, with its history. */
export async function dropGame(key: string): Promise<void> {
  if (await open())
    await db.transaction('rw', TABLES, async () => {
      await db.games.delete(key)
      await partsUnder(key).delete()
      await stepsUnder(key).delete()
    })
  else memory.delete(key)
  channel?.postMessage(key)
}

/** Runs `first` once in the life of this browser's shelf, whichever tab comes first. */
export async function onceEver(name: string, first: () => Promise<StoredGame[]>): Promise<void> {
  const rows = async (): Promise<StoredGame[]> =>
    (await open()) && (await db.notes.get(name)) ? [] : first()
  if (await open()) {
    const writings = await Promise.all((await rows()).map((row) => rowsOf(row)))
    if (writings.length)
      await db.transaction('rw', [...TABLES, db.notes], async () => {
        if (await db.notes.get(name)) return
        await db.notes.put({ name, value: true })
        for (const one of writings) await put(one, [])
      })
  } else if (memory.size === 0) for (const row of await rows()) memory.set(row.key, row)
}
