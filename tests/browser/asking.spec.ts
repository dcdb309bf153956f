import { expect, test, type APIRequestContext, type Page } from '@playwright/test'

async function fairDay(request: APIRequestContext): Promise<string> {
  return (await (await request.get('/api/bakery')).json()).nextDay
}

/** Takes an order away again, so that other tests find the day as it was. */
async function takeAway(request: APIRequestContext, day: string, whom: string) {
  const { orders } = await (await request.get(`/api/orders/${day}`)).json()
  for (const order of orders.filter((one: { for: string }) => one.for === whom))
    await request.delete(`/api/orders/${order.id}`, { headers: { 'If-Match': `"${order.version}"` } })
}

/** What a page asks of the server from now on, but for the line of changes. */
function asked(page: Page): string[] {
  const all: string[] = []
  page.on('request', (one) => {
    const path = new URL(one.url()).pathname
    // How far a plan has come is asked for as long as it takes, which is no change's doing.
    const isWaiting = path === '/api/changes' || path.endsWith('/progress')
    if (path.startsWith('/api/') && !isWaiting) all.push(`${one.method()} ${path}`)
  })
  return all
}

const line = (page: Page) => page.getByLabel('A new order, on one line')

test('an order asks once for each thing that it changes', async ({ page, request }) => {
  const day = await fairDay(request)
  await page.goto(`/#/orders/${day}`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('pies are ordered for')
  await line(page).fill('3 damson @ 23 10:00 asking')
  await expect(page.locator('#order-line-understood')).toContainText('Damson lattice')
  await page.waitForLoadState('networkidle')
  const all = asked(page)
  await line(page).press('Enter')
  await expect(page.getByText('Added: 3 Damson lattice, 23 cm, 10:00, asking.')).toBeVisible()
  // On a slow machine the first plan takes a while; what comes after both is one too many.
  await expect.poll(() => all.filter((one) => one.includes('/api/plan/')).length).toBeGreaterThan(1)
  await page.waitForTimeout(700)
  expect(all.toSorted()).toEqual(
    // The plan twice: what holds at once, and the settled one.
    [
      'GET /api/bakery',
      `GET /api/orders/${day}`,
      `GET /api/plan/${day}`,
      `GET /api/plan/${day}`,
      'POST /api/orders/typed',
    ].toSorted(),
  )
  await takeAway(request, day, 'asking')
})

test('a screen that orders do not concern asks nothing when one comes in', async ({ page, request }) => {
  const day = await fairDay(request)
  await page.goto('/#/ingredients')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.waitForLoadState('networkidle')
  const all = asked(page)
  await request.post('/api/orders', {
    data: { product: 'damson', pan: '23', count: 2, pickUp: `${day}T10:00`, for: 'quiet' },
  })
  await expect.poll(() => all).toContain('GET /api/bakery')
  await page.waitForTimeout(300)
  expect(all.filter((one) => one.startsWith('GET /api/ingredients'))).toEqual([])
  await takeAway(request, day, 'quiet')
})

test('an answer that comes late does not take the place of a newer one', async ({ page }) => {
  await page.route(
    (url) => url.pathname === '/api/recipes' && url.searchParams.get('q') === 'leek',
    async (route) => {
      await new Promise((done) => setTimeout(done, 900))
      await route.continue().catch(() => undefined)
    },
  )
  await page.goto('/#/recipes?q=leek')
  await page.evaluate(() => (location.hash = '#/recipes?q=damson'))
  await expect(page.getByRole('link', { name: 'Damson lattice' }).first()).toBeVisible()
  await page.waitForTimeout(1200)
  await expect(page.getByRole('link', { name: 'Damson lattice' }).first()).toBeVisible()
  await expect(page.getByRole('link', { name: /Leek/ })).toHaveCount(0)
})

test('a line that is corrected after a lost answer is an order of its own', async ({ page, request }) => {
  const day = await fairDay(request)
  const keys: (string | undefined)[] = []
  await page.route('**/api/orders/typed', async (route) => {
    keys.push(route.request().headers()['idempotency-key'])
    if (keys.length > 1) return route.continue()
    // The order is taken, but its answer never arrives.
    await route.fetch()
    await route.abort('connectionreset')
  })
  await page.goto(`/#/orders/${day}`)
  await line(page).fill('2 damson @ 23 10:00 lost')
  await line(page).press('Enter')
  await expect.poll(() => keys.length).toBe(1)
  await line(page).fill('5 damson @ 23 10:00 lost')
  await line(page).press('Enter')
  await expect(page.getByText('Added: 5 Damson lattice, 23 cm, 10:00, lost.')).toBeVisible()
  // The first may have gone out again by itself meanwhile, under its own key: it is one order all the same.
  expect(new Set(keys).size).toBe(2)
  await expect(line(page)).toHaveValue('')
  const { orders } = await (await request.get(`/api/orders/${day}`)).json()
  const counts = orders.filter((one: { for: string }) => one.for === 'lost').map((one: { count: number }) => one.count)
  expect(counts.toSorted()).toEqual([2, 5])
  await takeAway(request, day, 'lost')
})
