import { expect, test } from '@playwright/test'
import { lengthOf, minutesOf } from '../../web/src/parts/lengths'

test('something made here is written by its usual way, changed, and the day makes it first', async ({ page }) => {
  await page.goto('/#/recipes')
  await page.getByRole('link', { name: 'Preparations' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    '17 things are made here before they go into pies, 10 of them doughs',
  )
  await page.getByRole('link', { name: 'Write a new one' }).click()

  await page.getByRole('textbox', { name: 'Name' }).fill('Quince paste')
  await page
    .getByRole('textbox', { name: /What goes in/ })
    .fill('900 g Pears, firm, pared and cored\n400 g Sugar, white')
  await expect(page.getByText('1300 g in all')).toBeVisible()
  await page.getByRole('combobox', { name: 'It is' }).selectOption('jam')
  await expect(page.getByRole('textbox', { name: 'Step 1' })).toHaveValue('Boil, stirring')
  // A bake is put in between the boiling and the cooling, and there the steps still hold together.
  await page.getByRole('button', { name: 'Add a bake' }).click()
  await page.getByRole('textbox', { name: 'Step 3' }).fill('Dry in the oven')
  await page.getByRole('button', { name: 'Dry in the oven: earlier' }).click()
  await expect(page.getByRole('textbox', { name: 'Step 2' })).toHaveValue('Dry in the oven')
  await page.getByRole('spinbutton', { name: 'At most, kg made at once' }).fill('0')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved: 1 field to look at.' })).toBeVisible()
  await page.getByRole('spinbutton', { name: 'At most, kg made at once' }).fill('4')
  await page.getByRole('button', { name: 'Save', exact: true }).click()

  await expect(page).toHaveURL(/#\/preparations$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('18 things are made here')
  await expect(page.getByText('Dry in the oven')).toBeVisible()
  await page.getByRole('link', { name: 'Quince paste' }).click()
  await page.getByRole('button', { name: 'Remove it' }).click()
  await page
    .getByRole('button', { name: /^Remove|^Yes/ })
    .last()
    .click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('17 things are made here')
})

test('the sheets of a day say what is made first, by the clock', async ({ page, request }) => {
  const { days } = await (await request.get('/api/bakery')).json()
  await page.goto(`/#/fillings/${days[1].day}`)
  const first = page.getByRole('region', { name: 'Made first' })
  await expect(first.getByRole('heading', { name: /Sweet potato puree/ })).toBeVisible()
  await expect(first.getByText(/Roast, 180 °C/)).toBeVisible()
  await page.goto(`/#/ovens/${days[1].day}`)
  const roast = page.getByRole('button', { name: /trays? of Sweet potato puree/ }).first()
  await roast.click()
  await expect(page.getByRole('region', { name: 'The opened load' })).toContainText('Used from')
})

test('a length of time is read as people write it, and written as it is read', () => {
  const read = ['', '90', '90 min', '1 h 30', '1h30min', '12 h', '2,5 hours', '3 days', '1 day 6', '2 weeks', '0']
  expect(read.map(minutesOf)).toEqual([null, 90, 90, 90, 90, 720, 150, 4320, 1800, 20160, 0])
  expect(['soon', '3 fortnights', '-5', 'h', '3 days or so'].map(minutesOf)).toEqual(Array(5).fill(undefined))
  const written = ['', '0 min', '119 min', '2 h', '2 h 1 min', '1 day', '25 h', '60 days']
  expect([null, 0, 119, 120, 121, 1440, 1500, 86400].map(lengthOf)).toEqual(written)
  for (let minutes = 0; minutes < 20000; minutes += 7) expect(minutesOf(lengthOf(minutes))).toBe(minutes)
})

test('where something keeps is said for three places, and the plan is told which', async ({ page, request }) => {
  await page.goto('/#/preparations/sweet-potato-puree')
  const frozen = page.getByRole('textbox', { name: 'in the freezer, at most' })
  await expect(frozen).toHaveValue('180 days')
  await frozen.fill('for ages')
  await expect(page.getByText('write 90 min, 12 h or 3 days')).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved: 1 field to look at.' })).toBeVisible()
  await frozen.fill('10 weeks')
  await page.getByRole('textbox', { name: 'at room temperature, at most' }).fill('6 h')
  // The plan keeps it in the freezer: what was said of either place stays with it.
  await page.getByRole('radio', { name: 'a plan keeps it in the freezer' }).check()
  await expect(page.getByRole('textbox', { name: 'in the freezer, at most' })).toHaveValue('70 days')
  await expect(page.getByRole('textbox', { name: 'in the fridge, at most' })).toHaveValue('3 days')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Sweet potato puree is saved.')).toBeVisible()
  const { ingredients } = await (await request.get('/api/ingredients')).json()
  const { making } = ingredients.find((one: { id: string }) => one.id === 'sweet-potato-puree').own
  expect(making).toMatchObject({ keepsIn: 'frozen', holdLeast: 0, holdMost: 100800, thawMin: 720 })
  const order = (one: { in: string }, other: { in: string }) => one.in.localeCompare(other.in)
  expect(making.elsewhere.sort(order)).toEqual([
    { in: 'cold', least: null, most: 4320 },
    { in: 'room', least: null, most: 360 },
  ])
  // Thawed again by the day that takes it, with the caution that it may not stand in the warmth.
  await page.goto('/#/preparations')
  await expect(page.getByText(/3-501.19/)).toBeVisible()
  const { days } = await (await request.get('/api/bakery')).json()
  const plan = await (await request.get(`/api/plan/${days[1].day}`)).json()
  expect(plan.tasks.map((task: { name: string }) => task.name)).toContain('Thaw in the fridge')

  await page.goto('/#/preparations/sweet-potato-puree')
  await page.getByRole('radio', { name: 'a plan keeps it in the fridge' }).check()
  await page.getByRole('textbox', { name: 'at room temperature, at most' }).fill('')
  await page.getByRole('textbox', { name: 'in the freezer, at most' }).fill('180 days')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Sweet potato puree is saved.')).toBeVisible()
})
