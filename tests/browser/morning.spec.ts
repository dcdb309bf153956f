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
  for (let presses = 0; presses < 60; presses++) {
    await page.keyboard.press('Tab')
    if (await line(page).evaluate((input) => input === document.activeElement)) break
  }
  await page.keyboard.type('3 oat @ 26 10:00 keys')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Added: 3 Oat custard, 26 cm, 10:00, keys.')).toBeVisible()
  await page.getByRole('link', { name: 'Ovens', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('loads')
  // The plan with the new order may be drawn just now, and a load drawn anew has no focus any more.
  await expect(async () => {
    await page
      .getByRole('button', { name: /Load 1:/ })
      .first()
      .focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('region', { name: 'The opened load' })).toContainText('Ready when', { timeout: 1500 })
  }).toPass({ timeout: 15_000 })
  await expect(page).toHaveURL(/load=/)
})

test('of two people who change one order, the second is told and loses nothing', async ({ page, context }) => {
  await page.goto('/')
  await type(page, '2 pear @ 23 10:00 shared')
  const other = await context.newPage()
  await other.goto('/')
  const words = '2 Pear and ginger, 23 cm, 10:00, shared'
  await page.getByRole('button', { name: `Change ${words}` }).click()
  await other.getByRole('button', { name: `Change ${words}` }).click()

  await page.getByLabel('Pies', { exact: true }).fill('6')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/^Changed: 6 Pear and ginger/)).toBeVisible()
  await other.getByLabel('Pies', { exact: true }).fill('9')
  await other.getByRole('button', { name: 'Save' }).click()
  const conflict = other.getByRole('alert')
  await expect(conflict).toContainText('Someone else has changed this order')
  await expect(conflict.getByRole('row', { name: /Pies 6 9/ })).toBeVisible()
  await expect(other.getByLabel('Pies', { exact: true })).toHaveValue('9')
  await other.getByRole('button', { name: 'Save mine over it' }).click()
  await expect(other.getByText(/^Changed: 9 Pear and ginger/)).toBeVisible()

  // What the second saved is on the first one's screen without asking.
  await page.getByRole('button', { name: 'Remove 9 Pear and ginger, 23 cm, 10:00, shared' }).click()
  await expect(page.getByText(/^Removed: 9/)).toBeVisible()
  await expect(other.getByRole('button', { name: /Remove 9 Pear and ginger.*shared/ })).toHaveCount(0)
})

test('a day that cannot be done says what, by how much, what binds and what would mend it', async ({ page }) => {
  await page.goto('/')
  await type(page, '300 pear @ 26 7:30 impossible')
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  // At some hours its work was to begin already, which is said too.
  const note = page.getByRole('alert').filter({ hasText: 'not work out' })
  await expect(note).toContainText('not work out', { timeout: 20_000 })
  await expect(note).toContainText('Pear and ginger, 26 cm')
  await expect(note).toContainText('would free it')
  await page.getByRole('link', { name: 'Orders', exact: true }).click()
  await page.getByRole('button', { name: 'Remove 300 Pear and ginger, 26 cm, 07:30, impossible' }).click()
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(note).toHaveCount(0, { timeout: 20_000 })
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
  await expect(page.getByRole('heading', { level: 1 })).toContainText('85 pies are ordered')
  for (const place of ['Plan', 'Ovens', 'Dough', 'Fillings']) {
    await page.getByRole('link', { name: place, exact: true }).click()
    await expect(page).toHaveURL(new RegExp(`/${place.toLowerCase()}/${day}$`))
    await expect(page.getByRole('combobox', { name: 'Day of the pick-ups' })).toHaveValue(day)
  }
  await expect(page.getByRole('heading', { name: 'Damson lattice', exact: true })).toBeVisible()
})

test('a change made elsewhere is on screen within a second', async ({ page, request }) => {
  await page.goto('/')
  await expect(line(page)).toBeVisible()
  const { nextDay } = await (await request.get('/api/bakery')).json()
  const added = await (
    await request.post('/api/orders', {
      data: { product: 'pear', pan: '23', count: 1, pickUp: `${nextDay}T10:00`, for: 'elsewhere' },
    })
  ).json()
  await expect(page.getByRole('button', { name: /Remove 1 Pear and ginger.*elsewhere/ })).toBeVisible({ timeout: 1000 })
  await request.delete(`/api/orders/${added.id}`, { headers: { 'If-Match': '"1"' } })
  await expect(page.getByRole('button', { name: /Remove 1 Pear and ginger.*elsewhere/ })).toHaveCount(0, {
    timeout: 1000,
  })
})

