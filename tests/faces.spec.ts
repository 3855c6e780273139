import { expect } from '@playwright/test'
import { PNG } from 'pngjs'
import {
  cards,
  expectNoViolations,
  fileOf,
  gameOf,
  openStation,
  png,
  pressButton,
  tile,
  startAt,
} from './helpers.ts'
import { test } from './test.ts'

test('text fits, look-alikes are tied, and the back bears an image', async ({ page }) => {
  await test.step('text fits its card at every size', async () => {
    await startAt(page, 'deck')
    await pressButton(page, 'Words')
    const words = [
      'W',
      'Incomprehensibilities',
      'a few short words that wrap',
      'two words',
      'Donaudampfschifffahrt auf dem Strom',
    ]
    await page.getByRole('textbox', { name: 'Words' }).fill(words.join('\n'))
    await page.getByRole('button', { name: 'Add 5 pairs' }).click()
    for (const size of ['light table', 'slip', 'play']) {
      if (size === 'slip') await tile(page, 'Incomprehensibilities').click()
      if (size === 'play') {
        await page.goto('/games/clockmakers-drawer/play/cabinet')
        await expect(cards(page).first()).toBeVisible()
        // a deal that has words
        await page.getByRole('textbox', { name: 'seed' }).fill('words')
        await page.keyboard.press('Enter')
        await page.getByRole('button', { name: 'Glass' }).click()
        await expect(page.getByRole('grid').locator('.lt-text')).toHaveCount(6)
      }
      const over = await page.locator('.lt-text').evaluateAll((texts) =>
        texts.flatMap((text) => {
          const card = text.closest('.lt-face')!
          return (text as HTMLElement).offsetHeight > (card as HTMLElement).offsetHeight ||
            (text as HTMLElement).scrollWidth > (card as HTMLElement).offsetWidth
            ? [text.textContent]
            : []
        }),
      )
      expect({ size, over }).toEqual({ size, over: [] })
    }
  })
  await test.step('look-alikes are tied, more of them for those who see fewer colours, and found again after an edit', async () => {
    await startAt(page, 'deck')
    await pressButton(page, 'Pictures')
    for (const [query, name] of [
      ['blue heart', 'blue heart'],
      ['purple heart', 'purple heart'],
      ['left arrow', 'left arrow'],
      ['right arrow', 'right arrow'],
    ] as const) {
      await page.getByLabel('Search the pictures').fill(query)
      await page.getByRole('button', { name, exact: true }).click()
    }
    await page.getByRole('button', { name: 'Add 4 pairs' }).click()
    const ties = page.locator('svg text')
    await expect(ties).toHaveCount(1)
    await expect(
      page.getByText(/Left arrow and Right arrow look alike|Blue heart and Purple heart look alike/),
    ).toBeVisible()
    await page.getByText('deutan', { exact: true }).click()
    await expect(ties).toHaveCount(2)
    await expectNoViolations(page)
    // a turned face is a different one
    await page.getByRole('option', { name: 'Left arrow alike' }).click()
    await expect(page.getByRole('heading', { name: 'Easily mistaken for' })).toBeVisible()
    await page.getByRole('button', { name: 'Text', exact: true }).click()
    await expect(ties).toHaveCount(1)
  })
  await test.step('an own image on the back is replaced and tinted, and what it covers is switched off', async () => {
    await startAt(page, 'deck')
    const chosen = page.getByLabel('Image for the back')
    const give = async (name: string, colour: [number, number, number], press: string): Promise<string> => {
      const image = png(30, 36, colour)
      await pressButton(page, press)
      await chosen.setInputFiles([fileOf(name, image)])
      return `data:image/png;base64,${image.toString('base64')}`
    }
    await give('first.png', [40, 90, 160], 'Choose')
    for (const name of ['herringbone', 'lagoon', 'A picture', 'An image'])
      await expect(page.getByRole('button', { name, exact: true })).toBeDisabled()
    const second = await give('second.png', [160, 90, 40], 'Replace')
    await expect.poll(async () => (await gameOf(page)).deck.back.image).toBe(second)
    await page.getByRole('link', { name: 'Deck' }).click()

    const strength = page.getByRole('slider', { name: 'Strength of the tint' })
    await strength.focus()
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
    await expect(strength).toHaveAttribute('aria-valuenow', '30')
    await expectNoViolations(page)
    expect((await gameOf(page)).deck.back.tint).toEqual({ colour: '#23243f', strength: 30 })
    await page.getByRole('link', { name: 'Play', exact: true }).click()
    const back = page.getByRole('grid').locator('.lt-back').first()
    await expect(back).toHaveCSS('background-image', /^linear-gradient\(rgba\(35, 36, 63, 0\.3.*url\(/)
    await page.getByRole('link', { name: 'Deck' }).click()
    await pressButton(page, 'Remove')
    await expect(page.getByRole('button', { name: 'herringbone', exact: true })).toBeEnabled()
    const bare = (await gameOf(page)).deck.back
    expect([bare.image, bare.tint]).toEqual([undefined, undefined])
  })
})

test('the back bears an emblem or an own image, in Play and in the shipped file; one that looks like a face is told', async ({
  page,
}) => {
  await openStation(page, 'deck')
  await page.getByRole('button', { name: 'A picture' }).click()
  await page.getByLabel('Search the pictures').fill('gear')
  await page.getByRole('button', { name: 'gear, in the deck' }).click()
  await expect(page.getByText('could be taken for')).toHaveCount(0)
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  const back = () => page.getByRole('grid').evaluate((board) => board.style.getPropertyValue('--back'))
  expect(await back()).toContain('/pictures/gear.svg')
  await page.getByRole('link', { name: 'Deck' }).click()
  const made = PNG.sync.read(png(40, 40, [255, 255, 255]))
  for (let y = 6; y < 34; y++)
    for (let x = 6; x < 34; x++) made.data.set([12, 200, 34, 255], (y * 40 + x) * 4)
  const image = PNG.sync.write(made)
  await page.getByRole('button', { name: 'Choose', exact: true }).click()
  await page.getByLabel('Image for the back').setInputFiles([fileOf('back.png', image)])
  await expect(page.getByRole('button', { name: 'Remove' })).toBeVisible()
  await pressButton(page, 'Images')
  await page
    .getByLabel('Images to add', { exact: true })
    .setInputFiles([fileOf('same green.png', png(41, 41, [12, 200, 34]))])
  await page.getByRole('button', { name: 'Add 1 pair' }).click()
  await expect(page.getByText('the back could be taken for same green.')).toBeVisible()
  const { deck } = await gameOf(page)
  expect(deck.back).toMatchObject({ emblem: { kind: 'picture', name: 'gear' } })
  expect(deck.back.image).toBe(`data:image/png;base64,${image.toString('base64')}`)
})
