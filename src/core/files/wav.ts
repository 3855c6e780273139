/**
 * A sound as the bytes of a WAV file: one channel of 16 bits a sample. In: samples from −1 to 1, values beyond are
 * clipped; the number of samples per second. Source: the RIFF layout of PCM WAVE files, a head of 44 bytes and the
 * samples, all numbers with their low byte first.
 */
export function writeWav(samples: Float32Array, rate: number): Uint8Array {
  const head = 44
  const bytes = new Uint8Array(head + samples.length * 2)
  const view = new DataView(bytes.buffer)
  const letters = (at: number, text: string): void =>
    [...text].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)))
  letters(0, 'RIFF')
  view.setUint32(4, bytes.length - 8, true)
  letters(8, 'WAVEfmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, 1, true)
  view.setUint16(22, 1, true)
  view.setUint32(24, rate, true)
  view.setUint32(28, rate * 2, true)
  view.setUint16(32, 2, true)
  view.setUint16(34, 16, true)
  letters(36, 'data')
  view.setUint32(40, samples.length * 2, true)
  samples.forEach((sample, i) =>
    view.setInt16(head + i * 2, Math.round(Math.max(-1, Math.min(1, sample)) * 32_767), true),
  )
  return bytes
}
