import { expect, test } from '@playwright/test'

// Far from the days of the other tests.
const day = '2027-02-06'

test('an order that repeats is added, one of its days is left out and put back, and it is ended', async ({ page }) => {
  await page.goto(`/#/orders/${day}`)
  await expect(page.getByText('Nothing is ordered yet for')).toBeVisible()
  await page.getByRole('button', { name: 'Orders that repeat' }).press('Enter')
  const standing = page.getByRole('region', { name: 'Orders that repeat' })
  await standing.getByRole('button', { name: 'A new one' }).click()
  await standing.getByRole('spinbutton', { name: 'Pies each time' }).fill('7')
  await standing.getByRole('combobox', { name: 'Product' }).selectOption('Chocolate malt cream')
  // Another product has other pans: one of them is chosen.
  await expect(standing.getByRole('combobox', { name: 'Pan' })).toHaveValue('20-straight')
  await standing.getByRole('textbox', { name: 'For', exact: true }).fill('Lighthouse')
  await standing.getByRole('button', { name: 'Add', exact: true }).click()
  // What is missing is said at its field, and nothing that was typed is lost.
  await expect(standing.getByText('One or more of monday')).toBeVisible()
  await standing.getByRole('button', { name: 'Sat', exact: true }).press('Space')
  await standing.getByLabel('At', { exact: true }).fill('9.15')
  await standing.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(standing.getByRole('status')).toContainText('Added: 7 Chocolate malt cream')
  await expect(page.getByText('7 pies are ordered for')).toBeVisible()
  const lines = page.getByRole('region', { name: 'Order lines' })
  await expect(lines).toContainText('for Lighthouse · every Saturday')

  await lines.getByRole('button', { name: 'Leave out 7 Chocolate malt cream' }).click()
  await expect(page.getByText('Nothing is ordered yet for')).toBeVisible()
  await lines.getByRole('button', { name: 'Put back 7 Chocolate malt cream' }).click()
  await expect(page.getByText('7 pies are ordered for')).toBeVisible()

  // Another day takes over what is ordered, but not what comes on it anyway.
  await page.getByRole('button', { name: 'Copy another day' }).click()
  const copy = page.getByRole('region', { name: 'The orders of another day' })
  await expect(copy).toContainText('Nothing is ordered for Saturday 30 January.')
  await copy.getByLabel('The orders of which day').fill('2027-02-13')
  await expect(copy).toContainText('1 more repeat and come on Saturday 6 February anyway.')

  await page.getByRole('button', { name: 'Orders that repeat' }).click()
  await standing.getByRole('button', { name: 'End 7 Chocolate malt cream' }).click()
  await standing.getByRole('button', { name: 'End it from today on' }).click()
  await expect(page.getByText('Nothing is ordered yet for')).toBeVisible()
})

test('a margin is baked beyond what is ordered, and one that is too large is said at its field', async ({ page }) => {
  await page.goto('/#/orders')
  const totals = page.getByRole('region', { name: 'Totals' })
  await expect(totals).toBeVisible()
  await page.getByRole('button', { name: 'Margins' }).click()
  const margins = page.getByRole('region', { name: 'Baked beyond what is ordered' })
  const pear = margins.getByRole('spinbutton', { name: 'Pear and ginger' })
  await pear.fill('60')
  await pear.press('Tab')
  await expect(margins.getByText('A margin is 0 to 50 %')).toBeVisible()
  await pear.fill('10')
  await pear.press('Tab')
  await expect(totals).toContainText('beyond what is ordered: the margin')
  await pear.fill('0')
  await pear.press('Tab')
  await expect(totals).not.toContainText('beyond what is ordered')
})

test('of an order that repeats one day is changed, and the next stays', async ({ page, request }) => {
  const added = await request.post('/api/standing-orders', {
    data: {
      product: 'hazelnut',
      pan: '24-fluted',
      count: 5,
      days: ['sunday'],
      at: '10:00',
      for: 'Pier',
      from: '2027-02-14',
    },
  })
  const { id, version } = await added.json()
  await page.goto('/#/orders/2027-02-14')
  await page.getByRole('button', { name: 'Change 5 Hazelnut tart' }).click()
  await expect(page.getByText('Only this day of it is changed')).toBeVisible()
  const form = page.getByRole('region', { name: 'Change an order' })
  await form.getByRole('spinbutton', { name: 'Pies' }).fill('8')
  await form.getByRole('button', { name: 'Save' }).click()
  // The demo's own order that repeats on Sundays is there too.
  await expect(page.getByRole('status').filter({ hasText: 'Changed: 8 Hazelnut tart' })).toBeVisible()
  await page.goto('/#/orders/2027-02-21')
  await expect(page.getByRole('button', { name: 'Change 5 Hazelnut tart' })).toBeVisible()
  await request.delete(`/api/standing-orders/${id}`, { headers: { 'If-Match': `"${version}"` } })
})
