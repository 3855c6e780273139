import { rivals } from './rivals.ts'
import { start } from './start.ts'

/** The script of a shipped file where minds play too. */
start(rivals)
