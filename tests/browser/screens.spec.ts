import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'

const screens = [
  '/orders',
  '/plan',
  '/dough',
  '/fillings',
  '/recipes',
  '/recipes/pear/26/24',
  '/recipes/damson/23/6',
  '/recipes/oat-custard/26/4',
]

for (const screen of screens) {
  test(`${screen} has nothing serious against accessibility`, async ({ page }) => {
    await page.goto(`/#${screen}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(
      violations
        .filter((one) => one.impact === 'serious' || one.impact === 'critical')
        .map((one) => `${one.id}: ${one.nodes[0]?.html}`),
    ).toEqual([])
  })

  test(`${screen} fits a tablet, and says nothing on the console`, async ({ page }) => {
    const said: string[] = []
    page.on('console', (message) => message.type() === 'error' && said.push(message.text()))
    page.on('pageerror', (error) => said.push(error.message))
    await page.setViewportSize({ width: 768, height: 1024 })
    await page.goto(`/#${screen}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(768)
    expect(said).toEqual([])
  })
}
