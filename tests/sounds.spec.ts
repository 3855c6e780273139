import { expect, type Page } from '@playwright/test'
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import { strFromU8, unzipSync } from 'fflate'
import { writeWav } from '../src/core/files/wav.ts'
import {
  card,
  choice,
  choose,
  down,
  downloadOf,
  expectNoViolations,
  fileOf,
  found,
  openStation,
  type,
  toGameFile,
} from './helpers.ts'
import { test } from './test.ts'

// opens pages from files
test.use({ own: true, motion: true })

/** A WAV of one tone, this many s long. */
const wav = (seconds: number, rate = 11_025): Buffer =>
  Buffer.from(
    writeWav(
      Float32Array.from({ length: seconds * rate }, (_, i) => Math.sin(i / 8) / 2),
      rate,
    ),
  )
const given = (name: string, bytes: Buffer) => fileOf(name, bytes, 'audio/wav')
const file = (page: Page, of: string) => page.getByLabel(`File for ${of}`, { exact: true })

type HeardThere = { tones: number; own: number[]; volumes: number[] }
/**
 * Records what starts to sound: how many generated tones, how long own sounds are, and how loud each sound is. The
 * sounds themselves are real.
 */
async function listen(page: Page): Promise<() => Promise<HeardThere>> {
  await page.addInitScript(() => {
    const heard: HeardThere = { tones: 0, own: [], volumes: [] }
    Object.assign(window, { heard })
    const connect = GainNode.prototype.connect as (this: GainNode, to: AudioNode) => AudioNode
    GainNode.prototype.connect = function (this: GainNode, to: AudioNode) {
      if (to instanceof AudioDestinationNode) heard.volumes.push(this.gain.value)
      return connect.call(this, to)
    } as typeof GainNode.prototype.connect
    const begin = OscillatorNode.prototype.start
    OscillatorNode.prototype.start = function (when) {
      heard.tones++
      begin.call(this, when)
    }
    const play = AudioBufferSourceNode.prototype.start
    AudioBufferSourceNode.prototype.start = function (...times) {
      heard.own.push(this.buffer!.duration)
      play.apply(this, times)
    }
  })
  return () => page.evaluate(() => (window as unknown as { heard: HeardThere }).heard)
}

