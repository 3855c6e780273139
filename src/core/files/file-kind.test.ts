import { expect, test } from '@jest/globals'
import { gifOf, pngOf, webpOf } from '../testing/images.ts'
import { otherKind } from './file-kind.ts'

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text)

test.each<[string, Uint8Array, string | null]>([
  ['a PNG', pngOf(2, 2), 'a PNG image'],
  ['a GIF', gifOf(1, 1, [[1, 1]]), 'a GIF image'],
  ['a WebP', webpOf(2, 2), 'a WebP image'],
  ['an SVG', bytesOf('<?xml version="1.0"?>\n<svg xmlns="x"/>'), 'an SVG image'],
  ['a page', bytesOf('<!DOCTYPE html><title>x</title>'), 'a web page'],
  ['other markup', bytesOf('<plist/>'), 'XML'],
  ['a PDF', bytesOf('%PDF-1.7\n'), 'a PDF'],
  ['words', bytesOf('cog, gear'), 'plain text'],
  ['nothing', bytesOf(''), 'empty'],
  ['JSON', bytesOf('\n {"format": "x"}'), null],
  ['JSON with a byte order mark', bytesOf('\ufeff{}'), null],
  ['a zip', bytesOf('PK\x03\x04'), null],
  ['text of two bytes a letter', Uint8Array.from([0xff, 0xfe, 0x7b, 0]), null],
])('%s', (_what, bytes, kind) => expect(otherKind(bytes)).toBe(kind))
