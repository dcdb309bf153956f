import { expect, test } from '@playwright/test'

test('what is missing for the fair is bought and comes, a batch takes it once, and a lot is traced to who has it', async ({
  page,
}) => {
  await page.goto('/#/stock')
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading).toContainText('that are not on the shelves.')
  await expect(heading).toContainText('One lot is past its day.')
  const missing = page.getByRole('row').filter({ hasText: 'Damsons' })
  await expect(missing).toContainText(/\d+\.\d\d kg/)

  // The list: whole packs by supplier, and what of it is printed or taken along.
  await page.getByRole('link', { name: 'Buy what is missing' }).click()
  const orchard = page.getByRole('region', { name: 'Lower Orchard' })
  await expect(orchard.getByRole('row').filter({ hasText: 'Damsons' })).toContainText('10.00 kg')
  await expect(orchard).toContainText('comes')
  const csv = page.waitForEvent('download')
  await page.getByRole('link', { name: 'As a table (CSV)' }).click()
  expect((await csv).suggestedFilename()).toMatch(/^buying-\d{4}-\d\d-\d\d\.csv$/)
  // A minimum is said, and said to be missed.
  await orchard.getByRole('button', { name: 'When Lower Orchard delivers' }).click()
  const terms = page.getByRole('form', { name: 'When Lower Orchard delivers' })
  await terms.getByLabel('until').fill('noonish')
  await terms.getByLabel('until').press('Enter')
  await expect(terms.getByText('A clock time is needed')).toBeVisible()
  await terms.getByLabel('until').fill('06:30')
  await terms.getByLabel('At least').fill('100')
  await terms.getByRole('button', { name: 'Save' }).click()
  await expect(orchard).toContainText('below what Lower Orchard asks for at least (100.00).')

  await orchard.getByRole('button', { name: 'Ordered at Lower Orchard' }).dblclick()
  await expect(page.getByRole('status')).toContainText('Ordered at Lower Orchard.')
  await expect(orchard).toHaveCount(0)
  await page.getByRole('button', { name: 'It has come, from Lower Orchard' }).click()
  const came = page.getByRole('form', { name: 'What has come from Lower Orchard' })
  await came.getByLabel('Lot number').fill('LO 2000')
  await came.getByRole('button', { name: 'Put on the shelves' }).click()
  await expect(page.getByRole('status')).toContainText('On the shelves: what Lower Orchard brought.')

  // It lies where the last of it lay, and tells where it came from.
  await page.getByRole('link', { name: 'All shelves' }).click()
  await expect(page.getByRole('row').filter({ hasText: 'Damsons' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Damsons, 10.00 kg' }).last().click()
  const lot = page.getByRole('complementary', { name: 'A lot' })
  await expect(lot).toContainText('lot LO 2000')

  // All batches of the day but what waits for others are made; nothing is taken twice.
  await page.getByRole('link', { name: 'Enter what is made' }).click()
  await expect(heading).toContainText('0 of ')
  // Other tests may have ordered more, so that there is more than one bowl.
  const bowls = page.getByRole('button', { name: 'Made: Very rich flaky' })
  const count = await bowls.count()
  for (let bowl = 1; bowl <= count; bowl++) {
    await bowls.first().dblclick()
    await expect(heading).toContainText(`${bowl} of `)
  }
  await expect(page.getByRole('status')).toContainText('Entered: Very rich flaky')
  const damson = page.getByRole('listitem').filter({ hasText: 'Damson lattice, 26 cm' }).first()
  await damson.getByRole('button', { name: 'Made: ' }).click()
  await expect(page.getByRole('status')).toContainText('Damson lattice, 26 cm, lot ')
  await damson.getByRole('button', { name: / taken: / }).click()
  await expect(damson.getByRole('link', { name: /lot LO/ }).first()).toBeVisible()

  // Pies whose dough is not entered yet say so, and are not entered by a slip.
  await page
    .getByRole('button', { name: /Made: \d+ Pear and ginger/ })
    .first()
    .click()
  await expect(page.getByRole('button', { name: 'Enter all the same' })).toBeVisible()
  await page.getByRole('button', { name: 'Not yet' }).click()

  await page.goto('/#/trace')
  await page.getByLabel('Lot number, what it is, or who it was for').fill('LO 2000')
  await page.getByRole('link', { name: 'Damsons, lot LO 2000' }).click()
  await expect(heading).toContainText('lot LO 2000')
  await page.goto('/#/trace')
  await page.getByLabel('Lot number, what it is, or who it was for').fill('HD 2207')
  await page.getByRole('link', { name: 'Butter, unsalted, lot HD 2207' }).click()
  await expect(heading).toContainText(/it went into \d+ batches, and with \d+ pies to \d+ orders?\./)
  await expect(page.getByRole('region', { name: 'Recall sheet' })).toContainText('Ferry galley')
  await page.getByRole('group', { name: 'The way' }).getByRole('link', { name: 'Ferry galley' }).first().click()
  await expect(heading).toContainText('lots from outside went into the pies for Ferry galley')
  await page.emulateMedia({ media: 'print' })
  await page.setViewportSize({ width: 703, height: 1000 })
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(703)
})

test('a lot is counted, opened and thrown away by keys, and what is not there is not taken', async ({ page }) => {
  await page.goto('/#/stock')
  await page.getByRole('button', { name: 'Cheese, hard' }).press('Enter')
  const lot = page.getByRole('complementary', { name: 'A lot' })
  await expect(lot).toContainText('2.80 kg')
  const form = lot.getByRole('form', { name: 'What happens to it' })
  await form.getByLabel('Kilograms').fill('3')
  await form.getByLabel('Kilograms').press('Enter')
  await expect(form.getByText('On the books there is only 2.8 kg of it.')).toBeVisible()
  await form.getByLabel('What happens').selectOption('Thrown away')
  await form.getByLabel('Kilograms').fill('0.3')
  await form.getByLabel('Kilograms').press('Enter')
  await expect(form.getByText('Say why, in a few words.')).toBeVisible()
  await form.getByLabel('Why').fill('mouldy rind')
  await form.getByLabel('Why').press('Enter')
  await expect(lot).toContainText('2.50 kg')
  await expect(lot.getByRole('list')).toContainText('mouldy rind')
  await lot.getByRole('button', { name: 'Close' }).click()
  await expect(lot).toHaveCount(0)
})
