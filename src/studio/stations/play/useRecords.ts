import { fileStem } from '../../../core/game/names.ts'
import type { PlayedGame } from '../../../core/play/record.ts'
import { problemLine } from '../../../core/result.ts'
import { download } from '../../parts/files/download.ts'
import { useBench } from '../../store/bench.ts'
import { textOf } from '../../parts/files/text-of.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import type { useTapes } from './useTapes.ts'

/** The tape on the table as a record file, and opened record files. `show` puts the played game on the table. */
export function useRecords(
  tapes: ReturnType<typeof useTapes>,
  show: (played: PlayedGame, name: string, turn: number) => void,
) {
  const bench = useBench()
  const { say } = useToasts()

  async function open(file: File): Promise<void> {
    const { readRecord } = await import('../../../core/files/record-file.ts')
    const text = await textOf(file)
    const fileRecord = text.ok ? readRecord(text.value) : text
    if (!fileRecord.ok) return say(`${file.name}: ${problemLine(fileRecord.problem)}`, { tone: 'wrong' })
    const { game, expect: _expect, ...played } = fileRecord.value
    if (game !== bench.game!.id)
      return say(`${file.name}: a record of "${game}", not of this game ("${bench.game!.id}")`, {
        tone: 'wrong',
      })
    show(played, file.name.replace(/\.play\.json$|\.json$/, ''), Infinity)
  }
  async function save(): Promise<void> {
    const tape = tapes.whole.value ?? tapes.now.value
    if (!tape) return
    const { writeRecord } = await import('../../../core/files/record-file.ts')
    const { level, seed, deal, inputs, until } = tape
    const game = bench.game!
    const record = { game: game.id, level, seed, deal, inputs, until }
    download(`${fileStem(game)}-${level}.play.json`, writeRecord(record), 'application/json')
  }
  return { open, save }
}
