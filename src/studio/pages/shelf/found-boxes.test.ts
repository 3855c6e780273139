import { describe, expect, test } from '@jest/globals'
import { newGame, startPairs } from '../../../core/game/new-game.ts'
import type { StoredGame } from '../../store/db.ts'
import { foundBoxes } from './found-boxes.ts'

const box = (title: string, pairs: number, touched: number): StoredGame => ({
  key: title,
  game: newGame(title, startPairs('pictures', pairs)),
  rev: 1,
  touched,
})
const shelf = [box('Réveil 10', 3, 30), box('Anchor room', 12, 20), box('réveil 9', 6, 10)]
const titles = (query: string, order: Parameters<typeof foundBoxes>[2]): string[] =>
  foundBoxes(shelf, query, order).map(({ game }) => game.title)

describe('games on the shelf', () => {
  test('are laid out as asked, numbers in titles by their value', () => {
    expect(titles('', 'touched')).toEqual(['Réveil 10', 'Anchor room', 'réveil 9'])
    expect(titles('', 'title')).toEqual(['Anchor room', 'réveil 9', 'Réveil 10'])
    expect(titles('', 'pairs')).toEqual(['Anchor room', 'réveil 9', 'Réveil 10'])
  })
  test('are found by every word of title, levels, pairs and tags, without accents or capitals', () => {
    expect(titles('REVEIL', 'touched')).toEqual(['Réveil 10', 'réveil 9'])
    expect(titles('room bell', 'touched')).toEqual(['Anchor room'])
    expect(titles('first level', 'title')).toHaveLength(3)
    expect(titles('nothing like it', 'title')).toEqual([])
  })
  test('stay in the store as they were', () => {
    const before = [...shelf]
    foundBoxes(shelf, '', 'title')
    expect(shelf).toEqual(before)
  })
})
