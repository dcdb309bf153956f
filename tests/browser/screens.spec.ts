import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'

/** What axe finds that is serious: by every rule, or by some. */
async function serious(page: Page, rules?: string[]) {
  // A screen is one frame, so nothing is gathered over frames in a page of its own, which takes most of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({
    resultTypes: ['violations'],
    ...(rules ? { runOnly: { type: 'rule', values: rules } } : {}),
  })
  return (await axe.analyze()).violations
    .filter((one) => one.impact === 'serious' || one.impact === 'critical')
    .map((one) => `${one.id}: ${one.nodes[0]?.html}`)
}

const screens = [
  '/orders',
  '/plan',
  '/ovens',
  '/bakery',
  '/costs',
  '/bill',
  '/labels/pear/23',
  '/costs/pear/23',
  '/costs/channels',
  '/prices',
  '/write',
  '/write/pear',
  '/doughs',
  '/doughs/flaky',
  '/ingredients',
  '/preparations',
  '/preparations/sweet-potato-puree',
  '/preparations/new',
  '/dough',
  '/fillings',
  '/stock',
  '/made',
  '/batches',
  '/buying',
  '/trace',
  '/cold',
  '/bench',
  '/sheets',
  '/recipes',
  '/recipes/pear/26/24',
  '/recipes/damson/23/6',
  '/recipes/oat-custard/26/4',
  '/recipes/minis/mini/48',
  '/recipes/slab/34x24/6',
  '/recipes/apricot/28-fluted/4',
  '/versions/pear',
  '/compare/pear/damson',
  '/pans',
  '/library',
]

for (const screen of screens)
  test(`${screen} has nothing serious against accessibility, fits a tablet, and says nothing on the console`, async ({
    page,
  }) => {
    const said: string[] = []
    page.on('console', (message) => message.type() === 'error' && said.push(message.text()))
    page.on('pageerror', (error) => said.push(error.message))
    await page.goto(`/#${screen}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(await serious(page)).toEqual([])
    await page.setViewportSize({ width: 768, height: 1024 })
    await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(768)
    expect(said).toEqual([])
  })

for (const screen of [
  '/orders',
  '/plan',
  '/ovens',
  '/dough',
  '/recipes/passion/23/9',
  '/bakery',
  '/write/pear',
  '/preparations/praline',
  '/pans',
  '/stock',
]) {
  test(`${screen} can be read with the lights down`, async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('lumpet-theme', 'dark'))
    await page.goto(`/#${screen}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'lumpet-dark')
    // Only colours differ from the other theme.
    expect(await serious(page, ['color-contrast'])).toEqual([])
  })
}

// What a sheet of paper leaves between margins of 12 mm, at 96 pixels an inch (CSS, absolute lengths).
const papers = { A4: (210 - 24) * (96 / 25.4), Letter: (8.5 - 24 / 25.4) * 96 } as const
for (const sheet of [
  '/orders',
  '/plan',
  '/ovens',
  '/dough',
  '/fillings',
  '/stock',
  '/made',
  '/buying',
  '/bench',
  '/recipes/pear/26/24',
  '/recipes/slab/34x24/6',
  '/bill',
  '/labels/oat-custard/23',
])
  test(`${sheet} prints on A4 and on Letter with nothing cut, black on white`, async ({ page }) => {
    await page.emulateMedia({ media: 'print' })
    await page.goto(`/#${sheet}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
    expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe('rgb(255, 255, 255)')
    for (const paper of ['A4', 'Letter'] as const) {
      const width = Math.floor(papers[paper])
      await page.setViewportSize({ width, height: 1000 })
      await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
      // Cut off without a scroll bar: an element wider than the sheet.
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll('main *')]
          .filter((one) => one.getClientRects().length > 0 && one.getBoundingClientRect().right > innerWidth + 1)
          .map((one) => one.outerHTML.slice(0, 80)),
      )
      expect(cut).toEqual([])
      const pdf = await page.pdf({ format: paper })
      const size = paper === 'A4' ? /\/MediaBox \[0 0 59[45]\.\d* 84[12]\.\d*\]/ : /\/MediaBox \[0 0 612 792\]/
      expect(pdf.toString('latin1')).toMatch(size)
    }
  })
