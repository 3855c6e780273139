import { beforeEach, expect, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { gameWith } from '../../../core/testing/games.ts'

await import('../../testing/browser.ts')
const { useBench } = await import('../../store/bench.ts')
const { keepGame, oneGame } = await import('../../store/db.ts')
const { useStars } = await import('./useStars.ts')

/** The stars of a bench whose house rules have these. */
async function starsWith(by: 'score' | 'turns', at: [number, number, number]) {
  const game = gameWith()
  game.house = { ...game.house, score: { ...game.house.score, stars: { by, at } } }
  const before = await oneGame('stars')
  await keepGame('stars', game, before?.rev ?? 0)
  await useBench().open('stars')
  return useStars()
}
beforeEach(() => {
  setActivePinia(createPinia())
})

test('a threshold for a score rises, and stays between its neighbours', async () => {
  const { stars, bounds, setAt } = await starsWith('score', [100, 200, 300])
  expect(bounds(1)).toEqual([100, 300])
  setAt(1, 900)
  expect(stars.value!.at).toEqual([100, 300, 300])
  setAt(0, 250)
  expect(stars.value!.at).toEqual([250, 300, 300])
  setAt(2, 10)
  expect(stars.value!.at).toEqual([250, 300, 300])
})
test('one for turns falls, and what changes nothing is no edit', async () => {
  const { stars, bounds, setAt } = await starsWith('turns', [30, 20, 10])
  expect(bounds(1)).toEqual([10, 30])
  setAt(1, 4)
  expect(stars.value!.at).toEqual([30, 10, 10])
  const edits = useBench().past.length
  setAt(1, 3)
  expect(useBench().past).toHaveLength(edits)
})
