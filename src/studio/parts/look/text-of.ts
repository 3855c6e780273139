import { readUtf8 } from '../../../core/files/utf8.ts'
import { largerThan, SIZES } from '../../../core/settings/settings.ts'
import { bad, type Result } from '../../../core/result.ts'

/** The text of a file that the user chose or dropped; a problem if it is too large, or no UTF-8 text. */
export async function textOf(file: File): Promise<Result<string>> {
  if (file.size > SIZES.file) return bad('', largerThan(SIZES.file))
  return readUtf8(new Uint8Array(await file.arrayBuffer()))
}
