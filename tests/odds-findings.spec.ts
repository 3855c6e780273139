import { expect } from '@playwright/test'
import { choose, expectNoViolations, openRung, type, startAt } from './helpers.ts'
import { gameNow, limit, played, winsOf, openOdds } from './odds-page.ts'
import { test } from './test.ts'

test('a level that hardly anybody wins or is easier than the one before is mended, and the ladder is evened out', async ({
  page,
}) => {
  await test.step('a level that hardly anybody wins is a finding: it opens Odds, and is mended by a value that is solved for', async () => {
    await startAt(page, 'rules/top-drawer')
    await type(page, 'Time limit', '0:22')
    const meaning = page.getByRole('complementary', { name: 'What that means' })
    await expect(
      meaning.getByText(/hardly anybody wins: everyday players won \d+ of 100 games/i),
    ).toBeVisible()
    await page.getByRole('link', { name: 'Ship', exact: true }).click()
    const line = page.getByRole('listitem').filter({ hasText: 'Top drawer: hardly anybody wins' })
    await line.getByRole('link', { name: 'Go there' }).click()
    await expect(page).toHaveURL(/odds\/top-drawer$/)
    await played(page)
    const mend = page.getByRole('button', { name: /on the clock: 7 of 10 everyday players win$/ })
    await expectNoViolations(page)
    await mend.click()
    await expect(mend).toBeHidden()
    const wins = async () => Number((await winsOf(page, 'Everyday').innerText()).split(/\s/)[0])
    await expect.poll(wins).toBeGreaterThan(60)
    await page.keyboard.press('Control+z')
    await expect(mend).toBeVisible()
  })
  await test.step('the ladder is evened out in one step that can be undone', async () => {
    await startAt(page, 'odds/bench')
    await played(page)
    const before = (await gameNow(page)).levels
    await type(page, 'Wins wanted on the first level, of 100', '95')
    await type(page, 'Wins wanted on the last level, of 100', '50')
    await page.getByRole('button', { name: 'Even it out…' }).click()
    const dialog = page.getByRole('dialog', { name: 'Even out the ladder' })
    await expect(dialog.getByRole('row', { name: /^Cabinet 50 1:50 \d:\d\d/ })).toBeVisible()
    await expectNoViolations(page)
    await dialog.getByRole('button', { name: 'Change 4 levels' }).click()
    await expect(page.getByText('The ladder is evened out: 4 levels changed')).toBeVisible()
    await expect(openRung(page)).not.toContainText('1:10')
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
    await expect(openRung(page)).toContainText('1:10')
    expect((await gameNow(page)).levels).toEqual(before)
  })
  await test.step('a level that is easier than the one before is a finding, with a way out', async () => {
    await startAt(page, 'odds/cabinet')
    await limit(page).focus()
    for (let i = 0; i < 4; i++) await page.keyboard.press('PageUp')
    await expect(openRung(page)).toContainText('2:30')
    const mend = page.getByRole('button', { name: /on the clock: as many win as before$/ })
    await expect(
      page.getByText(/easier than Top drawer, the level before: everyday players won/i),
    ).toBeVisible()
    await mend.click()
    await expect(mend).toBeHidden()
    await expect(openRung(page)).not.toContainText('2:30')
    // how many undo steps those keys were depends on how quickly they came
    await expect(async () => {
      await page.keyboard.press('Control+z')
      await expect(openRung(page)).toContainText('1:50', { timeout: 500 })
    }).toPass()
  })
})

test('the band that is wanted is dragged at its ends, and moved by keys; turns are seen up the ladder too', async ({
  page,
}) => {
  await openOdds(page, 'bench', ['warm-up', 'bench'])
  await played(page)
  const end = page.getByRole('slider', { name: 'Wins wanted on the last level' })
  await expect(end).toHaveAttribute('aria-valuetext', '60 of 100')
  await end.scrollIntoViewIfNeeded()
  const box = (await end.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 33, { steps: 4 })
  await page.mouse.up()
  // 33 of the 110 px of the plot are 30 of 100
  await expect(end).toHaveAttribute('aria-valuetext', /^(29|30|31) of 100$/)
  const dragged = Number(await end.getAttribute('aria-valuenow'))
  await end.press('ArrowUp')
  await expect(page.getByRole('spinbutton', { name: 'Wins wanted on the last level, of 100' })).toHaveValue(
    String(dragged + 1),
  )
  await end.press('End')
  await expect(end).toHaveAttribute('aria-valuetext', '100 of 100')
  await choose(page, 'What the chart shows', 'turns of a game')
  await expect(end).toHaveCount(0)
  await expect(
    page.getByRole('img', { name: /^Up the ladder: turns of a game\. .*Perfect: Warm-up 6, / }),
  ).toBeVisible()
})
