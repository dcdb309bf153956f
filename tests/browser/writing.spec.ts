import { expect, test, type Page } from '@playwright/test'

interface Written {
  draft: { steps: { name: string }[] }
}

const written = async (page: Page, id: string) => {
  await page.goto(`/#/write/${id}`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('version')
  await expect(page.getByRole('region', { name: 'The way as it is written' })).toBeVisible()
}

test('a crust is said by its share of the dough and by its sheet, and what follows is told at once', async ({
  page,
}) => {
  await written(page, 'damson')
  const pie = page.getByRole('complementary', { name: 'The pie so far' })
  await page.getByLabel('How the dough is said').selectOption('share')
  await page.getByLabel('Dough of one pie, g').fill('600')
  await page.getByLabel('How it is divided').selectOption({ label: '40 to the base, 60 on top' })
  await expect(pie).toContainText('40 % to the base and 60 % to the lattice')
  await expect(pie).toContainText('base 240 g')
  await page.getByLabel('How the strips are said').selectOption('sheet')
  await expect(pie).toContainText('16 strips of 1.88 cm, 8 each way')
  // What cannot be cut so is said at the sentence that says it.
  await page.getByLabel('How the dough is said').selectOption('thickness')
  await page.getByLabel('Sheet and strips, as 30 x 40 into 16').fill('20 x 22 into 14')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'and those of the sheet 22 cm' })).toBeVisible()
})

test('a school is taken when it is known what it takes, and put back', async ({ page }) => {
  await written(page, 'leek')
  await page.getByText('Other ways to make it, and what each would take').click()
  const base = page.getByRole('region', { name: 'The base, before it is filled' })
  await expect(base.getByRole('listitem').filter({ hasText: 'Part-baked' })).toContainText('of oven')
  await base.getByRole('button', { name: 'Take: Part-baked' }).click()
  await expect(page.getByRole('textbox', { name: 'Step 4' })).toHaveValue('Blind bake, weighted, then bare')
  await expect(base.getByRole('listitem').filter({ hasText: 'Part-baked' })).toContainText('as it is now')
  await base.getByRole('button', { name: /^Put back/ }).click()
  await expect(page.getByRole('textbox', { name: 'Step 4' })).not.toHaveValue('Blind bake, weighted, then bare')
})

test('steps are worked on in the drawing of the way: added, moved by keys and by hand, and linked', async ({
  page,
}) => {
  await written(page, 'damson')
  const way = page.getByRole('region', { name: 'The way as it is written' })
  await way.getByRole('button', { name: /^Fill, weave/ }).click()
  await way.getByRole('button', { name: 'Add a wait after it' }).click()
  const fresh = way.getByRole('button', { name: /^New wait/ })
  await expect(fresh).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Step 5' })).toHaveValue('New wait')
  await fresh.click()
  // It is drawn where it stands a moment after the answer for that came.
  const drawnThere = page.waitForResponse(
    (response) =>
      response.url().endsWith('/api/writing/recipe') &&
      (response.request().postDataJSON() as Written).draft.steps[5]?.name === 'New wait',
  )
  await fresh.press('Alt+ArrowRight')
  await expect(page.getByRole('textbox', { name: 'Step 6' })).toHaveValue('New wait')
  await (await drawnThere).finished()
  let last = -1
  await expect
    .poll(async () => {
      const before = last
      last = (await fresh.boundingBox())?.x ?? -1
      return last >= 0 && last === before
    })
    .toBe(true)
  const box = await fresh.boundingBox()
  if (!box) throw new Error('the step is not drawn')
  await page.mouse.move(box.x + 3, box.y + 10)
  await page.mouse.down()
  await page.mouse.move(box.x - 80, box.y + 10, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByRole('textbox', { name: 'Step 5' })).toHaveValue('New wait')
  await fresh.click()
  await way.getByRole('button', { name: 'Take it out' }).click()
  await expect(fresh).toHaveCount(0)

  // Work added after the bake is made to go on beside it, and one that begins by itself follows another.
  await way.getByRole('button', { name: /^Bake/ }).click()
  await way.getByRole('button', { name: 'Add work after it' }).click()
  await page.getByLabel('New work: how it follows Bake').selectOption('during')
  await expect(page.getByText('from minute')).toBeVisible()
  await way.getByRole('button', { name: /^Pit damsons/ }).click()
  await way.getByRole('button', { name: 'Let it follow another' }).click()
  await way.getByRole('button', { name: /^Roll, line/ }).click()
  await expect(page.getByLabel(/^Pit damsons; toss: how it follows Roll/)).toBeVisible()
})

