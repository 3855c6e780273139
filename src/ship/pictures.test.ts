import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { PATTERNS } from '../core/settings/back.ts'
import { checkSvg } from '../core/files/image.ts'
import { backBackground } from '../core/deck/back-look.ts'
import { pictureSvg } from './pictures.ts'

const complaint = (markup: string): string => {
  const checked = checkSvg(markup)
  return checked.ok ? 'fine' : checked.problem.message
}

test('every picture of the library, and all that the app itself draws, stays within the bounds', () => {
  const { icons } = createRequire(import.meta.url)('@iconify-json/fluent-emoji-flat/icons.json') as {
    icons: Record<string, { body: string }>
  }
  const refused = Object.entries(icons).filter(([, { body }]) => complaint(pictureSvg(body)) !== 'fine')
  expect(refused.map(([name]) => name)).toEqual([])
  expect(Object.keys(icons).length).toBeGreaterThan(3000)
  expect(complaint(readFileSync('demo/clock-movement.svg', 'utf8'))).toBe('fine')
  for (const pattern of PATTERNS) {
    const background = backBackground({ pattern, ink: '#112233', paper: '#ffffff' }, () => '')
    for (const part of background.split('url("').slice(1)) {
      const url = part.slice(0, part.indexOf('"'))
      const text = url.includes('base64,')
        ? atob(url.split('base64,')[1]!)
        : decodeURIComponent(url.slice(url.indexOf(',') + 1))
      expect(complaint(text)).toBe('fine')
    }
  }
})
