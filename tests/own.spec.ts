import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { DEFAULTS, SECTIONS, type Settings } from '../src/core/settings/settings.ts'
import { SETTING_WORDS } from '../src/studio/parts/settings/setting-words.ts'
import { fileOf, wholeStation } from './helpers.ts'
import { test } from './test.ts'

const KEYS = SECTIONS.flatMap((section) =>
  Object.keys(DEFAULTS[section]).map((key) => `${section}.${key}` as keyof typeof SETTING_WORDS),
)
type Changes = { [S in keyof Settings]?: Partial<Settings[S]> }

/** The clockmaker's game with one level that sets every key itself, to the values of the house rules. */
function everyKeyOwn(place: number, changes: Changes): string {
  const game = JSON.parse(readFileSync('demo/clockmakers-drawer.game.json', 'utf8'))
  const settings = Object.fromEntries(
    SECTIONS.map((section) => [
      section,
      { ...DEFAULTS[section], ...game.house[section], ...changes[section] },
    ]),
  )
  const level = { id: 'all', name: 'All', ...settings }
  return JSON.stringify({
    ...game,
    id: `every-key-${place}`,
    title: `Every key ${place}`,
    house: settings,
    levels: [level],
    checks: [],
  })
}
/** What can be returned to the house rules at a station. */
async function tabsAt(page: Page, station: string): Promise<string[]> {
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: station }).click()
  await expect(
    page.getByRole('button', { name: /: own, set for this level; follow the house rules again$/ }).first(),
  ).toBeVisible()
  await wholeStation(page)
  const names = await page
    .getByRole('button', { name: /: own, set for this level/ })
    .evaluateAll((tabs) => tabs.map((tab) => tab.getAttribute('aria-label')!))
  return names.map((name) => name.replace(/: own, set for this level.*$/, ''))
}

const OFF: Changes = {
  turn: { firstLook: 0, matchLook: 0, missLook: 0, duringLook: 'wait', onMiss: 'timed' },
  clock: { mode: 'off', lookStopsClock: false, matchBonus: 0, missPenalty: 0 },
  limits: { lives: null, turns: null },
  score: {
    match: 0,
    streakStep: 0,
    miss: 0,
    slip: 0,
    lucky: 0,
    perSecondLeft: 0,
    perLifeLeft: 0,
    floorAtZero: true,
    stars: null,
  },
  players: { names: ['Player 1'] },
  finish: { wait: 0 },
  look: { behind: null, missMotion: 'none', celebration: 'none' },
}
const ON: Changes = {
  turn: { firstLook: 1000, matchLook: 500, missLook: 800, duringLook: 'skip' },
  clock: { mode: 'down', lookStopsClock: true, matchBonus: 1000, missPenalty: 1000 },
  limits: { lives: 5, turns: 40 },
  score: {
    match: 100,
    streakStep: 0.5,
    miss: 5,
    slip: 5,
    lucky: 5,
    perSecondLeft: 5,
    perLifeLeft: 5,
    floorAtZero: false,
  },
  players: { names: ['Ann', 'Ben'] },
  finish: { wait: 2000 },
  look: { missMotion: 'shake', celebration: 'wave' },
}
const CASES: [string, Changes][] = [
  ['as the demo game is', {}],
  ['with all rules off', OFF],
  ['with all rules on', ON],
  ['with sounds off', { ...OFF, sound: { on: false } }],
  [
    'with silent moments',
    {
      ...ON,
      sound: {
        on: true,
        flip: 'none',
        match: 'none',
        deal: 'none',
        miss: 'none',
        streak: 'none',
        lastSeconds: 'none',
        win: 'none',
        loss: 'none',
      },
    },
  ],
  ['with missed cards turned back by a button', { turn: { onMiss: 'button', duringLook: 'skip' } }],
  ['with missed cards turned back at a press', { turn: { onMiss: 'press', duringLook: 'skip' } }],
  [
    'with a clock that counts up',
    { ...OFF, clock: { mode: 'up', lookStopsClock: true, matchBonus: 1000, missPenalty: 500 } },
  ],
  [
    'with cards of one size, twins apart, pairs counted',
    {
      layout: { size: { width: 80, height: 90 }, gapAcross: 10, gapDown: 12, margin: 20 },
      deal: { way: 'apart' },
      fill: { repeat: 'counts' },
    },
  ],
]
test('whatever a level says itself can be given back', async ({ page }) => {
  await page.goto('/')
  await page
    .getByLabel('Game files', { exact: true })
    .setInputFiles(
      CASES.map(([, changes], i) =>
        fileOf(`every-key-${i}.game.json`, everyKeyOwn(i, changes), 'application/json'),
      ),
    )
  for (const i of CASES.keys())
    await page.getByRole('heading', { name: `Every key ${i}`, exact: true }).waitFor()
  for (const [i, [name]] of CASES.entries())
    await test.step(name, async () => {
      await page.goto(`/games/every-key-${i}/rules/all`)
      await expect(page.getByRole('heading', { name: 'All, as it is played' })).toBeVisible()
      const labels = [...(await tabsAt(page, 'Rules')), ...(await tabsAt(page, 'Deal'))].flatMap((names) =>
        names.split(', '),
      )
      expect(KEYS.filter((key) => !labels.includes(SETTING_WORDS[key].label))).toEqual([])
    })
})
