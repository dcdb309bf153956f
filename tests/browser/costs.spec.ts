import { expect, test } from '@playwright/test'

// Chocolate goes into one product only, so that no other test meets its price.
const list = 'Artikel;Inhalt;Preis\nChocolate, dark;5 kg;380,00\nBitter block;2.5 kg;40,00\nSea buckthorn;2 kg;31,00\n'

test('a price list comes in, a product turns dear, the reason is found, and it is bought elsewhere', async ({
  page,
}) => {
  await page.goto('/#/prices')
  await page.getByRole('button', { name: 'Take in a price list' }).click()
  const form = page.getByRole('region', { name: 'A supplier’s price list' })
  await form.getByLabel('Whose list it is').fill('Quayside Stores')
  await form
    .locator('input[type=file]')
    .setInputFiles({ name: 'winter.csv', mimeType: 'text/csv', buffer: Buffer.from(`\uFEFF${list}`) })
  // Looked at before it is taken: what is new, what it does, what nobody knows.
  const row = form.getByRole('row').filter({ hasText: 'Chocolate, dark' })
  await expect(row).toContainText('11.60 a kg')
  await expect(row).toContainText('76.00 a kg')
  await expect(row).toContainText('Look twice')
  await expect(form.getByRole('listitem').filter({ hasText: 'Chocolate malt cream' })).toContainText('+10.')
  await form.getByLabel('What Sea buckthorn is').selectOption('none of ours')
  await form.getByLabel('What Bitter block is').selectOption('Chocolate, dark')
  // Two articles of one ingredient: said, and nothing is taken.
  await expect(form.getByText('Row 3: "Bitter block" and "Chocolate, dark" in row 2')).toBeVisible()
  await expect(form.getByRole('button', { name: 'Take these prices' })).toBeDisabled()
  await form.getByLabel('What Bitter block is').selectOption('none of ours')
  await form.getByRole('button', { name: 'Take these prices' }).click()
  await expect(page.getByRole('status')).toContainText('1 price taken from winter.csv.')

  await page.getByRole('link', { name: 'Costs', exact: true }).last().click()
  // The greatest share stands first.
  const first = page.getByRole('row').nth(1)
  await expect(first).toContainText('Chocolate malt cream')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Chocolate malt cream')
  await first.getByRole('link').click()
  await expect(page.getByRole('region', { name: 'Over time' }).getByRole('listitem').first()).toContainText(
    'Chocolate, dark 11.60 a kg to 76.00 a kg',
  )
  // The cheapest way out is said: what asks nothing of whoever buys it first.
  const beside = page.getByRole('region', { name: 'Side by side' })
  await expect(beside).toContainText('more than the')
  await expect(beside.getByRole('listitem').filter({ hasText: 'Chocolate, dark from Beacon Wholesale' })).toBeVisible()
  const before = await page.getByRole('heading', { level: 1 }).innerText()

  await page.goto('/#/prices')
  await page.getByRole('button', { name: 'Open Chocolate, dark' }).click()
  await page.getByRole('button', { name: 'Buy it from Beacon Wholesale from today' }).click()
  await expect(page.getByRole('status')).toContainText('is bought from Beacon Wholesale from today on')
  await page.goto('/#/costs/chocolate/20-straight')
  // 109.00 for 4 x 2.5 kg.
  await expect(page.getByRole('row').filter({ hasText: 'Chocolate, dark' })).toContainText(
    '109.00 for case of 4 x 2.5 kg',
  )
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(before)

  // And a price is set.
  await page.getByRole('link', { name: 'the recipe' }).click()
  await page.getByRole('link', { name: 'Change the recipe' }).click()
  await page.getByLabel('Selling price in 20 cm ring').fill('61.50')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page).toHaveURL(/#\/recipes\/chocolate/)
  await page.goto('/#/costs/chocolate/20-straight')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('of the 61.50 it sells for')
})

test('a price is typed by keys alone, and what is wrong is said at its field', async ({ page }) => {
  await page.goto('/#/prices')
  await page.getByLabel('Find an ingredient or a supplier').fill('Cardamom')
  await page.getByRole('button', { name: 'Open Cardamom, ground' }).press('Enter')
  const form = page.getByRole('form', { name: 'A price of Cardamom, ground' })
  await form.getByLabel('Pack: 25 kg').fill('a big bag')
  await form.getByLabel('EUR for the pack').fill('15.50')
  await form.getByLabel('EUR for the pack').press('Enter')
  await expect(form.getByText('"a big bag" is no pack')).toBeVisible()
  await expect(form.getByLabel('EUR for the pack')).toHaveValue(/^15\.50?$/)
  await form.getByLabel('Pack: 25 kg').fill('bag of 250 g')
  await form.getByLabel('Pack: 25 kg').press('Enter')
  await expect(page.getByRole('status')).toContainText('Cardamom, ground: 15.50 for bag of 250 g')
  await expect(page.getByText('62.00 a kg')).toBeVisible()
})

test('what is aimed at is said once, and every product says what to charge', async ({ page }) => {
  await page.goto('/#/costs/channels')
  const form = page.getByRole('form', { name: 'Channels' })
  const counter = form.getByRole('group', { name: 'Counter' })
  await counter.getByLabel('Prices in steps of').fill('0')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(counter.getByRole('alert')).toContainText('This does not fit: 0.001 to 1000.')
  await counter.getByLabel('Prices in steps of').fill('1')
  await counter.getByLabel('and below by').fill('0.05')
  await counter.getByLabel('Ingredients take, %').fill('25')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('status')).toHaveText('Saved.')

  await page.goto('/#/costs/leek/26-deep')
  const row = page.getByRole('region', { name: 'What to charge' }).getByRole('row').filter({ hasText: 'Counter' })
  // 9.36 over 25 % is 37.44: the next point is 37.95.
  await expect(row).toContainText('37.95')
  await page.getByRole('link', { name: 'All costs' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('25 % aimed at')
})
