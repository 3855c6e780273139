import { fromUint8Array } from 'js-base64'
import { checkSound } from '../../../core/files/sound.ts'
import { writeWav } from '../../../core/files/wav.ts'
import { bad, good, type Result } from '../../../core/result.ts'
import { largerThan, LENGTHS, SIZES, SOUND_LENGTH } from '../../../core/settings/bounds.ts'
import { type OwnSound } from '../../../core/settings/settings.ts'

const RATE = 44_100
/** How long the end of a shortened sound fades, in s. */
const FADE = 0.08

/**
 * An own sound from its file: checked, decoded, and cut to its first 5 s if it is longer. `cut` says whether it was.
 */
export async function ownSound(file: File): Promise<Result<OwnSound & { cut: boolean }>> {
  if (file.size > SIZES.sound) return bad('', largerThan(SIZES.sound))
  const bytes = new Uint8Array(await file.arrayBuffer())
  const type = checkSound(bytes)
  if (!type.ok) return type
  const name = file.name.replace(/\.[^.]*$/, '').slice(0, LENGTHS.name) || 'Sound'
  let buffer: AudioBuffer
  try {
    // decoding takes the bytes away, and those of the file are still needed
    buffer = await new OfflineAudioContext(1, 1, RATE).decodeAudioData(bytes.slice().buffer)
  } catch {
    return bad('', 'a sound that is damaged, or that this browser cannot play')
  }
  if (!buffer.length) return bad('', 'a sound without anything to hear')
  if (buffer.duration * 1000 <= SOUND_LENGTH)
    return good({ name, src: `data:audio/${type.value};base64,${fromUint8Array(bytes)}`, cut: false })
  const wav = writeWav(firstOf(buffer), RATE)
  return good({ name, src: `data:audio/wav;base64,${fromUint8Array(wav)}`, cut: true })
}

/** The first seconds of a sound, mixed to one channel, its end faded. */
function firstOf(buffer: AudioBuffer): Float32Array {
  const length = Math.floor((SOUND_LENGTH / 1000) * buffer.sampleRate)
  const fade = FADE * buffer.sampleRate
  const mixed = new Float32Array(length)
  for (let channel = 0; channel < buffer.numberOfChannels; channel++) {
    const samples = buffer.getChannelData(channel)
    for (let i = 0; i < length; i++)
      mixed[i]! += (samples[i]! / buffer.numberOfChannels) * Math.min(1, (length - i) / fade)
  }
  return mixed
}
