import type { AnyText } from '../../../core/files/any-text.ts'
import { readUtf8 } from '../../../core/files/utf8.ts'
import { largerThan, SIZES } from '../../../core/settings/bounds.ts'
import { bad, type Result } from '../../../core/result.ts'

/** The text of a file that the user chose or dropped; a problem if it is too large, or not UTF-8 text. */
export async function textOf(file: File): Promise<Result<string>> {
  if (file.size > SIZES.file) return bad('', largerThan(SIZES.file))
  return readUtf8(new Uint8Array(await file.arrayBuffer()))
}

/** The text of a list in any encoding, with that encoding; a problem if it is too large, or not text. */
export async function anyTextOf(file: File): Promise<Result<AnyText>> {
  if (file.size > SIZES.file) return bad('', largerThan(SIZES.file))
  const { readAnyText } = await import('../../../core/files/any-text.ts')
  return readAnyText(new Uint8Array(await file.arrayBuffer()))
}

/** Whether a file is a word list, by its name or its type; a game that was saved as text is not. */
export async function isWordList(file: File): Promise<boolean> {
  const named = /\.(csv|tsv|tab|txt)$/i.test(file.name) || ['text/csv', 'text/plain'].includes(file.type)
  return named && !(await file.slice(0, 64).text()).trimStart().startsWith('{')
}