test('own sounds are taken, heard on press, and refused by name; a long one is cut', async ({
  page,
}, info) => {
  const heard = await listen(page)
  await openStation(page, 'rules/bench')
  await page.getByRole('button', { name: 'Hear a match', exact: true }).click()
  await expect.poll(async () => (await heard()).tones).toBeGreaterThan(0)
  await expect(page.getByRole('button', { name: 'Hear the last seconds' })).toBeDisabled()

  await file(page, 'a match').setInputFiles(given('gong.wav', wav(0.4)))
  await expect(choice(page, 'Sound of a match', 'a file of your own')).toBeVisible()
  await expect.poll(async () => (await heard()).own).toHaveLength(1)
  await page.getByRole('button', { name: 'Hear a match', exact: true }).click()
  await expect.poll(async () => (await heard()).own).toHaveLength(2)

  await file(page, 'a win').setInputFiles(given('march.wav', wav(7)))
  await expect(page.getByText('march.wav is longer than 5 s; only its first 5 s are used')).toBeVisible()
  await expect.poll(async () => (await heard()).own.at(-1)).toBeCloseTo(5, 1)

  const refused: [string, Buffer, string][] = [
    ['talk.wav', Buffer.from('a WAV that is text'), 'talk.wav: not a WAV, MP3 or OGG sound'],
    // forty minutes at the usual rate
    ['show.mp3', Buffer.concat([Buffer.from('ID3'), Buffer.alloc(38e6)]), 'show.mp3: larger than 1 MiB'],
    ['torn.mp3', Buffer.from('ID3 and nothing that can be played'), 'torn.mp3: a sound that is damaged'],
  ]
  for (const [name, bytes, words] of refused) {
    const path = info.outputPath(name)
    writeFileSync(path, bytes)
    await file(page, 'a miss').setInputFiles(path)
    await expect(page.getByText(words)).toBeVisible()
  }
  await expect(choice(page, 'Sound of a miss', 'like the others')).toBeVisible()
  await expectNoViolations(page)
  await choose(page, 'Sound of a miss', 'glass')
  await type(page, 'Volume of the sounds', '40')
  await type(page, 'Volume of a match', '50')
  await expect(page.getByText('saved ✓')).toBeVisible()
  await page.reload()
  await expect(choice(page, 'Sound of a miss', 'glass')).toBeVisible()
  await expect(page.getByRole('button', { name: 'gong', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Hear a match', exact: true }).click()
  await expect.poll(async () => (await heard()).own).toHaveLength(1)
  expect((await heard()).volumes.at(-1)).toBeCloseTo(0.2)
  await page.getByRole('button', { name: 'Hear a miss', exact: true }).click()
  await expect.poll(async () => (await heard()).volumes.at(-1)).toBeCloseTo(0.4)
  await choose(page, 'Sounds', 'are off')
  await expect(page.getByRole('list', { name: 'What is heard' })).toHaveCount(0)
})

test('own sounds travel in the zip and in the shipped page, and are heard there', async ({ page }, info) => {
  await openStation(page, 'rules/warm-up')
  await file(page, 'a match').setInputFiles(given('gong.wav', wav(0.4)))
  await expect(page.getByRole('button', { name: 'gong', exact: true })).toBeVisible()
  await toGameFile(page)
  const zip = await downloadOf(page, () =>
    page.getByRole('button', { name: 'With images and sounds as a zip' }).click(),
  )
  const entries = unzipSync(readFileSync(zip.path))
  const name = Object.keys(entries).find((one) => one.startsWith('sound/'))!
  expect(Buffer.from(entries[name]!)).toEqual(wav(0.4))
  const { levels } = JSON.parse(strFromU8(entries['game.json']!))
  expect(levels[0].sound.match).toEqual({ name: 'gong', src: name })

  // a game of one pair, to hear it
  const path = info.outputPath('one.html')
  await page.getByRole('radiogroup', { name: 'Where is it going?' }).getByText('One page').click()
  const page2 = await downloadOf(page, () => page.getByRole('button', { name: 'Download the page' }).click())
  writeFileSync(
    path,
    readFileSync(page2.path, 'utf8').replace('"rows":3,"columns":4', '"rows":1,"columns":2'),
  )
  const heard = await listen(page)
  await page.goto(`${pathToFileURL(path).href}?level=warm-up`)
  await expect(page.getByRole('grid', { name: 'Warm-up, 1 rows, 2 columns' })).toBeVisible()
  // the first look passes
  await expect(card(page, 0)).toHaveAttribute('data-state', 'down')
  await expect(page.getByText('look closely…')).toBeHidden()
  await card(page, 0).click()
  await card(page, 1).click()
  await expect.poll(async () => (await heard()).own).toHaveLength(1)
})

test('a win is celebrated for less than two seconds, and a press ends it at once', async ({ page }) => {
  await openStation(page, 'rules/warm-up')
  await choose(page, 'What celebrates a win', 'the cards in a fan')
  await choose(page, 'How a miss moves', 'stays still')
  await expect(page.getByRole('spinbutton', { name: 'How strongly a miss moves' })).toHaveCount(0)
  await type(page, 'Wait at the end', '30')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await page.getByRole('button', { name: 'In order' }).click()
  // how many cards of the fan there are: recorded in the page, since a look from outside may come too late
  await page.evaluate(() => {
    const noted: string[] = []
    Object.assign(window, { noted })
    const count = (): number => document.querySelectorAll('.lt-fanned').length
    let before = 0
    new MutationObserver(() => {
      if (count() !== before) noted.push(`${(before = count())}`)
    }).observe(document.body, { childList: true, subtree: true })
    addEventListener('keydown', (event) => noted.push(`${(event as KeyboardEvent).key} at ${count()}`), true)
  })
  const noted = () => page.evaluate(() => (window as unknown as { noted: string[] }).noted)
  const win = async (): Promise<void> => {
    await page.getByRole('button', { name: 'the last pair' }).click()
    await expect(down(page)).toHaveCount(2)
    await down(page).first().click()
    await expect(down(page)).toHaveCount(1)
    await down(page).click()
  }
  // slowly, so that the press is in time on any machine
  await page.getByText('¼×', { exact: true }).click()
  await win()
  await expect.poll(noted).toEqual(['6'])
  await page.keyboard.press('Shift')
  await expect.poll(noted).toEqual(['6', 'Shift at 6', '0'])
  // and by itself
  await page.getByText('1×', { exact: true }).click()
  await page.getByRole('button', { name: 'Deal again' }).click()
  await win()
  await expect.poll(noted).toEqual(['6', 'Shift at 6', '0', '6', '0'])
  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  await choose(page, 'What celebrates a win', 'nothing')
  await choose(page, 'How a miss moves', 'is nudged')
  await expect(page.getByRole('spinbutton', { name: 'How strongly a miss moves' })).toHaveValue('100 %')
})

test('going back from a win that a wave celebrated does not deal the cards in anew', async ({ page }) => {
  await openStation(page, 'rules/warm-up')
  await choose(page, 'What celebrates a win', 'a wave of the cards')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  // motions of the cards as they begin: by name, each as often as a card makes it
  await page.evaluate(() => {
    const begun: string[] = []
    Object.assign(window, { begun })
    document.addEventListener('animationstart', ({ animationName }) => begun.push(animationName), true)
  })
  const begun = (name: string): Promise<number> =>
    page.evaluate(
      (wanted) => (window as unknown as { begun: string[] }).begun.filter((one) => one === wanted).length,
      name,
    )
  await page.getByRole('button', { name: 'In order' }).click()
  await page.getByRole('button', { name: 'the last pair' }).click()
  await expect(down(page)).toHaveCount(2)
  await down(page).first().click()
  await expect(down(page)).toHaveCount(1)
  await down(page).click()
  await expect.poll(() => begun('lt-win')).toBe(12)
  const dealt = await begun('lt-deal')
  expect(dealt).toBeGreaterThan(0)
  await page.keyboard.press(',')
  // the turn before is not settled yet
  await expect(found(page)).toHaveCount(8)
  // the frames in which it would begin
  await page.evaluate(async () => {
    for (let frame = 0; frame < 3; frame++) await new Promise(requestAnimationFrame)
  })
  expect(await begun('lt-deal')).toBe(dealt)
})

test('the last seconds of a clock are heard, once each', async ({ page }) => {
  const heard = await listen(page)
  await openStation(page, 'rules/bench')
  // all but them: the pressed cards may happen to be twins
  for (const of of ['the deal', 'a flip', 'a match', 'a miss', 'a streak', 'a loss'])
    await choose(page, `Sound of ${of}`, 'silent')
  await choose(page, 'Sound of the last seconds', 'brass')
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await card(page, 0).click()
  await page.getByRole('button', { name: 'the last seconds' }).click()
  const before = (await heard()).tones
  await page.getByText('8×', { exact: true }).click()
  await card(page, 1).click()
  await expect(page.getByRole('heading', { name: 'Not this time' })).toBeVisible()
  // one tone a second, and no more of them than there are seconds
  const tones = (await heard()).tones - before
  expect(tones).toBeGreaterThan(0)
  expect(tones).toBeLessThanOrEqual(5)
})
