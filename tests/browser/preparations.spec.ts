import { expect, test } from '@playwright/test'

test('something made here is written by its usual way, changed, and the day makes it first', async ({ page }) => {
  await page.goto('/#/recipes')
  await page.getByRole('link', { name: 'Preparations' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    '17 things are made here before they go into pies, 10 of them doughs',
  )
  await page.getByRole('link', { name: 'Write a new one' }).click()

  await page.getByRole('textbox', { name: 'Name' }).fill('Quince paste')
  await page
    .getByRole('textbox', { name: /What goes in/ })
    .fill('900 g Pears, firm, pared and cored\n400 g Sugar, white')
  await expect(page.getByText('1300 g in all')).toBeVisible()
  await page.getByRole('combobox', { name: 'It is' }).selectOption('jam')
  await expect(page.getByRole('textbox', { name: 'Step 1' })).toHaveValue('Boil, stirring')
  // A bake is put in between the boiling and the cooling, and there the steps still hold together.
  await page.getByRole('button', { name: 'Add a bake' }).click()
  await page.getByRole('textbox', { name: 'Step 3' }).fill('Dry in the oven')
  await page.getByRole('button', { name: 'Dry in the oven: earlier' }).click()
  await expect(page.getByRole('textbox', { name: 'Step 2' })).toHaveValue('Dry in the oven')
  await page.getByRole('spinbutton', { name: 'At most, kg made at once' }).fill('0')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved: 1 field to look at.' })).toBeVisible()
  await page.getByRole('spinbutton', { name: 'At most, kg made at once' }).fill('4')
  await page.getByRole('button', { name: 'Save', exact: true }).click()

  await expect(page).toHaveURL(/#\/preparations$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('18 things are made here')
  await expect(page.getByText('Dry in the oven')).toBeVisible()
  await page.getByRole('link', { name: 'Quince paste' }).click()
  await page.getByRole('button', { name: 'Remove it' }).click()
  await page
    .getByRole('button', { name: /^Remove|^Yes/ })
    .last()
    .click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('17 things are made here')
})

test('the sheets of a day say what is made first, by the clock', async ({ page, request }) => {
  const { days } = await (await request.get('/api/bakery')).json()
  await page.goto(`/#/fillings/${days.at(-1).day}`)
  const first = page.getByRole('region', { name: 'Made first' })
  await expect(first.getByRole('heading', { name: /Sweet potato puree/ })).toBeVisible()
  await expect(first.getByText(/Roast, 180 °C/)).toBeVisible()
  await page.goto(`/#/ovens/${days.at(-1).day}`)
  const roast = page.getByRole('button', { name: /3 trays of Sweet potato puree/ }).first()
  await roast.click()
  await expect(page.getByRole('region', { name: 'The opened load' })).toContainText('Used from')
})
