import { expect } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choice, choose, expectNoViolations, fileOf, pressButton, tile, tiles, startAt } from './helpers.ts'
import { test } from './test.ts'

test('a list gets its columns, and is read in the signs that it has', async ({ page }) => {
  await test.step('columns of a list are given their parts, and the rows are what they say', async () => {
    await startAt(page, 'deck', 'signal-room')
    await pressButton(page, 'Words')
    const dialog = page.getByRole('dialog', { name: 'Words' })
    await page
      .getByLabel('File with words')
      .setInputFiles([
        fileOf(
          'list.csv',
          'Nr,Topic,Question,Answer,Notes\n1,sky,sun,soleil,x\n2,sky,moon,lune,y\n3,sea,wave,,z\n',
          'text/csv',
        ),
      ])
    await expect(choice(page, 'Column 1, Nr', 'nothing')).toBeVisible()
    await expect(choice(page, 'Column 2, Topic', 'tags')).toBeVisible()
    await expect(choice(page, 'Column 3, Question', 'one face')).toBeVisible()
    await expect(choice(page, 'Column 4, Answer', 'the other face')).toBeVisible()
    await expectNoViolations(page)
    // the faces swap places
    await choose(page, 'Column 3, Question', 'the other face')
    await expect(choice(page, 'Column 4, Answer', 'one face')).toBeVisible()
    await expect(dialog.getByText('line 4: there is no text for one face')).toBeVisible()
    await choose(page, 'Column 3, Question', 'one face')
    await choose(page, 'Rows without a second face', 'are left out')
    await dialog.getByRole('button', { name: 'Add 2 pairs' }).click()
    await expect(tiles(page)).toHaveCount(28)
    await tile(page, 'moon').click()
    await expect(page.getByRole('textbox', { name: 'Tags' })).toHaveValue('sky')
  })
  await test.step('a list that is not UTF-8 is recognised, and shown before it is taken', async () => {
    await startAt(page, 'deck', 'signal-room')
    await pressButton(page, 'Words')
    const dialog = page.getByRole('dialog', { name: 'Words' })
    const western = Buffer.from('caf\xe9;Kaffeehaus \x96 gro\xdf\nna\xefve Idee;dito\n', 'latin1')
    await page.getByLabel('File with words').setInputFiles([fileOf('western.csv', western, 'text/csv')])
    await expect(dialog.getByRole('status')).toContainText('it was read as windows-1252')
    await expect(dialog.getByRole('group', { name: 'Columns' })).toContainText('Kaffeehaus – groß')
    const utf16 = Buffer.from('Übung\texercice\n', 'utf16le')
    await page.getByLabel('File with words').setInputFiles([fileOf('wide.txt', utf16, 'text/plain')])
    await expect(dialog.getByRole('status')).toContainText('it was read as UTF-16LE')
    await expect(dialog.getByRole('group', { name: 'Columns' })).toContainText('Übung')
  })
})

test('a list dropped on the shelf makes a game of its own, and on the table opens there', async ({
  page,
}) => {
  const drop = async (selector: string): Promise<void> => {
    const transfer = await page.evaluateHandle(() => {
      const data = new DataTransfer()
      data.items.add(new File(['sun;soleil\nmoon;lune\n'], 'first_words.csv', { type: 'text/csv' }))
      return data
    })
    await page.dispatchEvent(selector, 'drop', { dataTransfer: transfer })
  }
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  await drop('.shelf')
  await pressButton(page, 'Make a game of 2 pairs')
  await expect(page.getByRole('textbox', { name: 'Title of the game' })).toHaveValue('first words')
  await expect(tiles(page)).toHaveText(['sun', 'moon'])
  await drop('.deck')
  await pressButton(page, 'Add 2 pairs')
  await expect(tiles(page)).toHaveCount(4)
})

test('several lists dropped on the shelf become games one after the other; a game saved as text is opened as one', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('article')).toHaveCount(3)
  const text = (name: string, content: string) => fileOf(name, content, 'text/plain')
  const game = JSON.stringify({
    ...JSON.parse(readFileSync('demo/tile-yard.game.json', 'utf8')),
    title: 'As text',
  })
  await page
    .getByLabel('Game files')
    .setInputFiles([
      text('suns.txt', 'sun;soleil\nmoon;lune\n'),
      text('game.txt', game),
      text('tools.txt', 'saw;scie\nfile;lime\nvice;etau\n'),
    ])
  await expect(page.getByText('"As text" is on the shelf')).toBeVisible()
  await pressButton(page, 'Make a game of 2 pairs')
  await expect(page.getByText('"suns" is on the shelf')).toBeVisible()
  await pressButton(page, 'Make a game of 3 pairs')
  await expect(page.getByRole('textbox', { name: 'Title of the game' })).toHaveValue('tools')
})
