import { expect, test } from '@playwright/test'

test.use({ hasTouch: true, viewport: { width: 768, height: 1024 } })

test('with fingers alone a count is stepped, a load opened, and an order removed and put back', async ({ page }) => {
  await page.goto('/#/recipes/pear/23/10')
  const pies = page.getByRole('spinbutton', { name: 'Pies' })
  await pies.tap()
  await page.getByRole('button', { name: 'More' }).tap()
  await page.getByRole('button', { name: 'More' }).tap()
  await expect(pies).toHaveValue('12')
  await expect(page).toHaveURL(/pear\/23\/12$/)
  await page.getByRole('button', { name: 'Less' }).tap()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('13.72 kg of filling')

  await page.getByRole('link', { name: 'Ovens', exact: true }).tap()
  await page
    .getByRole('button', { name: /Load 1:/ })
    .first()
    .tap()
  const load = page.getByRole('region', { name: 'The opened load' })
  await expect(load.getByRole('img', { name: /shelf \d+: \d+ pies/ }).first()).toBeVisible()
  await load.getByRole('button', { name: 'Close the load' }).tap()
  await expect(load).toHaveCount(0)

  await page.getByRole('link', { name: 'Orders', exact: true }).tap()
  const remove = page.getByRole('button', { name: /^Remove 4 Pear and ginger, 26 cm/ })
  const size = await remove.boundingBox()
  // A finger needs some 44 pixels (WCAG 2.2, target size, enhanced, from memory).
  expect(size?.height).toBeGreaterThanOrEqual(40)
  await remove.tap()
  await expect(remove).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).tap()
  await expect(remove).toBeVisible()
})

test('what changed in the sentence is told to those who cannot see it', async ({ page }) => {
  await page.goto('/#/recipes/pear/23/10')
  await page.getByRole('spinbutton', { name: 'Pies' }).press('ArrowUp')
  await expect(page.locator('p[aria-live="polite"]').first()).toContainText('11 in the 23 cm pan: 13.72 kg of filling')
})
