import type { Cells } from '../../../core/deal/deal.ts'
import { tableOf } from '../../../core/game/check.ts'
import type { PlayedGame } from '../../../core/play/record.ts'
import { problemLine } from '../../../core/result.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import type { Tape } from '../../store/tapes.ts'
import { readDealt } from './tried.ts'
import type { useTapes } from './useTapes.ts'

/** Puts a given game on the table: a seed, a deal as a line, a tape, a check or a record. `deal` deals on a level. */
export function useLaying(
  tapes: ReturnType<typeof useTapes>,
  deal: (seed: string, cells?: Cells, level?: string) => void,
) {
  const bench = useBench()
  const { say } = useToasts()

  /** A seed, or a deal as a line of JSON. */
  function useSeed(text: string): void {
    if (!text.startsWith('{')) return deal(text)
    const read = readDealt(text, bench.game!.deck.pairs)
    if (read.ok) lay(read.value)
    else say(`This deal cannot be used: ${problemLine(read.problem)}`, { tone: 'wrong' })
  }
  /** Deals the board of a tape, a check or a record, on its level. Out: whether that was possible. */
  function lay(game: PlayedGame): boolean {
    const table = tableOf(bench.game!, game)
    if (table.ok) deal(game.seed, table.value.cells, game.level)
    else say(`This cannot be dealt: ${problemLine(table.problem)}`, { tone: 'wrong' })
    return table.ok
  }
  function takeTape(tape: Tape, turn?: number): void {
    if (lay(tape)) tapes.take(tape, turn)
  }
  function show(played: PlayedGame, name: string, turn: number): void {
    const tape = tapes.read(played, name)
    if (tape) takeTape(tape, Math.min(turn, tape.chips.length))
    else lay(played)
  }
  return { useSeed, takeTape, show }
}
