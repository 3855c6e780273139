const rotl = (x: number, by: number): number => (x << by) | (x >>> (32 - by))

function finish(h: number): number {
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return h ^ (h >>> 16)
}

/**
 * MurmurHash3, x86, 128 bit (A. Appleby, public domain), of whole 32-bit words.
 * In: `words`, each read as its four bytes, lowest first; `seed`, a 32-bit number.
 * Out: the four words of the hash, as signed 32-bit numbers. Cost: a few ns a word.
 */
export function murmur128(words: ArrayLike<number>, seed: number): [number, number, number, number] {
  const c1 = 0x239b961b
  const c2 = 0xab0e9789
  const c3 = 0x38b34ae5
  const c4 = 0xa1e38b93
  let h1 = seed | 0
  let h2 = h1
  let h3 = h1
  let h4 = h1
  const n = words.length
  const whole = n - (n % 4)
  for (let i = 0; i < whole; i += 4) {
    h1 ^= Math.imul(rotl(Math.imul(words[i]!, c1), 15), c2)
    h1 = (Math.imul(rotl(h1, 19) + h2, 5) + 0x561ccd1b) | 0
    h2 ^= Math.imul(rotl(Math.imul(words[i + 1]!, c2), 16), c3)
    h2 = (Math.imul(rotl(h2, 17) + h3, 5) + 0x0bcaa747) | 0
    h3 ^= Math.imul(rotl(Math.imul(words[i + 2]!, c3), 17), c4)
    h3 = (Math.imul(rotl(h3, 15) + h4, 5) + 0x96cd1c35) | 0
    h4 ^= Math.imul(rotl(Math.imul(words[i + 3]!, c4), 18), c1)
    h4 = (Math.imul(rotl(h4, 13) + h1, 5) + 0x32ac3b17) | 0
  }
  const tail = n - whole
  if (tail > 2) h3 ^= Math.imul(rotl(Math.imul(words[whole + 2]!, c3), 17), c4)
  if (tail > 1) h2 ^= Math.imul(rotl(Math.imul(words[whole + 1]!, c2), 16), c3)
  if (tail > 0) h1 ^= Math.imul(rotl(Math.imul(words[whole]!, c1), 15), c2)
  const bytes = n * 4
  h1 = ((h1 ^ bytes) + (h2 ^ bytes) + (h3 ^ bytes) + (h4 ^ bytes)) | 0
  h2 = ((h2 ^ bytes) + h1) | 0
  h3 = ((h3 ^ bytes) + h1) | 0
  h4 = ((h4 ^ bytes) + h1) | 0
  h1 = finish(h1)
  h2 = finish(h2)
  h3 = finish(h3)
  h4 = finish(h4)
  h1 = (h1 + h2 + h3 + h4) | 0
  return [h1, (h2 + h1) | 0, (h3 + h1) | 0, (h4 + h1) | 0]
}
