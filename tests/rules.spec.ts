import { expect } from '@playwright/test'
import { addRule, choice, choose, drag, expectNoViolations, gameOf, openStation, type } from './helpers.ts'
import { test } from './test.ts'

test('look times are changed on the strip by keys and by dragging, and the sentence follows', async ({
  page,
}) => {
  await openStation(page, 'rules/bench')
  const edge = page.getByRole('slider', { name: 'Look time of a miss, on the strip' })
  const number = page.getByRole('spinbutton', { name: 'Look time of a miss', exact: true })
  await edge.focus()
  await page.keyboard.press('ArrowRight')
  await expect(number).toHaveValue('1.05 s')
  await page.keyboard.press('PageUp')
  await expect(number).toHaveValue('1.55 s')
  const box = (await edge.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 120, box.y + 5, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => parseFloat(await number.inputValue())).toBeLessThan(1.5)
  await page.keyboard.press('Home')
  await expect(number).toHaveValue('0.0 s')
  // a look of no time is not shown, unless a level switches off what the house rules have
  await page.getByRole('link', { name: /^House rules/ }).click()
  await edge.focus()
  await page.keyboard.press('Home')
  await expect(number).toHaveCount(0)
  await page.keyboard.press('ArrowRight')
  await expect(number).toHaveValue('0.05 s')
})

test('a clock that cannot be met is told with the nearest that can, one press away', async ({ page }) => {
  await openStation(page, 'rules/bench')
  const limit = page.getByRole('spinbutton', { name: 'Time limit', exact: true })
  await limit.fill('0:03')
  await limit.press('Enter')
  await expect(page.getByText('even perfect luck takes longer than the clock')).toBeVisible()
  await page.getByRole('button', { name: /on the clock: wins 9 of 10$/ }).click()
  // a perfect memory that takes its time needs much more than pure luck
  await expect(limit).toHaveValue(/^0:(3|4|5)\d$/)
  await expect(page.getByText('even perfect luck takes longer than the clock')).toBeHidden()
})

test('a level takes a ready look with one press, and a table too light is told', async ({ page }) => {
  await openStation(page, 'rules/bench')
  await choose(page, 'The look', 'like the kiln yard')
  const colour = page.getByRole('button', { name: 'Colour of the table', exact: true })
  await expect(colour.locator('[style*="rgb(92, 59, 28)"]')).toBeVisible()
  await expect(choice(page, 'Shape of the cards', 'square')).toBeVisible()
  await colour.click()
  await page.locator('.el-color-picker-panel:visible').getByRole('textbox').fill('#e0c060')
  await page.getByRole('button', { name: 'OK', exact: true }).click()
  await expect(page.getByText('hard to read')).toBeVisible()
  await choose(page, 'The look', 'like the slate roof')
  await expect(page.getByText('hard to read')).toBeHidden()
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(page.locator('.lt-player')).toHaveCSS('--table', '#37424d')
})

test('a rule that is off is not read, is put in by name, and is taken back at nothing', async ({ page }) => {
  await openStation(page, 'rules/warm-up')
  const luck = page.getByRole('spinbutton', { name: 'Points for luck', exact: true })
  await expect(page.getByText('A pair found by luck scores')).toHaveCount(0)
  // by keys alone
  const more = page.getByRole('button', { name: 'and… more about points' })
  await more.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem', { name: 'points for luck' })).toBeVisible()
  await expectNoViolations(page)
  await expect(page.getByRole('menuitem').first()).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(luck).toBeFocused()
  await expect(luck).toHaveValue('50')
  await expect(page.getByText('A pair found by luck scores')).toBeVisible()
  await luck.fill('0')
  await luck.press('Enter')
  await expect(luck).toHaveCount(0)
  await expect(more).toBeFocused()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(luck).toHaveValue('50')

  // what the house rules have and a level switches off is shown there
  await page.getByRole('link', { name: /^House rules/ }).click()
  await addRule(page, 'limits', 'lives')
  await page.getByRole('link', { name: /^Cabinet/ }).click()
  await type(page, 'Lives', '0')
  await expect(page.getByRole('button', { name: 'no lives to lose', exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Lives: own, set for this level/ })).toBeVisible()
})

