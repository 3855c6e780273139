import { describe, expect, test } from '@jest/globals'
import { SETTING_WORDS } from '../../parts/settings/setting-words.ts'
import { settingsLike } from './everyday-words.ts'

const keys = (query: string): string[] => settingsLike(query).map(({ key }) => key)

describe('settings found by a word', () => {
  test.each([
    ['timer', 'clock.mode'],
    ['delay', 'turn.missLook'],
    ['pause', 'clock.lookStopsClock'],
    ['restart', 'finish.then'],
    ['lives', 'limits.lives'],
    ['hearts', 'limits.lives'],
    ['hint', 'turn.firstLook'],
    ['speed', 'turn.missLook'],
    ['music', 'sound.on'],
    ['mute', 'sound.volume'],
    ['confetti', 'look.celebration'],
    ['multiplayer', 'players.names'],
    ['combo', 'score.streakStep'],
    ['background', 'look.table'],
    ['spacing', 'layout.gapAcross'],
    ['dealt again', 'finish.then'],
    ['flips', 'look.flip'],
    ['text', 'head.title'],
    ['celebration', 'look.celebration'],
    ['duration', 'turn.missLook'],
    ['menu', 'finish.then'],
    ['gap between cards', 'layout.gapAcross'],
    ['LOOK miss', 'turn.missLook'],
  ])('%s finds %s', (query, key) => expect(keys(query)).toContain(key))
  test('those with the word in their name come first, those of the station Deal after those of the story', () => {
    expect(keys('lives')[0]).toBe('limits.lives')
    expect(keys('look time of a miss')).toEqual(['turn.missLook'])
    const inDeal = (wanted: string) => settingsLike('').find(({ key }) => key === wanted)!.deal
    expect(['turn.missLook', 'layout.ratio', 'board.rows', 'layout.size'].map(inDeal)).toEqual([
      false,
      false,
      true,
      true,
    ])
    const found = settingsLike('size width')
    expect(found.map(({ deal }) => deal)).toEqual([...found.map(({ deal }) => deal)].sort())
  })
  test('words are found at their beginning, and all settings for none', () => {
    expect(keys('ives')).toEqual([])
    expect(keys('  ')).toHaveLength(Object.keys(SETTING_WORDS).length)
    expect(keys('trumpet')).toEqual([])
  })
})