test('what is done to the steps while an answer is awaited is done after it, and what is typed stays', async ({
  page,
}) => {
  await written(page, 'damson')
  let waits = 1
  await page.route('**/api/writing/steps/edit', async (route) => {
    // The first answer comes long after the second could.
    if (waits-- > 0) await new Promise((done) => setTimeout(done, 1500))
    await route.continue()
  })
  const way = page.getByRole('region', { name: 'The way as it is written' })
  await way.getByRole('button', { name: /^Fill, weave/ }).click()
  await way.getByRole('button', { name: 'Add a wait after it' }).click()
  await way.getByRole('button', { name: 'Add work after it' }).click()
  await page.getByRole('textbox', { name: 'Step 1', exact: true }).fill('Roll and line')
  await expect(page.getByRole('textbox', { name: 'Step 5' })).toHaveValue('New work')
  await expect(page.getByRole('textbox', { name: 'Step 6' })).toHaveValue('New wait')
  await expect(page.getByRole('textbox', { name: 'Step 1', exact: true })).toHaveValue('Roll and line')
})

test('a temperature is kept as the recipe gives it', async ({ page }) => {
  await written(page, 'leek')
  const heat = page.getByLabel(/stage 1, temperature/).first()
  await heat.fill('425 °F')
  await expect(page.getByText('= 218 °C')).toBeVisible()
  await heat.fill('hot')
  await expect(page.getByText('no temperature')).toBeVisible()
})

test('the bench sheet has the weights of each piece of work, and can be reached by a key', async ({ page }) => {
  await page.goto('/#/orders')
  await page.keyboard.press('h')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('of hands at the bench for')
  await expect(page.getByText(/base: \d+ g, rolled to/).first()).toBeVisible()
  await expect(page.getByText(/Filling: \d+ g a pie/).first()).toBeVisible()
})

test('shells of one’s own are written by the piece and become a crust without an oven of the day', async ({ page }) => {
  await page.goto('/#/preparations/new')
  await page.getByLabel('Name', { exact: true }).fill('Oat shells')
  await page.getByLabel(/^What goes in/).fill('1 kg short crust 2-1')
  await expect(page.getByText('1000 g Short crust 2-1')).toBeVisible()
  await page.getByRole('combobox', { name: 'It is' }).selectOption('shells, baked by the piece')
  await expect(page.getByRole('combobox', { name: 'Counted' })).toHaveValue('piece')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('To count it by the piece, state what one weighs.')).toBeVisible()
  await page.getByLabel('One weighs, g').fill('30')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Oat shells' })).toBeVisible()
  await expect(page.getByText('Shells, baked by the piece, up to 96 pieces at once, 24 on a tray')).toBeVisible()

  await page.goto('/#/write')
  await page.getByRole('button', { name: 'Cream in shells by the piece' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Oat cream tartlets')
  await page.getByRole('combobox', { name: 'Dough', exact: true }).selectOption('Oat shells')
  await expect(page.getByText('A shell by the piece is not rolled; its wall is')).toBeVisible()
  await page.getByLabel(/^Filling of one pie/).fill('40 g Milk, whole\n6 g Egg yolk\n8 g Sugar, white')
  await page.getByLabel('Add a size').selectOption('mini')
  await page.getByRole('button', { name: 'Take out 23 cm' }).click()
  await page.getByRole('radio', { name: 'written for this one' }).check()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page).toHaveURL(/#\/recipes\/oat-cream-tartlets/)
  await expect(page.getByText(/cooked cream, open, shells as they come/)).toBeVisible()
  await expect(page.getByText('1 shell of 30 g, made here.')).toBeVisible()
})
