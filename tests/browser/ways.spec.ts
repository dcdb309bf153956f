import { expect, test } from '@playwright/test'

test('a way out is shown with what it does, taken by one press, and taken back', async ({ page }) => {
  test.setTimeout(150_000)
  // A Saturday on which nothing repeats, further off than days are planned one around the other.
  const date = new Date(Date.now() + 14 * 86_400_000)
  date.setUTCDate(date.getUTCDate() + ((6 - date.getUTCDay() + 7) % 7))
  const day = date.toISOString().slice(0, 10)
  const description = await (await page.request.get('/api/bakery/description')).json()
  const withPeople = (people: number | null) => ({
    ...description.draft,
    shifts: description.draft.shifts.map((shift: { people: number | null }) => ({
      ...shift,
      people: people ?? shift.people,
    })),
  })
  const describe = async (people: number | null) => {
    const { version } = await (await page.request.get('/api/bakery/description')).json()
    const headers = { 'If-Match': `"${version}"` }
    expect((await page.request.put('/api/bakery/description', { data: withPeople(people), headers })).ok()).toBe(true)
  }
  // One person for what two do with ease.
  await describe(1)
  for (const product of ['pear', 'oat-custard']) {
    const data = { product, pan: '23', count: 24, pickUp: `${day}T07:30`, for: 'ways' }
    expect((await page.request.post('/api/orders', { data })).status()).toBe(201)
  }
  await page.goto(`/#/plan/${day}`)
  const ways = page.getByRole('region', { name: 'Ways out' })
  const hands = ways.getByRole('listitem').filter({ hasText: 'One more pair of hands in every shift' })
  await expect(hands).toContainText('all in time', { timeout: 60_000 })

  // Shown, it is a question, and nothing is changed.
  await hands.getByRole('button', { name: /^Show it: / }).click()
  await expect(page.getByText('Only asked:')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('with 1 more pair of hands in every shift')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()

  // Taken, the day is arranged so, and all is in time.
  await hands.getByRole('button', { name: /^Make it so: / }).click({ timeout: 60_000 })
  await expect(page.getByText(/one more pair of hands in every shift/).first()).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('heading', { name: /not work out/ })).toHaveCount(0, { timeout: 60_000 })
  await expect(page.getByText(/2 are there\./)).toBeVisible()

  // Taken back where it can be tried.
  await page.getByText('Try a change').click()
  const form = page.getByRole('form', { name: 'More hands' })
  await form.getByLabel('Pairs of hands more').fill('0')
  await form.getByRole('button', { name: 'Try' }).click()
  await expect(page.getByText('with the hands of the week')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Make it so' }).first().click()
  // Whether one can do it late or not all of it, is the plan's to find.
  await expect(page.getByText(/1 is there[.;]/)).toBeVisible({ timeout: 60_000 })

  // Others share this bakery.
  const { orders } = await (await page.request.get(`/api/orders/${day}`)).json()
  for (const order of orders)
    await page.request.delete(`/api/orders/${order.id}`, { headers: { 'If-Match': `"${order.version}"` } })
  await describe(null)
})
