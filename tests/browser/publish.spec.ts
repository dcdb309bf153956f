import { expect, test } from '@playwright/test'

// Far from the days of the other tests; a Saturday, on which nothing repeats.
const day = '2027-03-13'

test('a plan is published, stays the plan, and is taken back', async ({ page, request }) => {
  const order = await request.post('/api/orders', {
    data: { product: 'pear', pan: '23', count: 8, pickUp: `${day}T09:00`, for: 'Lighthouse' },
  })
  expect(order.status()).toBe(201)
  await page.goto(`/#/plan/${day}`)
  const followed = page.getByRole('region', { name: 'The plan that the crew works by' })
  await followed.getByRole('button', { name: 'Publish this plan' }).press('Enter')
  await expect(followed).toContainText("this day's plan was published: what it has begun counts as done")
  await expect(followed.getByRole('button', { name: 'Publish this plan' })).toHaveCount(0)
  await page.reload()
  await expect(followed).toContainText("this day's plan was published: what it has begun counts as done")

  // Another order: nothing has begun yet, so that the whole day is planned anew, and can be published in turn.
  await request.post('/api/orders', {
    data: { product: 'pear', pan: '23', count: 4, pickUp: `${day}T11:00`, for: 'Lighthouse' },
  })
  await expect(followed).toContainText('What the day asks for has changed since')
  await expect(followed.getByRole('button', { name: 'Publish this plan' })).toBeVisible()

  await followed.getByRole('button', { name: 'Take back…' }).click()
  await followed.getByRole('button', { name: 'Take it back' }).click()
  await expect(followed.getByRole('button', { name: 'Publish this plan' })).toBeVisible()
  await expect(followed).not.toContainText('was published')
  const orders = await (await request.get(`/api/orders/${day}`)).json()
  for (const one of orders.orders)
    await request.delete(`/api/orders/${one.id}`, { headers: { 'If-Match': `"${one.version}"` } })
})
