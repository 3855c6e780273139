import { largerThan, SIZES } from '../settings/bounds.ts'
import { bad, good, type Result } from '../result.ts'
import { bytesOf } from './data-url.ts'
import { starts } from './image.ts'

type SoundType = 'wav' | 'mpeg' | 'ogg'

/** The type that a file's own bytes show, whatever its name, or null: WAV, MP3 ("mpeg") or OGG. */
export function soundType(bytes: Uint8Array): SoundType | null {
  if (starts(bytes, 'RIFF') && starts(bytes, 'WAVE', 8)) return 'wav'
  if (starts(bytes, 'OggS')) return 'ogg'
  if (starts(bytes, 'ID3')) return 'mpeg'
  // a frame of an MP3: eleven bits set, a layer, and a valid bit rate
  const [first, second = 0, third = 0] = bytes
  const isFrame = first === 0xff && (second & 0xe0) === 0xe0 && (second & 0x06) !== 0 && third >> 4 !== 15
  return isFrame ? 'mpeg' : null
}

/**
 * Whether bytes may be a sound of a game: at most 1 MiB of WAV, MP3 or OGG. Only a browser can tell whether they play.
 */
export function checkSound(bytes: Uint8Array): Result<SoundType> {
  if (bytes.length > SIZES.sound) return bad('', largerThan(SIZES.sound))
  const type = soundType(bytes)
  return type ? good(type) : bad('', 'not a WAV, MP3 or OGG sound')
}

/** The same for a data URL: `data:audio/wav;base64,…`, `audio/mpeg` or `audio/ogg`. */
export function checkSoundUrl(src: string): Result<SoundType> {
  const sound = bytesOf(src, 'audio', SIZES.sound)
  if (!sound.ok) return sound
  const { type, bytes } = sound.value
  const checked = checkSound(bytes)
  if (checked.ok && checked.value !== type) return bad('', `says it is ${type}, but is ${checked.value}`)
  return checked
}
