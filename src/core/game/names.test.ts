import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { ID } from '../settings/new-id.ts'
import { LENGTHS } from '../settings/bounds.ts'
import { fileStem, freeTitle } from './names.ts'

describe('a free title', () => {
  test('is the one that is wanted, or gets a number', () => {
    expect(freeTitle('Word game', [])).toBe('Word game')
    expect(freeTitle('Word game', ['Word game', 'Word game 3'])).toBe('Word game 2')
    expect(freeTitle('Word game', ['Word game', 'Word game 2'])).toBe('Word game 3')
  })
  test('is never taken, and never too long', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: LENGTHS.title }), fc.nat(20), (wanted, count) => {
        const taken: string[] = []
        for (let i = 0; i < count; i++) taken.push(freeTitle(wanted, taken))
        expect(new Set(taken).size).toBe(count)
        expect(Math.max(0, ...taken.map(({ length }) => length))).toBeLessThanOrEqual(LENGTHS.title)
      }),
    )
  })
})

test('files are named after the title, or the id where it has no letter to use', () => {
  expect(fileStem({ title: "The Clockmaker's Drawer", id: 'x' })).toBe('the-clockmakers-drawer')
  expect(fileStem({ title: 'Ünïon №1', id: 'x' })).toBe('union-1')
  expect(fileStem({ title: '記憶', id: 'word-game' })).toBe('word-game')
  fc.assert(
    fc.property(fc.string({ minLength: 1, maxLength: LENGTHS.title }), (title) => {
      expect(fileStem({ title, id: 'some-id' })).toMatch(ID)
    }),
  )
})
