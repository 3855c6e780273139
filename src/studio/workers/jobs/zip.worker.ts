import { zipOf } from '../../../ship/zip.ts'
import { answer } from './answer.ts'

export type ZipInput = Record<string, Uint8Array>

/** Files as a zip. */
answer<ZipInput, Uint8Array>(zipOf, ({ buffer }) => [buffer])
