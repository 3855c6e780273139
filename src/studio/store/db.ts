import Dexie, { type Table } from 'dexie'
import { ref } from 'vue'
import type { Game } from '../../core/game/game.ts'
import { migrateGame } from '../../core/game/migrations.ts'
import { artOf, packed, rememberSound, unpack, type Art } from './art.ts'
import { textOfGame } from './game-text.ts'

/** The one way to the browser's storage. Every game is one row; `rev` grows with each save, so no tab overwrites another unseen. */
export type Kept = { key: string; game: Game; rev: number; touched: number }
/** The same as it is stored: the game as text, with the hashes of its images. */
type Row = Omit<Kept, 'game'> & { text: string; art: string[] }
type Note = { name: string; value: unknown }

class Shelf extends Dexie {
  games!: Table<Row, string>
  notes!: Table<Note, string>
  /** the own images of all games; rows of `games` refer to them */
  art!: Table<Art, string>
  constructor() {
    super('lucky-twin')
    this.version(1).stores({ games: 'key', notes: 'name' })
    this.version(2)
      .stores({ art: 'hash' })
      .upgrade(async (change) => {
        for (const row of await change.table<Kept>('games').toArray()) {
          const { game, art } = packed(row.game)
          await change.table('art').bulkPut(art)
          await change.table('games').put({ ...row, game })
        }
      })
    this.version(3).upgrade(async (change) => {
      for (const row of await change.table<Kept>('games').toArray()) {
        const game = migrateGame(row.game as unknown as Record<string, unknown>)
        await change.table('games').put({ ...row, game })
      }
    })
    // text is stored in no time, and a save looks only whether the row it started from is still the newest
    this.version(4)
      .stores({ games: 'key, [key+rev]' })
      .upgrade(async (change) => {
        for (const { game, ...row } of await change.table<Kept>('games').toArray())
          await change.table('games').put({ ...row, text: textOfGame(game), art: artOf(game) } satisfies Row)
      })
  }
}

const db = new Shelf()
/** What the browser said when it would not keep something; empty while all is well. */
export const storageProblem = ref('')
/** Stands in where the browser keeps nothing at all; it lasts as long as this tab. */
const memory = new Map<string, Kept>()
let refused = false

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lucky-twin')

/** Calls back with the key of every game that another tab saved or removed. Out: stops listening. */
export function onOtherTab(tell: (key: string) => void): () => void {
  const listener = (event: MessageEvent<string>): void => tell(event.data)
  channel?.addEventListener('message', listener)
  return () => channel?.removeEventListener('message', listener)
}

export class Changed extends Error {}

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

/** Rows with their images in them again. */
async function whole(rows: Row[]): Promise<Kept[]> {
  const hashes = [...new Set(rows.flatMap((row) => row.art))]
  const art = new Map<string, string>()
  for (const one of await db.art.bulkGet(hashes)) {
    if (!one) continue
    rememberSound(one)
    art.set(one.hash, one.src)
  }
  return rows.map(({ key, rev, touched, text }) => ({
    key,
    rev,
    touched,
    game: unpack(JSON.parse(text) as Game, art),
  }))
}

/** Keeps a row and what it refers to; within a transaction. */
async function put({ key, rev, touched, game: whole }: Kept): Promise<void> {
  const { game, art } = packed(whole)
  const there = await db.art
    .where('hash')
    .anyOf(art.map(({ hash }) => hash))
    .primaryKeys()
  await db.art.bulkPut(art.filter(({ hash }) => !there.includes(hash)))
  await db.games.put({ key, rev, touched, text: textOfGame(game), art: art.map(({ hash }) => hash) })
}

export async function allGames(): Promise<Kept[]> {
  if (!(await open())) return [...memory.values()]
  return db.transaction('r', db.games, db.art, async () => whole(await db.games.toArray()))
}

export async function oneGame(key: string): Promise<Kept | undefined> {
  if (!(await open())) return memory.get(key)
  return db.transaction('r', db.games, db.art, async () => {
    const row = await db.games.get(key)
    return row && (await whole([row]))[0]
  })
}

/** Forgets images that no game shows any more. */
export async function sweepArt(): Promise<void> {
  if (!(await open())) return
  await db.transaction('rw', db.games, db.art, async () => {
    const used = new Set((await db.games.toArray()).flatMap((row) => row.art))
    const all = await db.art.toCollection().primaryKeys()
    await db.art.bulkDelete(all.filter((hash) => !used.has(hash)))
  })
}

/**
 * Keeps a game. `before` is the rev that was read (0 for a new row). Out: the new rev.
 * Throws Changed if another tab has saved since, and whatever the browser throws when storage is full.
 */
export async function keepGame(key: string, game: Game, before: number): Promise<number> {
  const row: Kept = { key, game, rev: before + 1, touched: Date.now() }
  if (await open())
    await db.transaction('rw', db.games, db.art, async () => {
      const there = before
        ? await db.games.where('[key+rev]').equals([key, before]).count()
        : await db.games.where('key').equals(key).count()
      if (Boolean(there) !== before > 0) throw new Changed()
      await put(row)
    })
  else {
    if ((memory.get(key)?.rev ?? 0) !== before) throw new Changed()
    memory.set(key, row)
  }
  channel?.postMessage(key)
  return row.rev
}

/** Puts a removed row back just as it was. */
export async function putBack(row: Kept): Promise<void> {
  if (await open()) await db.transaction('rw', db.games, db.art, () => put(row))
  else memory.set(row.key, row)
  channel?.postMessage(row.key)
}

export async function dropGame(key: string): Promise<void> {
  if (await open()) await db.games.delete(key)
  else memory.delete(key)
  channel?.postMessage(key)
}

/** Runs `first` once in the life of this browser's shelf, whichever tab comes first. */
export async function onceEver(name: string, first: () => Promise<Kept[]>): Promise<void> {
  const rows = async (): Promise<Kept[]> => ((await open()) && (await db.notes.get(name)) ? [] : first())
  if (await open()) {
    const made = await rows()
    if (made.length)
      await db.transaction('rw', db.games, db.notes, db.art, async () => {
        if (await db.notes.get(name)) return
        await db.notes.put({ name, value: true })
        for (const row of made) await put(row)
      })
  } else if (memory.size === 0) for (const row of await rows()) memory.set(row.key, row)
}
