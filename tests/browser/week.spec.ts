import { expect, test } from '@playwright/test'

test('a special date gets a shift with a break, what is wrong is said at its field, and it is kept', async ({
  page,
}) => {
  await page.goto('/#/bakery')
  const dates = page.getByRole('region', { name: 'Special dates' })
  await dates.getByRole('button', { name: 'A special date' }).click()
  await dates.getByRole('textbox', { name: 'Date' }).fill('2031-03-01')
  await dates.getByRole('textbox', { name: 'Why' }).fill('Harbour day')
  await expect(dates.getByText('Nobody works.')).toBeVisible()
  await dates.getByRole('button', { name: 'Special date 1: a shift' }).click()
  const shift = dates.getByRole('group', { name: 'Special date 1, shift 1' })
  await shift.getByRole('textbox', { name: 'Name' }).fill('Short')
  await shift.getByRole('button', { name: 'a break' }).click()
  await shift.getByRole('textbox', { name: 'Break at' }).fill('23:00')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(shift.getByText('The break lies outside its shift.')).toBeVisible()
  await shift.getByRole('textbox', { name: 'Break at' }).fill('06:00')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(shift.getByText('The break lies outside its shift.')).toBeHidden()
  await page.reload()
  await expect(dates.getByRole('textbox', { name: 'Break at' })).toHaveValue('06:00')
  // The week's shifts say their days by keys as well.
  const monday = page
    .getByRole('group', { name: 'Shift 1: days on which it begins' })
    .getByRole('button', { name: 'Mon' })
  await expect(monday).toHaveAttribute('aria-pressed', 'true')
  await monday.press('Space')
  await expect(monday).toHaveAttribute('aria-pressed', 'false')
  await monday.press('Space')
  await dates.getByRole('button', { name: 'Take out special date 1', exact: true }).click()
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
})