test('a pick-up is asked about in the sentence, and only kept when told to', async ({ page, request }) => {
  await page.goto('/#/plan')
  const word = page.getByRole('spinbutton', { name: 'Pick-up at 10:00' })
  await word.focus()
  await page.keyboard.press('PageUp')
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('spinbutton', { name: 'Pick-up at 10:55' })).toBeFocused()
  await expect(page.getByRole('status').filter({ hasText: 'Only asked' })).toContainText('the 10:00 pick-up at 10:55')
  await expect(page.getByRole('list', { name: 'Pick-ups' })).toContainText('10:55')
  const { nextDay } = await (await request.get('/api/bakery')).json()
  const clocks = async () =>
    (await (await request.get(`/api/plan/${nextDay}`)).json()).waves.map(
      (wave: { pickUp: { clock: string } }) => wave.pickUp.clock,
    )
  expect(await clocks()).toContain('10:00')
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByRole('spinbutton', { name: 'Pick-up at 10:00' })).toBeVisible()

  await page.getByRole('spinbutton', { name: 'Pick-up at 10:00' }).fill('10:20')
  await page.getByRole('button', { name: 'Make it so' }).click()
  await expect(page.getByText('Only asked')).toHaveCount(0)
  expect(await clocks()).toContain('10:20')
  await request.post(`/api/plan/${nextDay}/take`, { data: { moves: [{ from: '10:20', to: '10:00' }] } })
})

test('a task tells why it is when it is, and leads to its neighbours', async ({ page }) => {
  await page.goto('/#/plan')
  const tasks = page.getByRole('region', { name: 'Tasks by the clock' })
  await tasks
    .getByRole('button', { name: /^Bake: / })
    .first()
    .click()
  await expect(tasks.getByText(/The ovens cost least this way/)).toBeVisible()
  await expect(tasks.getByText(/It (can|cannot) slip/)).toBeVisible()
  await tasks
    .getByRole('button', { name: /^from .* Cool|^from .* Into|^from .* Pour|^from .*/ })
    .first()
    .click()
  await expect(tasks.getByText(/at least, .* wanted/).first()).toBeVisible()
})

test('every place has its key, and the keys can be switched off', async ({ page }) => {
  await page.goto('/')
  await expect(line(page)).toBeVisible()
  // No key leads to two places.
  await page.keyboard.press('?')
  await expect(page.locator('dialog kbd').first()).toBeVisible()
  const keys = await page.locator('dialog kbd').allTextContents()
  expect(keys.length).toBe(new Set(keys).size)
  await page.keyboard.press('Escape')
  for (const [key, place] of [
    ['p', 'plan'],
    ['v', 'ovens'],
    ['d', 'dough'],
    ['f', 'fillings'],
    ['c', 'cold'],
    ['k', 'stock'],
    ['h', 'bench'],
    ['r', 'recipes'],
    ['s', 'costs'],
    ['e', 'prices'],
    ['b', 'bakery'],
    ['i', 'ingredients'],
    ['a', 'pans'],
    ['l', 'library'],
    ['o', 'orders'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(page).toHaveURL(new RegExp(`#/${place}`))
  }
  await page.keyboard.press('n')
  await expect(line(page)).toBeFocused()
  await page.keyboard.type('p')
  await expect(line(page)).toHaveValue('p')
  await line(page).fill('')
  await line(page).blur()
  await page.keyboard.press('?')
  const help = page.getByRole('dialog', { name: 'Keys' })
  await expect(help).toBeVisible()
  await help.getByRole('button', { name: 'Switch single keys off' }).click()
  await help.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('p')
  await expect(page).toHaveURL(/#\/orders/)
})

test('the oven drawing goes closer and wider, and its address keeps it', async ({ page }) => {
  await page.goto('/#/ovens')
  await expect(page.getByRole('button', { name: /Load 1:/ }).first()).toBeVisible()
  const width = () =>
    page
      .getByRole('button', { name: /Load 1:/ })
      .first()
      .evaluate((button) => button.getBoundingClientRect().width)
  const before = await width()
  await page.getByRole('button', { name: 'Closer' }).click()
  await expect(page).toHaveURL(/zoom=1.5/)
  expect(await width()).toBeGreaterThan(before * 1.3)
  await page.reload()
  await expect(page.getByRole('button', { name: /Load 1:/ }).first()).toBeVisible()
  expect(await width()).toBeGreaterThan(before * 1.3)
  await page.keyboard.press('0')
  await expect(page).not.toHaveURL(/zoom/)
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
