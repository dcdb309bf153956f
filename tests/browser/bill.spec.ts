import { expect, test } from '@playwright/test'

test('a day’s bill is read, a week’s and a customer’s, and what hands cost is stated where they are not counted', async ({
  page,
}) => {
  await page.goto('/#/bill')
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText('in ingredients, hands and ovens')
  const products = page.getByRole('region', { name: 'By product' })
  const orders = page.getByRole('region', { name: 'By customer' })
  const last = async (section: typeof products) =>
    (await section.getByRole('row').last().getByRole('cell').allInnerTexts()).join(' ')
  // Both lists come to the same.
  expect(await last(products)).toBe(await last(orders))

  const day = await sentence.innerText()
  await page.getByRole('combobox', { name: 'How many days' }).selectOption('the week from it on')
  await expect(sentence).not.toHaveText(day)
  await expect(page.getByRole('region', { name: 'By day' })).toBeVisible()
  await page.getByRole('combobox', { name: 'How many days' }).selectOption('no other day')
  const who = page.getByRole('combobox', { name: 'For whom' })
  const name = (await who.getByRole('option').nth(1).innerText()).trim()
  await who.selectOption(name)
  await expect(sentence).toContainText(`for ${name}:`)
  await expect(page.getByRole('link', { name: 'As a table (CSV)' })).toHaveAttribute('href', /for=/)

  await page.goto('/#/bakery')
  const hour = page.getByLabel('An hour of hands costs')
  const before = await hour.inputValue()
  await hour.fill('')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByRole('status')).toContainText('Saved')
  await page.goto('/#/bill')
  await page.getByRole('link', { name: 'State what an hour of them costs' }).click()
  await hour.fill(before)
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByRole('status')).toContainText('Saved')
  await page.goto('/#/bill')
  await expect(sentence).toContainText('in ingredients, hands and ovens')
})

test('a run by itself says from how many pies on it pays, and what it costs otherwise', async ({ page }) => {
  await page.goto('/#/costs/damson/23')
  const run = page.getByRole('region', { name: 'A run by itself' })
  await run.getByLabel('Pies').fill('5')
  await run.getByLabel('Pies').press('Enter')
  await expect(run).toContainText('5 pies made by themselves cost')
  await expect(run.getByRole('listitem').first()).toContainText(/pays from \d+ pies? on/)
  await run.getByLabel('Pies').fill('501')
  await run.getByLabel('Pies').press('Enter')
  await expect(run.getByRole('alert')).toContainText('A run is of 1 to 500 pies.')
  const beside = page.getByRole('region', { name: 'Side by side' })
  await expect(beside.getByRole('row').filter({ hasText: 'Flaky, bought in' })).toBeVisible()
  await page.goto('/#/costs')
  const butter = page
    .getByRole('region', { name: 'What moves them' })
    .getByRole('listitem')
    .filter({ hasText: 'Butter' })
  await butter.first().locator('summary').click()
  await expect(butter.first().getByRole('link').first()).toBeVisible()
})
