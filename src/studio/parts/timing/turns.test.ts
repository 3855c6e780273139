import { describe, expect, test } from '@jest/globals'
import { inTurn, isBusy } from './turns.ts'

/** Works for a while, in ms. */
function work(ms: number): void {
  const end = performance.now() + ms
  while (performance.now() < end);
}
const atRest = async (): Promise<void> => {
  while (isBusy.value) await new Promise((go) => setTimeout(go))
}

describe('pieces of a page in turn', () => {
  test('come in the order in which they asked, those within a piece after all that waited before', async () => {
    const done: string[] = []
    inTurn(() => {
      done.push('first')
      inTurn(() => done.push('inside the first'))
    })
    inTurn(() => done.push('second'))
    expect([done, isBusy.value]).toEqual([[], true])
    await atRest()
    expect(done).toEqual(['first', 'second', 'inside the first'])
  })

  test('leave the page free between, and small ones come together', async () => {
    const done: string[] = []
    const free = setInterval(() => done.push('free'))
    inTurn(() => (work(30), done.push('large')))
    inTurn(() => (work(30), done.push('larger')))
    inTurn(() => done.push('small'))
    await atRest()
    clearInterval(free)
    const pieces = done.filter((one, i) => one !== 'free' || done[i - 1] !== 'free')
    expect(pieces.slice(pieces.indexOf('large'))).toEqual(['large', 'free', 'larger', 'free', 'small'])
  })

  test('can be taken back, by itself and while others wait', async () => {
    const done: string[] = []
    const takeBack = ['a', 'b', 'c'].map((name) => inTurn(() => done.push(name)))
    takeBack[1]!()
    await atRest()
    takeBack[0]!()
    expect(done).toEqual(['a', 'c'])
  })
})