test('what a level says itself is read even where it does nothing, and can be given back', async ({
  page,
}) => {
  await openStation(page, 'rules')
  await addRule(page, 'limits', 'lives')
  await page.getByRole('link', { name: /^Cabinet/ }).click()
  await type(page, 'Lives', '0')
  await expect(page.getByRole('button', { name: 'no lives to lose', exact: true })).toBeVisible()
  await page.getByRole('link', { name: /^House rules/ }).click()
  await type(page, 'Lives', '0')
  await expect(page.getByText('no lives to lose', { exact: true })).toHaveCount(0)
  await page.getByRole('link', { name: /^Cabinet/ }).click()
  await expect(page.getByRole('button', { name: 'no lives to lose', exact: true })).toBeVisible()
  await page.getByRole('button', { name: /^Lives: own/ }).click()
  await expect(page.getByText('no lives to lose', { exact: true })).toHaveCount(0)

  // a limit that no clock asks for
  await type(page, 'Time limit', '1:11')
  await choose(page, 'Clock', 'counts up')
  await expect(page.getByText('Time limit: 1:11, without effect')).toBeVisible()
  await page.getByRole('button', { name: /^Time limit: own/ }).click()
  await expect(page.getByText('without effect')).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Time limit: own/ })).toHaveCount(0)
  // who goes again with one player, how loud a silent moment is, and what sounds are like that are off
  const without = page.getByText('without effect')
  await choose(page, 'How many players', 'Two players take turns')
  await choose(page, 'Who goes after a match', 'the next player goes')
  await choose(page, 'How many players', 'One player plays')
  await expect(without).toHaveText('Who goes after a match: the next player goes, without effect own')
  await page.getByRole('button', { name: /^Who goes after a match: own/ }).click()
  await type(page, 'Volume of a flip', '40')
  await choose(page, 'Sound of a flip', 'silent')
  await expect(without).toHaveText('Volume of a flip: 40 %, without effect own')
  await choose(page, 'Sounds', 'are off')
  await expect(without).toHaveText([
    'Sound of a flip: silent, without effect own',
    'Volume of a flip: 40 %, without effect own',
  ])
  await page.getByRole('button', { name: /^Sound of a flip: own/ }).click()
  await page.getByRole('button', { name: /^Volume of a flip: own/ }).click()
  await expect(without).toHaveCount(0)

  // what a level adds and removes again it no longer sets itself
  await addRule(page, 'points', 'points for luck')
  await type(page, 'Points for luck', '0')
  await expect(page.getByText('A pair found by luck')).toHaveCount(0)
})

test('a setting is found by everyday words, those that are off and those of Deal as well', async ({
  page,
}) => {
  await openStation(page, 'rules/bench')
  const search = page.getByRole('combobox', { name: /^Find a setting/ })
  const found = page.getByRole('option')
  await search.fill('look miss')
  await expect(found).toHaveText([/^Look time of a miss\s*1\.0 s$/])
  await search.press('Enter')
  await expect(page.getByRole('spinbutton', { name: 'Look time of a miss', exact: true })).toBeFocused()
  await search.fill('hearts')
  await expect(found.filter({ hasText: 'Lives' }).first()).toContainText('off; adds lives')
  await expectNoViolations(page)
  await search.press('Enter')
  const lives = page.getByRole('spinbutton', { name: 'Lives', exact: true })
  await expect(lives).toBeFocused()
  await expect(lives).toHaveValue('4')
  await search.fill('music')
  await search.press('Enter')
  await expect(choice(page, 'Sounds', 'are on')).toBeFocused()
  await search.fill('trumpet')
  await expect(page.getByText('No setting found')).toBeVisible()
  await search.fill('holes')
  await expect(found).toHaveText([/^Gaps.*in Deal$/])
  await search.press('Enter')
  await expect(page).toHaveURL(/\/deal\/bench/)
})

test('a press during a look is offered only where it does something', async ({ page }) => {
  await openStation(page, 'rules')
  const press = choice(page, 'A press during the look time')
  await expect(press).toHaveCount(0)
  const offered = async (): Promise<string[]> => {
    await page.getByRole('button', { name: 'and… more about a turn' }).click()
    const names = await page.getByRole('menuitem').allInnerTexts()
    await page.getByRole('menuitem').first().press('Escape')
    await expect(page.getByRole('menuitem')).toHaveCount(0)
    return names
  }
  expect(await offered()).toContain('a press that ends the pause')
  await choose(page, 'What happens to missed cards', 'turn back by a button')
  await type(page, 'Look time of a match', '0')
  expect(await offered()).not.toContain('a press that ends the pause')
  await addRule(page, 'a turn', 'look time of a match')
  await addRule(page, 'a turn', 'a press that ends the pause')
  await expect(page.getByText('A press while a pair is open')).toBeVisible()
  await expect(choice(page, 'A press during the look time', 'ends it')).toBeFocused()
  // what is set is shown even where it has no effect
  await type(page, 'Look time of a match', '0')
  await expect(page.getByText('which has no effect with these rules')).toBeVisible()
})

test('what players see is put together in a copy of the head, by hand and by keys', async ({ page }) => {
  await openStation(page, 'rules/bench')
  const head = page.getByRole('group', { name: 'The head of the table' })
  const figures = head.getByRole('list', { name: 'Figures on the table' }).getByRole('listitem')
  await expect(figures).toHaveText([/^time left/, /^turns/, /^score/])
  await head.getByRole('button', { name: '+ flips' }).click()
  await head.getByRole('button', { name: /^Hide turns/ }).click()
  await expect(figures).toHaveText([/^time left/, /^score/, /^flips/])
  await head.getByRole('button', { name: /^Hide flips/ }).focus()
  await page.keyboard.press('Alt+ArrowLeft')
  await expect(figures).toHaveText([/^time left/, /^flips/, /^score/])
  await expect(head.getByRole('button', { name: /^Hide flips/ })).toBeFocused()
  await drag(page, figures.nth(0), figures.nth(2))
  await expect(figures).toHaveText([/^flips/, /^score/, /^time left/])
  await choose(page, 'Title on the table', 'is shown')
  await expectNoViolations(page)
  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(page.getByRole('term')).toHaveText(['flips', 'score', 'time left'])
  await page.getByRole('link', { name: 'Rules', exact: true }).click()
  await head.getByRole('button', { name: 'As the rules ask' }).click()
  await expect(figures).toHaveText([/^time left/, /^turns/, /^score/])
  const { levels } = await gameOf(page)
  expect(levels[1].head).toEqual({ figures: null, title: true })
})
