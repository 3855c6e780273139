import { readRecord } from '../../../core/files/record-file.ts'
import type { Game } from '../../../core/game/game.ts'
import { fitMind, type Fit } from '../../../core/odds/fit.ts'
import { gatherEvidence, type Gathered, type NamedRecord } from '../../../core/odds/fit-records.ts'
import { problemLine } from '../../../core/result.ts'
import { answer } from './answer.ts'

/** Records as files, and a game's own kept checks, by name. */
export type FitInput = { game: Game; files: { name: string; text: string }[]; kept: NamedRecord[] }
export type FitOutput = { fit: Fit } & Pick<Gathered, 'used' | 'left'>

answer<FitInput, FitOutput>(({ game, files, kept }) => {
  const broken: Gathered['left'] = []
  const records = [...kept]
  for (const { name, text } of files) {
    const read = readRecord(text)
    if (read.ok) records.push({ name, record: read.value })
    else broken.push({ name, why: problemLine(read.problem) })
  }
  const { shown, used, left } = gatherEvidence(game, records)
  return { fit: fitMind(shown), used, left: [...broken, ...left] }
})
