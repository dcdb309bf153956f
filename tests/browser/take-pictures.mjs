// Takes the pictures of docs/screenshots from a running demo: node take-pictures.mjs [address]
import { chromium } from '@playwright/test'
import { join } from 'node:path'

const address = process.argv[2] ?? 'http://127.0.0.1:4310'
const folder = join(import.meta.dirname, '..', '..', 'docs', 'screenshots')
const screens = [
  ['orders', '/orders', 800],
  ['plan', '/plan', 1240],
  ['dough', '/dough', 800],
  ['fillings', '/fillings', 800],
  ['recipe', '/recipes/pear/26/24', 1000],
]

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking'],
})
for (const [name, place, height] of screens) {
  const page = await browser.newPage({ viewport: { width: 1280, height } })
  await page.goto(`${address}/#${place}`)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(300)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await page.close()
}
await browser.close()
