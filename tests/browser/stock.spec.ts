import { expect, test } from '@playwright/test'

// Far from the days of the other tests.
const day = '2027-03-06'

test('dough that is there is noted, changed and removed, and a day shows where it goes', async ({ page }) => {
  await page.goto(`/#/made/${day}`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Of what is made already nothing is taken for')
  // The demo has one thing of its own, which is past its time by then or not: it is told either way.
  await expect(page.getByText('Almond paste', { exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'Note what is made already' }).click()
  await page.getByRole('combobox', { name: 'What is made already' }).selectOption('Flaky 3-2-1')
  await page.getByRole('button', { name: 'Note it' }).press('Enter')
  // What is missing is said at its field, and nothing that was chosen is lost.
  await expect(page.getByText('This is missing: 0.01 to 2000 kg.')).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'What is made already' })).toHaveValue('dough:flaky')
  await page.getByRole('spinbutton', { name: 'Kilograms' }).fill('4.5')
  await page.getByRole('textbox', { name: 'Note' }).fill('two boxes')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByRole('status')).toContainText('Noted: Flaky 3-2-1.')
  const entry = page.getByRole('listitem').filter({ hasText: 'Flaky 3-2-1' })
  await expect(entry).toContainText('4500 g')
  await expect(entry).toContainText('in the fridge')
  await expect(entry).toContainText('“two boxes”')

  await entry.getByRole('button', { name: 'Change 4500 g Flaky 3-2-1' }).click()
  await page.getByRole('spinbutton', { name: 'Kilograms' }).fill('3')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(entry).toContainText('3000 g')

  await entry.getByRole('button', { name: 'Remove 3000 g Flaky 3-2-1' }).click()
  await entry.getByRole('button', { name: 'Remove it' }).click()
  await expect(entry).toHaveCount(0)
})

test('pies are noted as far as they have been brought', async ({ page }) => {
  await page.goto(`/#/made/${day}`)
  await page.getByRole('button', { name: 'Note what is made already' }).click()
  await page.getByRole('combobox', { name: 'What is made already' }).selectOption('Pies: Oat custard')
  await page.getByRole('spinbutton', { name: 'Pies' }).fill('6')
  await page.getByRole('combobox', { name: 'Done as far as' }).selectOption({ index: 2 })
  await page.getByRole('combobox', { name: 'Where' }).selectOption('at room temperature')
  await page.getByRole('button', { name: 'Note it' }).click()
  const entry = page.getByRole('listitem').filter({ hasText: 'Oat custard, 23 cm' })
  await expect(entry).toContainText('6 pies')
  await expect(entry).toContainText('good for pick-ups until')
  await entry.getByRole('button', { name: 'Remove 6 pies Oat custard, 23 cm' }).click()
  await entry.getByRole('button', { name: 'Remove it' }).click()
  await expect(entry).toHaveCount(0)
})
