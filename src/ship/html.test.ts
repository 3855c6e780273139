import { describe, expect, test } from '@jest/globals'
import { createHash } from 'node:crypto'
import { gameWith, pairsNamed } from '../core/testing/games.ts'
import { shipHtml } from './html.ts'
import { gatherArt, picturesOf } from './pictures.ts'

const player = { script: 'start("</script>")', style: '.a{}' }

describe('a shipped file', () => {
  test('names the hashes of exactly what stands inside it', () => {
    const html = shipHtml(gameWith(), {}, player)
    const script = /<script>([\s\S]*?)<\/script>/.exec(html)![1]!
    const style = /<style>([\s\S]*?)<\/style>/.exec(html)![1]!
    const hash = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`
    expect(html).toContain(`script-src ${hash(script)};`)
    expect(html).toContain(`style-src ${hash(style)};`)
    expect(script).toBe('start("<\\/script>")')
  })

  test('text from a game never becomes HTML', () => {
    const pairs = pairsNamed(1)
    pairs[0]!.a = { kind: 'text', text: '</script><img src=x onerror=alert(1)>' }
    const html = shipHtml({ ...gameWith({}, pairs), title: '</title><b>"&' }, {}, player)
    expect(html).not.toContain('<img')
    expect(html).toContain('<title>&lt;/title&gt;&lt;b&gt;&quot;&amp;</title>')
    const data = /id="lucky-twin-game">([\s\S]*?)<\/script>/.exec(html)![1]!
    expect(JSON.parse(data).game.deck.pairs[0].a.text).toBe('</script><img src=x onerror=alert(1)>')
  })
})

describe('pictures', () => {
  const pairs = pairsNamed(3)
  pairs[0]!.a = { kind: 'picture', name: 'gear' }
  pairs[1]!.b = { kind: 'picture', name: 'key' }
  pairs[2]!.a = { kind: 'picture', name: 'gear' }

  test('are gathered once each', async () => {
    expect(picturesOf(gameWith({}, pairs))).toEqual(['gear', 'key'])
    const art = await gatherArt(gameWith({}, pairs), async (name) => `<svg id="${name}#"/>`)
    expect(art).toEqual({
      ok: true,
      value: { gear: expect.stringContaining('gear%23'), key: expect.any(String) },
    })
  })
  test('one that the library lacks is named by its place', async () => {
    const art = await gatherArt(gameWith({}, pairs), async (name) => (name === 'key' ? null : ''))
    expect(art).toEqual({
      ok: false,
      problem: { at: 'deck.pairs[1]', message: 'the library has no picture "key"' },
    })
  })
})
