import { expect, test, type Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

// A morning from nothing, on a server of its own: no demo, an empty database.
const port = Number(process.env.LUMPET_TEST_PORT ?? 4398) + 1
const root = join(import.meta.dirname, '..', '..')
const base = `http://127.0.0.1:${port}`
const data = join(mkdtempSync(join(tmpdir(), 'lumpet-empty-')), 'bakery.db')
let server: ChildProcess

async function start() {
  server = spawn(
    'dotnet',
    [
      join(root, 'src/Lumpet.Server/bin/Release/net10.0/lumpet-server.dll'),
      'serve',
      '--port',
      String(port),
      '--data',
      data,
      '--web',
      join(root, 'web/dist'),
    ],
    { stdio: 'ignore' },
  )
  await expect
    .poll(
      async () =>
        (await fetch(`${base}/healthz`)
          .then((response) => response.ok)
          .catch(() => false)) as boolean,
      { timeout: 30_000 },
    )
    .toBe(true)
}

test.describe.configure({ mode: 'serial' })
test.beforeAll(start)
test.afterAll(() => server.kill('SIGKILL'))

const heading = (page: Page) => page.getByRole('heading', { level: 1 })

test('the bakery is described, and what is wrong is said at its field', async ({ page }) => {
  await page.goto(`${base}/`)
  await expect(heading(page)).toContainText('Nothing is set up here yet')
  await page.getByRole('link', { name: 'Describe your bakery' }).click()
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText('A bakery needs a name.')).toBeVisible()
  await page.getByLabel('Name').first().fill('Mole House Pies')
  await page.getByRole('button', { name: 'Another oven' }).click()
  const second = page.getByRole('group', { name: 'Oven 2' })
  await second.getByLabel('Name').fill('Second')
  await second.getByLabel(/Dial differs/).fill('-20')
  await page.getByRole('button', { name: 'Another pan' }).click()
  const pan = page.getByRole('group', { name: 'Pan 2' })
  await pan.getByLabel('Short name').fill('26')
  await pan.getByLabel('Name', { exact: true }).fill('26 cm')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText('Saved. Next: a dough, then a recipe.')).toBeVisible()
  await expect(heading(page)).toContainText('Mole House Pies has 2 ovens and 2 shifts.')
})

test('a dough and a recipe are written, and their allergens stated', async ({ page }) => {
  await page.goto(`${base}/#/doughs`)
  await page.getByRole('button', { name: 'Flaky 3-2-1' }).click()
  await page.getByRole('button', { name: 'Save the dough' }).click()
  await expect(heading(page)).toContainText('Flaky 3-2-1, version 1.')

  await page.goto(`${base}/#/write`)
  await page.getByRole('button', { name: 'Double crust, raw fruit' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Medlar and honey')
  await page.getByLabel(/^Filling of one pie/).fill('900 g Medlars, soft\n2 cups medlar honey')
  await expect(
    page.getByText(/"Medlar honey" is new here, so what "2 cups" of it weighs is not known/).first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText('Not saved: 1 field to look at.')).toBeVisible()
  await page.getByLabel(/^Filling of one pie/).fill('900 g Medlars, soft\n120 g Honey\n26 g Corn starch')
  await page.getByRole('button', { name: 'wash, sugar and the like' }).click()
  await page.getByLabel('Wash, sugar and the like, of one pie').fill('15 g Egg, wash')
  await page.getByLabel('Add a size').selectOption('26 cm')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page).toHaveURL(/#\/recipes\/medlar-and-honey/)
  await expect(page.getByText(/Not stated yet: what .*Medlars/)).toBeVisible()

  await page.getByRole('link', { name: 'State it', exact: true }).click()
  await expect(heading(page)).toContainText('nobody has said')
  await page.getByRole('button', { name: 'Change Medlars' }).click()
  await page.getByRole('checkbox', { name: 'none of these' }).check()
  await page.getByLabel('New price from').fill('Mill')
  await page.getByLabel('A pack holds').fill('25')
  await page.getByLabel('and costs').fill('21.5')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Medlars is saved.')).toBeVisible()
  await expect(page.getByText('no major allergen; 21.50 for 25 kg, Mill')).toBeVisible()
})

test('twenty orders are typed and planned, and the day can be printed', async ({ page }) => {
  await page.goto(`${base}/`)
  const line = page.getByLabel('A new order, on one line')
  const day = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10)
  for (let number = 0; number < 20; number++) {
    await line.fill(
      `${1 + (number % 3)} medlar @ ${number % 4 === 0 ? 26 : 23} ${day} ${9 + (number % 3)}:00 stall ${number}`,
    )
    await line.press('Enter')
    await expect(line).toHaveValue('')
  }
  await page.goto(`${base}/#/plan/${day}`)
  await expect(heading(page)).toContainText('39 pies for')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.getByRole('list', { name: 'Pick-ups' }).getByRole('listitem')).toHaveCount(3)
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(10_000)
  await page.getByRole('link', { name: 'Dough', exact: true }).click()
  await expect(heading(page)).toContainText(/batch(es)? of dough/)
})

test('a server that goes away is said loudly, and an order typed meanwhile goes out when it is back', async ({
  page,
}) => {
  await page.goto(`${base}/`)
  const line = page.getByLabel('A new order, on one line')
  await expect(line).toBeVisible()
  server.kill('SIGKILL')
  await expect(page.getByRole('alert')).toContainText('The server does not answer.', { timeout: 10_000 })
  const day = new Date(Date.now() + 4 * 86_400_000).toISOString().slice(0, 10)
  await line.fill(`5 medlar @ 23 ${day} 9:00 patience`)
  await line.press('Enter')
  await expect(page.getByText('not taken yet')).toBeVisible()
  await start()
  await expect(page.getByText(/^Added: 5 Medlar and honey.*patience/)).toBeVisible({ timeout: 15_000 })
  await expect(line).toHaveValue('')
  await expect(page.getByText('The server does not answer.')).toHaveCount(0)
  const { orders } = await (await fetch(`${base}/api/orders/${day}`)).json()
  expect(orders).toHaveLength(1)
})
