import { describe, expect, test } from '@jest/globals'
import type { Pair } from '../../core/deck/pair.ts'
import { gameWith } from '../../core/testing/games.ts'
import { artOf, packed, unpack } from './art.ts'

const image = (id: string, content: string): Pair => ({
  id,
  name: id,
  a: { kind: 'image', src: `data:image/png;base64,${content}` },
})

describe('a packed game', () => {
  const game = gameWith({}, [image('one', 'AAAA'), image('two', 'AAAA'), image('three', 'BBBB')])
  game.deck.back = { ...game.deck.back, image: 'data:image/png;base64,AAAA' }
  const before = structuredClone(game)
  const { game: light, art } = packed(game)

  test('holds each image once, and none in the game itself', () => {
    expect(art.map(({ src }) => src)).toEqual(['data:image/png;base64,AAAA', 'data:image/png;base64,BBBB'])
    expect(artOf(light).sort()).toEqual(art.map(({ hash }) => hash).sort())
    expect(JSON.stringify(light)).not.toContain('data:')
    expect(game).toEqual(before)
  })
  test('comes back whole', () => {
    const known = new Map(art.map(({ hash, src }) => [hash, src]))
    expect(unpack(structuredClone(light), known)).toEqual(before)
  })
  test('names an image by its content: the same in another game', () => {
    expect(packed(gameWith({}, [image('other', 'BBBB')])).art).toEqual([art[1]])
  })
})
