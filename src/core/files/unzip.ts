import checksums from 'crc-32'
import { Inflate, strFromU8 } from 'fflate'
import { bad, good, type Result } from '../result.ts'

/** What a zip says of an entry: its name, and its length in bytes when unpacked. */
export type ZipEntry = { name: string; size: number }
/** The same with where its data lie. */
type PackedEntry = ZipEntry & { method: number; locked: boolean; crc: number; packed: number; start: number }

/** The signatures of a zip's parts. */
const END = 0x06054b50
const ENTRY = 0x02014b50
const LOCAL = 0x04034b50
/** The lengths of these parts without what varies, in bytes. */
const END_LENGTH = 22
const ENTRY_LENGTH = 46
const LOCAL_LENGTH = 30
/** So much is unpacked at a time, in bytes, before its length is looked at. */
const STRETCH = 2 ** 14
const STORED = 0
const DEFLATED = 8

/**
 * The files of a zip, by name: each entry's bytes, or why they cannot be trusted. In: `wants` says which entries are
 * unpacked. Nothing is unpacked beyond the length that its entry says, and checksums are checked. Wrong: not a zip, or
 * cut off. The format: PKWARE, .ZIP File Format Specification 6.3.
 */
export function unzip(
  bytes: Uint8Array,
  wants: (entry: ZipEntry) => boolean = () => true,
): Result<Map<string, Result<Uint8Array>>> {
  let entries: PackedEntry[]
  try {
    entries = directoryOf(bytes)
  } catch {
    return bad('', 'not a zip, or cut off')
  }
  return good(new Map(entries.filter(wants).map((entry) => [entry.name, unpacked(bytes, entry)])))
}

/** The entries of a zip as its directory lists them. Throws where the bytes are none. */
function directoryOf(bytes: Uint8Array): PackedEntry[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let end = bytes.length - END_LENGTH
  // a comment of up to 65,535 bytes may follow
  const least = Math.max(0, end - 0xffff)
  while (end >= least && view.getUint32(end, true) !== END) end--
  if (end < least) throw new RangeError('no directory')
  const count = view.getUint16(end + 10, true)
  let at = view.getUint32(end + 16, true)
  const entries: PackedEntry[] = []
  for (let i = 0; i < count; i++) {
    if (view.getUint32(at, true) !== ENTRY) throw new RangeError('no entry')
    const flags = view.getUint16(at + 8, true)
    const local = view.getUint32(at + 42, true)
    if (view.getUint32(local, true) !== LOCAL) throw new RangeError('no file')
    const nameLength = view.getUint16(at + 28, true)
    const nameAt = at + ENTRY_LENGTH
    const isUtf8 = (flags & 0x800) !== 0
    const packed = view.getUint32(at + 20, true)
    const start = local + LOCAL_LENGTH + view.getUint16(local + 26, true) + view.getUint16(local + 28, true)
    if (start + packed > bytes.length) throw new RangeError('cut off')
    entries.push({
      name: strFromU8(bytes.subarray(nameAt, nameAt + nameLength), !isUtf8),
      method: view.getUint16(at + 10, true),
      locked: (flags & 1) !== 0,
      crc: view.getInt32(at + 16, true),
      packed,
      size: view.getUint32(at + 24, true),
      start,
    })
    at = nameAt + nameLength + view.getUint16(at + 30, true) + view.getUint16(at + 32, true)
  }
  return entries
}

function unpacked(
  bytes: Uint8Array,
  { method, locked, crc, packed, size, start }: PackedEntry,
): Result<Uint8Array> {
  if (locked) return bad('', 'locked with a password')
  if (method !== STORED && method !== DEFLATED) return bad('', 'packed in a way that is not known here')
  const data = bytes.subarray(start, start + packed)
  const content = method === STORED ? data.slice() : inflated(data, size)
  if (!content || content.length !== size) return bad('', `damaged: it is not ${size} bytes, as the zip says`)
  return checksums.buf(content) === crc ? good(content) : bad('', 'damaged: its checksum is wrong')
}

/** Inflates data of a known length. Null if they cannot be, or are longer. */
function inflated(data: Uint8Array, size: number): Uint8Array | null {
  const content = new Uint8Array(size)
  let length = 0
  const inflate = new Inflate((chunk) => {
    if (length + chunk.length > size) throw new RangeError('longer than it says')
    content.set(chunk, length)
    length += chunk.length
  })
  try {
    for (let at = 0; at < data.length || at === 0; at += STRETCH)
      inflate.push(data.subarray(at, at + STRETCH), at + STRETCH >= data.length)
  } catch {
    return null
  }
  return length === size ? content : null
}
