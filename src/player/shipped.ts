import { start } from './start.ts'

/** The script of a shipped file where only persons play. */
start()
