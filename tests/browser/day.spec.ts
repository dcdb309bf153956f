import { expect, test, type APIRequestContext, type Page } from '@playwright/test'

interface Moment {
  clock: string
}
interface Plan {
  day: string
  pies: number
  isSettled: boolean
  ovens: { ovens: { settings: { at: Moment; tempC: number | null; isDrop: boolean }[] }[] }
}

async function fairDay(request: APIRequestContext): Promise<string> {
  return (await (await request.get('/api/bakery')).json()).nextDay
}

/** The plan once it is settled: a first one may be there before. */
async function planOf(request: APIRequestContext): Promise<Plan> {
  const day = await fairDay(request)
  const asked = async (): Promise<Plan> => (await request.get(`/api/plan/${day}?given=settled`)).json()
  await expect.poll(async () => (await asked()).isSettled).toBe(true)
  return asked()
}

const line = (page: Page) => page.getByLabel('A new order, on one line')

test('an order typed on one line changes the plan, and its drop can be read in the oven drawing', async ({
  page,
  request,
}) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('62 pies are ordered for')
  await line(page).fill('6 damson @ 23 10:00 net loft')
  const understood = page.locator('#order-line-understood')
  for (const meaning of ['6 pies', 'Damson lattice', '23 cm', '10:00', 'net loft'])
    await expect(understood).toContainText(meaning)
  await line(page).press('Enter')
  await expect(page.getByText('Added: 6 Damson lattice, 23 cm, 10:00, net loft.')).toBeVisible()
  await expect(line(page)).toHaveValue('')

  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('68 pies for')
  const plan = await planOf(request)
  const drops = plan.ovens.ovens.flatMap((oven) => oven.settings).filter((setting) => setting.isDrop)
  expect(drops.length).toBeGreaterThan(0)
  // A page that was opened while it settled is offered the better plan, and not made to show it.
  await page.reload()
  await page.getByRole('link', { name: 'Ovens', exact: true }).click()
  for (const drop of drops) await expect(page.getByText(`drop ${drop.at.clock} ${drop.tempC}°`)).not.toHaveCount(0)
  // A load opens to its stages and its test.
  await page
    .getByRole('button', { name: /Load 1:/ })
    .first()
    .click()
  await expect(page.getByText(/Ready when: .*\./).first()).toBeVisible()
})

test('a mistake is explained at once, and what was typed stays', async ({ page, request }) => {
  const before = (await planOf(request)).pies
  await page.goto('/')
  await line(page).fill('24 mango @ 23 9:00')
  await expect(page.getByText('There is no product "mango".')).toBeVisible()
  await line(page).press('Enter')
  await expect(page.getByRole('alert')).toContainText('There is no product "mango"')
  await expect(line(page)).toHaveValue('24 mango @ 23 9:00')
  await line(page).fill('1000000000 pear @ 23 9:00')
  await expect(page.getByText('A line takes 1 to 2000 pies.')).toBeVisible()
  await line(page).fill('24 pear @ 40 9:00')
  await expect(page.getByText('Pear and ginger is not made in "40", only in 23 or 26.')).toBeVisible()
  expect((await planOf(request)).pies).toBe(before)
})

test('an order is added by the form, changed, removed and put back', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Fill in a form instead' }).click()
  await page.getByRole('button', { name: 'Add', exact: true }).last().click()
  await expect(page.getByRole('alert')).toContainText('1 to 2000 pies')
  await page.getByLabel('Pies').fill('3')
  await page.getByLabel('At', { exact: true }).fill('10:00')
  await page.getByLabel('For', { exact: true }).fill('test stall')
  await page.getByRole('button', { name: 'Add', exact: true }).last().click()
  const words = '3 Pear and ginger, 23 cm, 10:00, test stall'
  await expect(page.getByRole('button', { name: `Remove ${words}` })).toBeVisible()

  await page.getByRole('button', { name: `Change ${words}` }).click()
  await page.getByLabel('Pies').fill('5')
  await page.getByRole('button', { name: 'Save' }).click()
  const changed = '5 Pear and ginger, 23 cm, 10:00, test stall'
  await page.getByRole('button', { name: `Remove ${changed}` }).click()
  await expect(page.getByText(`Removed: ${changed}.`)).toBeVisible()
  await expect(page.getByRole('button', { name: `Remove ${changed}` })).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('button', { name: `Remove ${changed}` })).toBeVisible()
  await page.getByRole('button', { name: `Remove ${changed}` }).click()
  await expect(page.getByRole('button', { name: `Remove ${changed}` })).toHaveCount(0)
})

test('a recipe follows its count and its pan, by typing, stepping and pressing', async ({ page }) => {
  await page.goto('/#/recipes')
  await page.getByRole('link', { name: 'Pear and ginger' }).click()
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading).toContainText('1.25 kg of filling')
  await page.getByRole('spinbutton', { name: 'Pies' }).fill('24')
  await expect(heading).toContainText('29.93 kg of filling')
  await page.getByRole('spinbutton', { name: 'Pies' }).press('ArrowUp')
  await expect(heading).toContainText('31.18 kg of filling')
  await page.getByRole('group', { name: 'Pans, to scale' }).getByRole('button', { name: '26 cm' }).click()
  await expect(page).toHaveURL(/recipes\/pear\/26\/25$/)
  await expect(page.getByText('26 cm across, 4 cm deep')).toBeVisible()
  await page.getByRole('spinbutton', { name: 'Pies' }).fill('0')
  await expect(page.getByRole('spinbutton', { name: 'Pies' })).toHaveAttribute('aria-invalid', 'true')
})

test('a lost server is said, and what was typed is kept and goes out when it is back', async ({ page }) => {
  await page.goto('/')
  await expect(line(page)).toBeVisible()
  await page.route('**/api/**', (route) => route.abort())
  await line(page).fill('2 pear @ 23 10:00 lost')
  await line(page).press('Enter')
  await expect(page.getByText('not taken yet')).toBeVisible()
  await expect(line(page)).toHaveValue('2 pear @ 23 10:00 lost')
  // Also over a page that is loaded anew.
  await page.unroute('**/api/**')
  await page.reload()
  await expect(line(page)).toHaveValue('2 pear @ 23 10:00 lost')
  await line(page).fill('')
})
