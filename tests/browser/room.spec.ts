import { expect, test } from '@playwright/test'

test('room that is counted is kept to and drawn on the plan, and what cannot be is said at its field', async ({
  page,
}) => {
  await page.goto('/#/bakery')
  const racks = page.getByRole('group', { name: 'Room' }).getByLabel('Racks, trays')
  await expect(racks).toHaveValue('20')
  await racks.fill('0')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText(/1 to 5000/)).toBeVisible()
  await racks.fill('19')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()

  await page.goto('/#/plan')
  const axis = page.getByRole('region', { name: 'The day on one axis' })
  await expect(axis.getByText(/^Racks \d+ of 19 trays$/)).toBeVisible()
  // At the minute that is looked at, everyone and every place is told in words too.
  await expect(axis.getByText(/^Racks \(trays\) \d+$/)).toBeVisible()
  await axis.getByRole('slider').focus()
  await page.keyboard.press('End')
  await expect(axis.getByText('Racks (trays) 0')).toBeVisible()

  await page.goto('/#/bakery')
  await racks.fill('20')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
})
