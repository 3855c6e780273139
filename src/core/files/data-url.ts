import { toUint8Array } from 'js-base64'
import { bad, good, type Result } from '../result.ts'
import { largerThan } from '../settings/bounds.ts'

const isBase64 = (code: number): boolean =>
  (code >= 97 && code <= 122) || (code >= 65 && code <= 90) || (code >= 47 && code <= 57) || code === 43

/**
 * The content of a data URL. In: the text, the kind it must have, and its most bytes. Out: its type ("png") and its
 * bytes, or what is wrong; too much is not decoded.
 */
export function bytesOf(
  src: string,
  kind: 'image' | 'audio',
  most: number,
): Result<{ type: string; bytes: Uint8Array }> {
  const wrong = bad(
    '',
    `${kind === 'image' ? 'an image' : 'a sound'} as data:${kind}/TYPE;base64,… is expected`,
  )
  const comma = src.slice(0, 64).indexOf(',')
  const [head, coding] = src.slice(0, Math.max(0, comma)).split(';', 2)
  if (!head?.startsWith(`data:${kind}/`) || coding !== 'base64') return wrong
  if (src.length - comma > (most * 4) / 3 + 8) return bad('', largerThan(most))
  let end = src.length
  while (end > src.length - 2 && src[end - 1] === '=') end--
  for (let at = comma + 1; at < end; at++) if (!isBase64(src.charCodeAt(at))) return wrong
  if (end === comma + 1) return wrong
  return good({ type: head.slice(kind.length + 6), bytes: toUint8Array(src.slice(comma + 1)) })
}
