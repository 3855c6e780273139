/** Images of any size that are nothing but their headers. */

const word = (n: number): number[] => [n & 255, (n >> 8) & 255]
const letters = (text: string): number[] => Array.from(text, (letter) => letter.charCodeAt(0))
const big = (n: number): number[] => [(n >>> 24) & 255, (n >>> 16) & 255, (n >>> 8) & 255, n & 255]

export const pngOf = (width: number, height: number): Uint8Array =>
  Uint8Array.from([
    ...[0x89, ...letters('PNG\r\n\x1a\n')],
    ...[...big(13), ...letters('IHDR'), ...big(width), ...big(height), 8, 2, 0, 0, 0],
    ...[0, 0, 0, 0],
  ])

export const jpegOf = (width: number, height: number): Uint8Array =>
  Uint8Array.from([
    ...[0xff, 0xd8, 0xff, 0xe0, 0, 16, ...letters('JFIF\0'), 1, 1, 0, 0, 1, 0, 1, 0, 0],
    ...[0xff, 0xc0, 0, 11, 8, height >> 8, height & 255, width >> 8, width & 255, 1, 1, 0x11, 0],
    ...[0xff, 0xd9],
  ])

/** An extended WebP, whose header gives the canvas. */
export const webpOf = (width: number, height: number): Uint8Array =>
  Uint8Array.from([
    ...[...letters('RIFF'), 22, 0, 0, 0, ...letters('WEBPVP8X'), 10, 0, 0, 0, 0, 0, 0, 0],
    ...[...word(width - 1), (width - 1) >> 16, ...word(height - 1), (height - 1) >> 16],
  ])

/** A GIF with a screen and some pictures on it, each of a size. */
export const gifOf = (width: number, height: number, pictures: [number, number][]): Uint8Array =>
  Uint8Array.from([
    ...[...letters('GIF89a'), ...word(width), ...word(height), 0x80, 0, 0, 0, 0, 0, 255, 255, 255],
    ...pictures.flatMap(([w, h]) => [
      ...[0x21, 0xf9, 4, 0, 0, 0, 0, 0],
      ...[0x2c, 0, 0, 0, 0, ...word(w), ...word(h), 0, 2, 2, 0x4c, 1, 0],
    ]),
    0x3b,
  ])
