import { expect, test } from '@playwright/test'

test('what is in the cold is seen at any minute, with until when it keeps', async ({ page }) => {
  await page.goto('/#/cold')
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText(/^At \w+\s+\d\d:\d\d, for .*, the fridge holds \d+ of 10 trays/)
  const fridge = page.getByRole('region', { name: 'Fridge' })
  await expect(fridge.getByRole('listitem').first()).toContainText(/until \w+ \d\d:\d\d, keeps until \w+ \d\d:\d\d/)
  const slider = page.getByRole('slider', { name: 'The minute that is looked at' })
  const at = async () => Number(await slider.inputValue())
  // The plan that settles may still take the place of the first one.
  await expect(page.getByText('planning goes on')).toHaveCount(0)
  await slider.focus()
  await page.keyboard.press('Home')
  await expect(fridge).toContainText(/Fridge\s*0 of 10 trays/)
  const before = await at()
  await page.getByRole('button', { name: 'After that' }).click()
  expect(await at()).toBeGreaterThan(before)
  await page.getByRole('button', { name: 'Before that' }).click()
  expect(await at()).toBeLessThanOrEqual(before + 1)
  await page.getByRole('button', { name: 'When the fridge is fullest' }).click()
  await expect(fridge).not.toContainText(/Fridge\s*0 of 10 trays/)
  const moment = (await slider.getAttribute('aria-valuetext')) ?? ''
  await expect(sentence).toContainText(new RegExp(`^At ${moment.replace(' ', '\\s+')}, for`))
})
