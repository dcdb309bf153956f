import AxeBuilder from '@axe-core/playwright'
import { expect, test, type APIRequestContext } from '@playwright/test'

const fairDay = async (request: APIRequestContext): Promise<string> =>
  (await (await request.get('/api/bakery')).json()).nextDay

const planOf = async (request: APIRequestContext, day: string) =>
  (await request.get(`/api/plan/${day}`)).json() as Promise<{
    fingerprint: string
    pies: number
    arrangement: { words: string; school: string }
  }>

test('an oven that is out is tried, its cost is seen, and it is taken and taken back', async ({ page, request }) => {
  const day = await fairDay(request)
  const before = await planOf(request, day)
  await page.goto(`/#/ovens/${day}`)
  await page.getByText('Try a change', { exact: true }).click()
  const out = page.getByRole('form', { name: 'An oven out' })
  await out.getByLabel('Which oven').selectOption({ label: 'Finisher' })
  await out.getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText('Only asked:')).toBeVisible()
  await expect(page.getByText('without Finisher. Nothing is changed yet.')).toBeVisible()
  const differences = page.getByRole('list', { name: 'What would be different' })
  await expect(differences.getByText('Ovens hot')).toBeVisible()
  await expect(differences.getByText('worse').first()).toBeVisible()
  // Nothing is stored by asking.
  expect((await planOf(request, day)).fingerprint).toBe(before.fingerprint)
  await page.getByRole('button', { name: 'Make it so' }).click()
  await expect(page.getByText('Arranged for this day: Finisher is out.')).toBeVisible()
  expect((await planOf(request, day)).arrangement.words).toBe('Finisher is out')

  await out.getByLabel('Which oven').selectOption({ label: 'Finisher' })
  await expect(out.getByText('is back in use')).toBeVisible()
  await out.getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText('with every oven. Nothing is changed yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Make it so' }).click()
  await expect(page.getByText('Arranged for this day')).toHaveCount(0)
  // What was only asked about looks like this too: it is stored a moment later.
  await expect.poll(async () => (await planOf(request, day)).fingerprint).toBe(before.fingerprint)
})

test('more pies and a longer bake are asked about together and left', async ({ page, request }) => {
  const day = await fairDay(request)
  const before = await planOf(request, day)
  await page.goto(`/#/ovens/${day}`)
  await page.getByText('Try a change', { exact: true }).click()
  await page.getByRole('form', { name: 'More pies' }).getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText(/10 more .* for 07:30/)).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`${before.pies + 10} pies for`)
  const longer = page.getByRole('form', { name: 'A longer bake' })
  await longer.getByLabel('Which bake').selectOption({ label: 'Pear and ginger' })
  await longer.getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText(/10 more .* Pear and ginger baked 5 min longer/)).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByText('Only asked:')).toHaveCount(0)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`${before.pies} pies for`)
  expect((await planOf(request, day)).fingerprint).toBe(before.fingerprint)
})

test('pies are left out of the plan, stay ordered and marked, and are planned again', async ({ page, request }) => {
  const day = await fairDay(request)
  const before = await planOf(request, day)
  await page.goto(`/#/plan/${day}`)
  await page.getByText('Try a change', { exact: true }).click()
  const form = page.getByRole('form', { name: 'Pies left out' })
  const lot = await form
    .getByRole('option', { name: /Damson lattice/ })
    .first()
    .innerText()
  const pies = Number(lot.split(' ')[0])
  await form.getByLabel('Which pies').selectOption({ label: lot })
  await form.getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText(`without ${lot}. Nothing is changed yet.`)).toBeVisible()
  await page.getByRole('button', { name: 'Make it so' }).click()
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText(`${before.pies - pies} pies for`)
  await expect(sentence).toContainText(`Left out of the plan: ${lot}`)
  await expect.poll(async () => (await planOf(request, day)).pies).toBe(before.pies - pies)

  await page.goto(`/#/orders/${day}`)
  await expect(page.getByText('left out of the plan', { exact: false }).first()).toBeVisible()
  await page.goto(`/#/plan/${day}`)
  await page.getByText('Try a change', { exact: true }).click()
  await form.getByLabel('Which pies').selectOption({ label: lot })
  await expect(form.getByText('planned again')).toBeVisible()
  await form.getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText('with all that is ordered. Nothing is changed yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Make it so' }).click()
  await expect.poll(async () => (await planOf(request, day)).fingerprint).toBe(before.fingerprint)
})

test('the schools of the ovens stand beside the day, one is shown and taken', async ({ page, request }) => {
  const day = await fairDay(request)
  await page.goto(`/#/ovens/${day}`)
  await page.getByText('Ways to plan these ovens, beside each other').click()
  for (const name of ['As it is', 'Freshest pies', 'Steadiest work'])
    await expect(page.getByRole('columnheader', { name })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Heat costs .* EUR .* EUR .* EUR/ })).toBeVisible()
  const axe = await new AxeBuilder({ page }).setLegacyMode(true).analyze()
  expect(axe.violations.filter((one) => one.impact === 'serious' || one.impact === 'critical')).toEqual([])
  await page.getByRole('button', { name: 'Show it: Steadiest work' }).click()
  await expect(page.getByText('planned for the steadiest work. Nothing is changed yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Make it so', exact: true }).click()
  await expect(page.getByText('Arranged for this day: planned for the steadiest work.')).toBeVisible()
  expect((await planOf(request, day)).arrangement.school).toBe('steadiest')
  await request.post(`/api/plan/${day}/take`, { data: { moves: [], school: 'fewestHotHours' } })
  expect((await planOf(request, day)).arrangement.words).toBe('')
})

test('choices lie beside each other, and a recipe is made another way for one day', async ({ page, request }) => {
  const day = await fairDay(request)
  await page.goto(`/#/plan/${day}`)
  await page.getByText('Choices beside each other').click()
  const form = page.getByRole('form', { name: 'A choice beside the others' })
  for (const label of ['One more pair of hands', 'Pear and ginger: lined ahead and frozen']) {
    await form.getByLabel('Choice').selectOption({ label })
    await form.getByRole('button', { name: 'Lay it beside' }).click()
    await expect(page.getByRole('columnheader', { name: label })).toBeVisible()
  }
  await expect(page.getByRole('row', { name: /^The pick-ups all in time all in time all in time/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Hands at the busiest/ })).toBeVisible()
  await page.getByRole('button', { name: 'Take away: One more pair of hands' }).click()
  await expect(page.getByRole('columnheader', { name: 'One more pair of hands' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Make it so: Pear and ginger: lined ahead and frozen' }).click()
  await expect(page.getByText('Arranged for this day: Pear and ginger: lined ahead and frozen.')).toBeVisible()
  await request.post(`/api/plan/${day}/take`, { data: { moves: [], schools: [] } })
  expect((await planOf(request, day)).arrangement.words).toBe('')
})
