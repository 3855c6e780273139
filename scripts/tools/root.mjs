import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The project's own folder. */
export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
