import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { whenIdle } from './whenIdle.ts'

/** What waits for the page to be idle, in a browser that knows of idle pages. */
const waiting: { then: () => void; timeout: number }[] = []
const requestIdleCallback = (then: () => void, { timeout }: { timeout: number }): number =>
  waiting.push({ then, timeout })

beforeEach(() => {
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
  waiting.length = 0
})

describe.each([
  ['that tells when it is idle', true],
  ['that does not', false],
])('in a browser %s', (_what, tells) => {
  const run = jest.fn()
  /** Until all is done that waits for now. */
  const idle = (): void => {
    for (const { then } of waiting.splice(0)) then()
    jest.runOnlyPendingTimers()
  }
  beforeEach(() => {
    run.mockClear()
    Object.assign(globalThis, { window: { setTimeout, ...(tells ? { requestIdleCallback } : {}) } })
  })

  test('many calls are one run, later', () => {
    const soon = whenIdle(run)
    soon()
    soon()
    expect(run).not.toHaveBeenCalled()
    idle()
    expect(run).toHaveBeenCalledTimes(1)
    idle()
    expect(run).toHaveBeenCalledTimes(1)
  })
  test('a call after a run, or in it, is another run', () => {
    const soon = whenIdle(run)
    run.mockImplementationOnce(soon)
    soon()
    idle()
    expect(run).toHaveBeenCalledTimes(1)
    idle()
    expect(run).toHaveBeenCalledTimes(2)
    soon()
    idle()
    expect(run).toHaveBeenCalledTimes(3)
  })
  test('a run that fails does not hold the next one up', () => {
    const soon = whenIdle(run)
    run.mockImplementationOnce(() => {
      throw new Error('once')
    })
    soon()
    expect(idle).toThrow('once')
    soon()
    idle()
    expect(run).toHaveBeenCalledTimes(2)
  })
})

test('a page that is never idle is not waited for', () => {
  Object.assign(globalThis, { window: { setTimeout, requestIdleCallback } })
  whenIdle(() => undefined)()
  expect(waiting[0]!.timeout).toBeLessThanOrEqual(150)
})
