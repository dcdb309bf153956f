// Takes the pictures of docs/screenshots from a running demo: node take-pictures.mjs [address]
import { chromium } from '@playwright/test'
import { join } from 'node:path'

const address = process.argv[2] ?? 'http://127.0.0.1:4310'
const folder = join(import.meta.dirname, '..', '..', 'docs', 'screenshots')
const press = (role, name) => (page) => page.getByRole(role, { name }).first().click()
// Name, address, height, and what is done before the picture is taken.
const screens = [
  ['orders', '/orders', 800],
  ['plan', '/plan', 1000],
  ['ovens', '/ovens', 1180, press('button', /Load 2:/)],
  ['ovens-dark', '/ovens', 800, press('button', 'Dark')],
  ['dough', '/dough', 800],
  ['fillings', '/fillings', 800],
  ['cold', '/cold', 800],
  ['bench', '/bench', 900],
  ['recipe', '/recipes/pear/26/24', 1000],
  [
    'way',
    '/recipes/chocolate/20-straight/5',
    700,
    (page) => page.getByRole('region', { name: 'The way of a pie' }).scrollIntoViewIfNeeded(),
  ],
  ['recipes', '/recipes', 900],
  ['costs', '/costs', 900],
  ['product-cost', '/costs/chocolate/20-straight', 900],
  ['shelves', '/stock', 1000, press('button', /^Butter, unsalted/)],
  ['write', '/write/apricot', 1300],
  ['label', '/labels/chocolate/20-straight', 900],
  ['buying', '/buying', 900],
  ['bill', '/bill', 800],
  ['bakery', '/bakery', 1180],
]

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking'],
})
for (const [name, place, height, act] of screens) {
  const page = await browser.newPage({ viewport: { width: 1280, height } })
  await page.goto(`${address}/#${place}`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  // The line for live changes stays open, so the network is never idle.
  await page.waitForTimeout(1200)
  if (act) await act(page)
  await page.waitForTimeout(300)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await page.close()
}
await browser.close()
