import { describe, expect, test } from '@jest/globals'
import { READY_MINDS } from '../settings/mind.ts'
import { problemLine } from '../result.ts'
import { readMind, writeMind } from './mind-file.ts'

const everyday = READY_MINDS.find(({ id }) => id === 'everyday')!
const file = (change: (mind: any) => void = () => undefined): string => {
  const mind = structuredClone({ format: 'lucky-twin/mind', version: 1, ...everyday })
  change(mind)
  return JSON.stringify(mind)
}
const complaint = (text: string): string => {
  const read = readMind(text)
  return read.ok ? 'fine' : problemLine(read.problem)
}

describe('a file of a mind', () => {
  test('every ready mind is read as it is', () => {
    for (const mind of READY_MINDS)
      expect(readMind(JSON.stringify({ format: 'lucky-twin/mind', version: 1, ...mind }))).toEqual({
        ok: true,
        value: mind,
      })
  })
  test.each<[string, (mind: any) => void, string]>([
    ['a chance of 2', (mind) => (mind.memory.notice = 2), 'memory.notice: at most 1'],
    ['an unknown key', (mind) => (mind.memory.luck = 1), 'memory.luck: unknown key'],
    ['hold of −1', (mind) => (mind.memory.hold = -1), 'memory.hold: at least 0'],
    ['a name of 10,000 letters', (mind) => (mind.name = 'x'.repeat(1e4)), 'name: at most 120 characters'],
    ['no pace', (mind) => delete mind.pace, 'pace: is missing'],
    ['a newer version', (mind) => (mind.version = 2), 'version: 2 is newer'],
    ['another format', (mind) => (mind.format = 'lucky-twin/game'), 'format: "lucky-twin/mind" is expected'],
  ])('%s is told by its place', (_what, change, message) =>
    expect(complaint(file(change))).toContain(message),
  )
  test('what is no JSON is told', () => expect(complaint('{')).toContain('JSON'))
})

test('what is written is read again, whole', () => {
  for (const mind of READY_MINDS) expect(readMind(writeMind(mind))).toEqual({ ok: true, value: mind })
})
