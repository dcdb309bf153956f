import { expect, test } from '@playwright/test'

test('what was measured changes the water of a dough, stays on the device, and a wrong figure is said at its field', async ({
  page,
}) => {
  await page.goto('/#/dough')
  const readings = page.getByRole('region', { name: 'Measured today' })
  await expect(page.getByText('g of it as ice').first()).toBeVisible()
  const before = await page.getByText('g of it as ice').first().textContent()
  await readings.getByRole('spinbutton', { name: 'Flour, °C' }).fill('27')
  await expect(page.getByText('g of it as ice').first()).not.toHaveText(before ?? '')
  await page.reload()
  await expect(readings.getByRole('spinbutton', { name: 'Flour, °C' })).toHaveValue('27')
  await expect(page.getByText('g of it as ice').first()).not.toHaveText(before ?? '')
  await readings.getByRole('spinbutton', { name: 'Tap water, °C' }).fill('90')
  await expect(readings.getByText('This does not fit: 0.5 to 45 °C.')).toBeVisible()
  await readings.getByRole('spinbutton', { name: 'Tap water, °C' }).fill('')
  await expect(readings.getByText('This does not fit')).toBeHidden()
})

test('a pot that is not cold in time is told with the pans that are, by depth and by a probe', async ({ page }) => {
  await page.goto('/#/fillings')
  const cold = page.getByRole('region', { name: 'Cold in time?' })
  await expect(cold).toContainText('it is not cold in time')
  await expect(cold).toContainText('pans of 50 × 30 cm for 20 kg')
  await cold.getByRole('spinbutton', { name: 'How deep, cm' }).fill('3')
  await expect(cold).toContainText('it is cold in time: from 57 to 21 °C')
  await cold.getByRole('combobox', { name: 'Cooled' }).selectOption('on a rack in the room')
  await expect(cold).toContainText('it never gets to 5 °C')
  await cold.getByRole('combobox', { name: 'Cooled' }).selectOption('in the fridge')
  await cold.getByRole('button', { name: 'By two readings of a probe' }).press('Enter')
  await cold.getByRole('spinbutton', { name: 'after, min' }).fill('20')
  await expect(cold).toContainText('As measured it is cold in time')
  await cold.getByRole('spinbutton', { name: '°C', exact: true }).fill('61')
  await expect(cold).toContainText('a second reading lies between')
})
