import { auditLog, type LogAudit } from '../../../core/audit/log.ts'
import type { Game } from '../../../core/game/game.ts'
import type { Result } from '../../../core/result.ts'
import { answer } from './answer.ts'

export type LogInput = { game: Game; text: string }
export type LogOutput = Result<LogAudit>

answer<LogInput, LogOutput>(({ game, text }, progress) => auditLog(game, text, progress))
