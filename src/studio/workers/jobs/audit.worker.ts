import { auditBoards, type Audit } from '../../../core/audit/audit.ts'
import { readBoards, type GivenSize, type ReadBoards } from '../../../core/files/boards-file.ts'
import type { Result } from '../../../core/result.ts'
import { answer } from './answer.ts'

export type AuditInput = { text: string; size: GivenSize }
/** The boards themselves stay in the worker except the first, which shows how they were read. */
export type AuditOutput = Result<{ read: ReadBoards; count: number; audit: Audit }>

answer<AuditInput, AuditOutput>(({ text, size }, progress) => {
  const read = readBoards(text, size)
  if (!read.ok) return read
  const audit = auditBoards(read.value, progress)
  const { boards } = read.value
  return {
    ok: true,
    value: { read: { ...read.value, boards: boards.slice(0, 1) }, count: boards.length, audit },
  }
})
