import { storeToRefs } from 'pinia'
import { computed, shallowRef, type ShallowRef } from 'vue'
import { cardName } from '../../../core/deck/card-name.ts'
import type { Cells } from '../../../core/deal/deal.ts'
import { NO_CARD } from '../../../core/deck/card.ts'
import type { Game } from '../../../core/game/game.ts'
import { chipsOf, standingAt } from '../../../core/play/tape.ts'
import { replay } from '../../../core/play/replay.ts'
import { tableOf } from '../../../core/game/check.ts'
import type { PlayedGame } from '../../../core/play/record.ts'
import type { Player } from '../../../player/mount.ts'
import type { Table } from '../../../player/table.ts'
import { useTapeStore, type Tape } from '../../store/tapes.ts'

const MOST_KEPT = 20
const WORD = 'Tape'

/** The game on the table so far, as a tape. */
function tapeOf(table: Readonly<Table>, deal: PlayedGame['deal'], name: string, by: string): Tape | null {
  const { round, inputs, level, seed } = table
  if (!round) return null
  return {
    level: level.id,
    seed,
    ...(deal && { deal }),
    inputs: [...inputs],
    until: round.at,
    name,
    by,
    chips: chipsOf(round.events!),
  }
}

/** The deal, card by card, if the seed alone does not give it: a pasted deal, or twins side by side. */
function dealOf(game: Game, { level, seed, round }: Readonly<Table>): PlayedGame['deal'] {
  const { cells } = round!
  const own = tableOf(game, { level: level.id, seed })
  if (own.ok && own.value.cells.every((card, i) => card === cells[i])) return undefined
  return cells.map((card) => (card === NO_CARD ? null : cardName(card, game.deck.pairs)))
}

/**
 * The tape of the game being played, and the kept ones. The table can be put at any turn; playing on from
 * there starts a new tape, and the old one is kept.
 */
export function useTapes(options: {
  table: ShallowRef<Readonly<Table> | null>
  game: () => Game
  player: () => Player | null
  /** the name of the watched mind, '' for you */
  by: () => string
}) {
  const store = useTapeStore()
  const { kept } = storeToRefs(store)
  /** the whole tape while the table is at one of its turns; null while the game just goes on */
  const whole = shallowRef<Tape | null>(null)
  const now = shallowRef<Tape | null>(null)
  const name = shallowRef(`${WORD} ${store.begun}`)
  /** worked out once for each deal */
  const deals = new WeakMap<Cells, PlayedGame['deal']>()
  /** how many inputs led to where the table was put */
  let stoodAt = 0

  const chips = computed(() => (whole.value ?? now.value)?.chips ?? [])
  /** how many turns of the tape are played on the table */
  const at = computed(() => now.value?.chips.length ?? 0)

  function keep(tape: Tape | null): void {
    if (!tape?.chips.length) return
    const same = (one: Tape): boolean =>
      one.name === tape.name && JSON.stringify(one.inputs) === JSON.stringify(tape.inputs)
    kept.value = [tape, ...kept.value.filter((one) => !same(one))].slice(0, MOST_KEPT)
  }
  const fresh = (): string => `${WORD} ${++store.begun}`

  /** Call it with every change of the table. */
  function follow(): void {
    const { table } = options
    if (!table.value?.round) return
    const before = whole.value
    if (before && table.value.inputs.length > stoodAt) {
      whole.value = null
      // playing on from the middle starts a new tape; from its end the same one continues
      if (stoodAt < before.inputs.length) {
        keep(before)
        name.value = fresh()
      }
    }
    const { cells } = table.value.round
    if (!deals.has(cells)) deals.set(cells, dealOf(options.game(), table.value))
    now.value = tapeOf(table.value, deals.get(cells), name.value, options.by())
  }
  /** Before another deal: the game so far is kept, and a new tape starts. */
  function leave(): void {
    const last = whole.value ?? now.value
    whole.value = null
    if (!last?.chips.length) return
    keep(last)
    name.value = fresh()
  }
  /** Puts the table at a turn of the tape; 0 is the deal. */
  function jump(turn: number): void {
    const tape = whole.value ?? now.value
    if (!tape) return
    const table = tableOf(options.game(), tape)
    if (!table.ok) return
    const target = Math.max(0, Math.min(tape.chips.length, turn))
    const { rules, cells } = table.value
    const standing = standingAt(rules, cells, tape.inputs, target)
    const last = target === tape.chips.length
    const inputs = last ? tape.inputs : standing.inputs
    whole.value = tape
    stoodAt = inputs.length
    options.player()?.stand(inputs, last ? tape.until : standing.round.at)
  }
  /** The tape that these inputs make by the current rules. */
  function readTape(game: PlayedGame, title: string): Tape | null {
    const table = tableOf(options.game(), game)
    if (!table.ok) return null
    const round = replay(table.value.rules, table.value.cells, game)
    return { ...game, until: round.at, name: title, by: '', chips: chipsOf(round.events!) }
  }
  /** Opens a tape: the table must already have its deal. */
  function take(tape: Tape, turn = tape.chips.length): void {
    kept.value = kept.value.filter((one) => one !== tape)
    name.value = tape.name
    whole.value = tape
    jump(turn)
  }
  function rename(tape: Tape | null, title: string): void {
    const text = title.trim().slice(0, 60)
    if (!text) return
    if (!tape) {
      name.value = text
      if (whole.value) whole.value = { ...whole.value, name: text }
      follow()
    } else kept.value = kept.value.map((one) => (one === tape ? { ...one, name: text } : one))
  }
  const forget = (tape: Tape): void => void (kept.value = kept.value.filter((one) => one !== tape))

  return { kept, chips, at, name, now, whole, follow, leave, jump, read: readTape, take, rename, forget }
}
