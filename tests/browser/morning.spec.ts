import { expect, test, type Page } from '@playwright/test'

const line = (page: Page) => page.getByLabel('A new order, on one line')

async function type(page: Page, text: string) {
  await line(page).fill(text)
  await line(page).press('Enter')
  await expect(line(page)).toHaveValue('')
}

test('a whole order is placed and looked at with keys alone', async ({ page }) => {
  await page.goto('/')
  await expect(line(page)).toBeVisible()
  for (let presses = 0; presses < 20; presses++) {
    await page.keyboard.press('Tab')
    if (await line(page).evaluate((input) => input === document.activeElement)) break
  }
  await page.keyboard.type('3 oat @ 26 10:00 keys')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Added: 3 Oat custard, 26 cm, 10:00, keys.')).toBeVisible()
  await page.getByRole('link', { name: 'Plan', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('loads')
  await page
    .getByRole('button', { name: /Load 1:/ })
    .first()
    .focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Ready when' })).toBeVisible()
})

test('of two people who change one order, the second is told and loses nothing', async ({ page, context }) => {
  await page.goto('/')
  await type(page, '2 pear @ 23 10:00 shared')
  const other = await context.newPage()
  await other.goto('/')
  const words = '2 Pear and ginger, 23 cm, 10:00, shared'
  await page.getByRole('button', { name: `Change ${words}` }).click()
  await other.getByRole('button', { name: `Change ${words}` }).click()

  await page.getByLabel('Pies').fill('6')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/^Changed: 6 Pear and ginger/)).toBeVisible()
  await other.getByLabel('Pies').fill('9')
  await other.getByRole('button', { name: 'Save' }).click()
  await expect(other.getByRole('alert')).toContainText('Someone else has changed this order')
  await expect(other.getByLabel('Pies')).toHaveValue('9')

  await page.reload()
  await page.getByRole('button', { name: 'Remove 6 Pear and ginger, 23 cm, 10:00, shared' }).click()
  await expect(page.getByText(/^Removed: 6/)).toBeVisible()
})

test('a day that cannot be done says what, by how much, what binds and what would mend it', async ({ page }) => {
  await page.goto('/')
  await type(page, '300 pear @ 26 7:30 impossible')
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  const note = page.getByRole('alert')
  await expect(note).toContainText('not work out', { timeout: 20_000 })
  await expect(note).toContainText('Pear and ginger, 26 cm')
  await expect(note).toContainText('would free it')
  await page.getByRole('link', { name: 'Orders', exact: true }).click()
  await page.getByRole('button', { name: 'Remove 300 Pear and ginger, 26 cm, 07:30, impossible' }).click()
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveCount(0, { timeout: 20_000 })
})

test('another day is chosen in the sentence, and every address keeps its day', async ({ page, request }) => {
  const bakery = await (await request.get('/api/bakery')).json()
  const later = new Date(`${bakery.nextDay}T12:00:00Z`)
  later.setUTCDate(later.getUTCDate() + 1)
  const day = later.toISOString().slice(0, 10)
  await page.goto('/')
  await type(page, `8 damson @ 23 ${day} 9:00 second day`)
  await page.getByRole('combobox', { name: 'Day of the pick-ups' }).selectOption(day)
  await expect(page).toHaveURL(new RegExp(`/orders/${day}$`))
  await expect(page.getByRole('heading', { level: 1 })).toContainText('8 pies are ordered')
  for (const place of ['Plan', 'Dough', 'Fillings']) {
    await page.getByRole('link', { name: place, exact: true }).click()
    await expect(page).toHaveURL(new RegExp(`/${place.toLowerCase()}/${day}$`))
    await expect(page.getByRole('combobox', { name: 'Day of the pick-ups' })).toHaveValue(day)
  }
  await expect(page.getByRole('heading', { name: 'Damson lattice', exact: true })).toBeVisible()
})

test('rests, chilling and cooling can be shown among the tasks', async ({ page }) => {
  await page.goto('/#/plan')
  const tasks = page.getByRole('region', { name: 'Tasks by the clock' })
  await expect(tasks.getByRole('listitem').first()).toBeVisible()
  const before = await tasks.getByRole('listitem').count()
  await page.getByRole('button', { name: 'Show rests, chilling and cooling' }).click()
  expect(await tasks.getByRole('listitem').count()).toBeGreaterThan(before)
  await expect(tasks.getByText('Set cold').first()).toBeVisible()
  await expect(tasks.getByText('FDA Food Code 3-501.14').first()).toBeVisible()
})

test('dough and fillings on screen add up', async ({ page }) => {
  const number = async (text: Promise<string>) => Number((await text).replaceAll(/[^\d.]/g, ''))
  await page.goto('/#/dough')
  const weighed = page.getByRole('table', { name: 'Weigh' }).first().getByRole('row')
  await expect(weighed.first()).toBeVisible()
  const rows = await weighed.count()
  let sum = 0
  for (let row = 0; row < rows - 1; row++) sum += await number(weighed.nth(row).getByRole('cell').last().innerText())
  expect(sum).toBe(
    await number(
      weighed
        .nth(rows - 1)
        .getByRole('cell')
        .last()
        .innerText(),
    ),
  )
})
