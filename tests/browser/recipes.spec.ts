import { expect, test, type Page } from '@playwright/test'

const heading = (page: Page) => page.getByRole('heading', { level: 1 })

test('a recipe is found by what is in it, and what someone must not eat is left out', async ({ page }) => {
  await page.goto('/#/recipes')
  await expect(heading(page)).toContainText('recipes with')
  await page.getByLabel('Find by name, dough or ingredient').fill('brandy')
  await expect(heading(page)).toContainText('1 of')
  await expect(page.getByRole('link', { name: 'Hazelnut tart' })).toBeVisible()
  await page.getByLabel('Leaving out an allergen').selectOption('nuts')
  await expect(page.getByText('Nothing is like that.')).toBeVisible()
  // The address holds what was asked, so that it can be passed on.
  await page.reload()
  await expect(page.getByText('Nothing is like that.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all recipes' }).click()
  await page.getByLabel('Kind of filling').selectOption('curd')
  await expect(page.getByRole('link', { name: 'Passion-fruit meringue' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Pear and ginger' })).toHaveCount(0)
})

test('what is on hand says how many pies, and eggs that come whole lead to a count', async ({ page }) => {
  await page.goto('/#/recipes/pear')
  await page.getByLabel('What I have').fill('14.2 kg pears')
  await page.getByRole('button', { name: 'How many pies?' }).click()
  await expect(page.getByText(/Enough for 10: .* a pie, .* left/)).toBeVisible()
  await expect(page).toHaveURL(/#\/recipes\/pear\/23\/10$/)
  await page.getByLabel('What I have').fill('3 kg gravel')
  await page.getByRole('button', { name: 'How many pies?' }).click()
  await expect(page.getByText('Pear and ginger takes no "Gravel".')).toBeVisible()

  // One custard takes 0.614 of an egg for its dough; thirteen take 7.99, the first within a twentieth of an egg of whole ones.
  await page.goto('/#/recipes/oat-custard/23/1')
  await page.getByRole('button', { name: '13 pies' }).click()
  await expect(page.getByRole('row', { name: /^Egg, whole 7\.99 .*8 \+0\.2 % this count: 8 \+0\.2 %$/ })).toBeVisible()
})

test('two recipes are compared line by line', async ({ page }) => {
  await page.goto('/#/recipes')
  await page.getByRole('checkbox', { name: 'Compare Pear and ginger' }).check()
  await expect(page.getByText('One chosen to compare; choose another.')).toBeVisible()
  await page.getByRole('checkbox', { name: 'Compare Damson lattice' }).check()
  await page.getByRole('link', { name: 'Compare these two' }).click()
  await expect(heading(page)).toContainText('lines differ')
  await expect(page.getByRole('row', { name: /^Damsons, pitted – 760 g new$/ })).toBeVisible()
})

test('an edit makes a version, what changed can be seen, and one can go back', async ({ page }) => {
  await page.goto('/#/write/leek')
  await page
    .getByLabel(/^Filling of one pie/)
    .fill('900 g Leeks, trimmed, sliced\n3/4 cup Milk, whole\n2 sticks butter')
  await expect(page.getByText(/177.4412 ml × 1.0313 g\/ml/)).toBeVisible()
  await expect(page.getByText(/2 × 113.3981 g, 4 oz a stick/)).toBeVisible()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText('version 2:')).toBeVisible()
  await expect(page.getByText('3/4 cup =')).toBeVisible()
  await page.getByRole('link', { name: 'Versions' }).click()
  await expect(heading(page)).toContainText('in version 2; 1 before it is kept')
  await page.getByRole('link', { name: 'What changed since' }).click()
  await expect(page.getByRole('row', { name: /^Cheese, hard, grated 220 g – left out$/ })).toBeVisible()
  await page.goBack()
  await page.getByRole('button', { name: 'Go back to version 1' }).click()
  await expect(page.getByText('version 3:')).toBeVisible()
  await expect(page.getByRole('rowheader', { name: 'Cheese, hard, grated' })).toBeVisible()
})

test('a variation begins as the recipe it comes from, and other choices bring other steps', async ({ page }) => {
  await page.goto('/#/recipes/cranberry')
  await page.getByRole('button', { name: 'Write a variation' }).click()
  await page.getByLabel('Name of the variation').fill('Cranberry under crumble')
  await page.getByRole('button', { name: 'Write it' }).click()
  await expect(heading(page)).toContainText('Cranberry under crumble, version 1')
  await page.getByRole('combobox', { name: /^Top/ }).selectOption('crumble')
  await page.getByRole('combobox', { name: /^Base/ }).selectOption('partBlind')
  await page.getByRole('button', { name: 'Take the usual steps for these' }).click()
  await expect(page.getByLabel('Blind bake, weighted, then bare: stage 1, temperature')).toBeVisible()
  await page.getByLabel(/^Topping of one pie/).fill('90 g flour\n60 g butter\n60 g sugar')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText('precooked fruit, crumble, part-baked base')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Topping, crumble' })).toBeVisible()
})

test('a line is changed where it stands, and another thickness is only a question', async ({ page }) => {
  await page.goto('/#/recipes/plum/free-24/4')
  await page.getByRole('button', { name: 'Change Sugar, white, 140 g' }).click()
  const line = page.getByLabel('The line as written')
  await expect(line).toBeFocused()
  await line.fill('many sugars')
  await page.getByRole('button', { name: 'Save as version 2' }).click()
  await expect(page.getByText('"many sugars" is not understood.').first()).toBeVisible()
  await line.fill('3/4 cup sugar')
  await line.press('Enter')
  await expect(page.getByText('version 2:')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Change Sugar, white, 150 g' })).toBeVisible()

  const thickness = page.getByLabel('Thickness in mm')
  await thickness.focus()
  await thickness.press('ArrowUp')
  await expect(page.getByText('written are 3 mm, and nothing is changed')).toBeVisible()
  // Half a millimetre more is a sixth more dough: 371.4 g of disc become 433.3.
  await expect(page.getByText('= disc 433.3 g')).toBeVisible()
  await page.getByRole('button', { name: 'Back to what is written' }).click()
  await expect(page.getByText('= disc 371.4 g')).toBeVisible()
})

test('a dough is judged while it is written', async ({ page }) => {
  await page.goto('/#/doughs/flaky')
  await expect(page.getByText('Flour : fat : water 3 : 2 : 1')).toBeVisible()
  await page.getByLabel(/^What goes in/).fill('450 g flour\n420 g butter\n150 g water')
  await expect(page.getByText('softens fast')).toBeVisible()
  await page.getByLabel('Family').selectOption('veryRich')
  await expect(page.getByText('judged as very rich flaky')).toBeVisible()
})

test('pans stand to scale, and another pan of a recipe brings an estimate that says it is one', async ({ page }) => {
  await page.goto('/#/pans')
  await expect(heading(page)).toContainText('drawn to one scale')
  await expect(page.getByRole('img', { name: '34 x 24 slab in section' })).toBeVisible()
  await page.goto('/#/recipes/leek/23/2')
  await expect(page.getByText(/^Perhaps \d+ to \d+ min in the oven$/)).toBeVisible()
})

test('an ingredient takes a figure of the bakery, and cups are weighed by it', async ({ page }) => {
  await page.goto('/#/ingredients')
  await page.getByLabel('Find').fill('molasses')
  await page.getByRole('button', { name: 'Change Molasses' }).click()
  await page.getByLabel('Density of your own, g/ml').fill('1.4')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('a US cup 331.2 g')).toBeVisible()
  await page.goto('/#/write')
  await page.getByRole('button', { name: 'Nut tart' }).click()
  await page.getByLabel(/^Filling of one pie/).fill('1 metric cup molasses')
  await expect(page.getByText('250 ml × 1.4 g/ml, set by this bakery')).toBeVisible()
})

test('a recipe from elsewhere is shown before it is taken in, and its doubts stay with it', async ({ page }) => {
  await page.goto('/#/library')
  const recipe = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Elder and plum tart',
    recipeIngredient: ['900 g plums, pitted', '1 cup sugar', '2 heaped tbsp cornflour', 'a handful of elderberries'],
  }
  const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
  const input = page.getByLabel('Choose a file')
  await input.setInputFiles(file('broken.json', '{"@type": "Recipe"'))
  await expect(page.getByText('This is not readable JSON')).toBeVisible()
  await input.setInputFiles(file('elder.jsonld', JSON.stringify(recipe)))
  await expect(heading(page)).toContainText('elder.jsonld brings 1 thing')
  await expect(page.getByText(/Not taken in: "a handful of elderberries" is not understood/)).toBeVisible()
  await page.getByRole('button', { name: 'Take in this' }).click()
  await expect(page.getByText('elder.jsonld is taken in: 1 thing.')).toBeVisible()

  await page.goto('/#/recipes?q=elder')
  await expect(page.getByText('to look at')).toBeVisible()
  await page.getByRole('link', { name: 'Elder and plum tart' }).click()
  await expect(page.getByText('Taken in from elsewhere; still to look at:')).toBeVisible()
  await page.getByRole('link', { name: 'Look at it and change it' }).click()
  await page.getByRole('button', { name: 'All looked at' }).click()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText('version 2:')).toBeVisible()
  await expect(page.getByText('still to look at')).toHaveCount(0)
})

test('a step is put between two others, named, linked and moved, and what breaks is said at once', async ({ page }) => {
  await page.goto('/#/write/plum')
  const steps = page.getByRole('region', { name: 'Steps' })
  await expect(page.getByRole('textbox', { name: 'Step 1', exact: true })).toBeVisible()
  const before = await steps.getByRole('listitem').count()
  const first = await page.getByRole('textbox', { name: 'Step 1', exact: true }).inputValue()
  await steps.locator('summary').filter({ hasText: 'Add after' }).first().click()
  await steps.getByRole('button', { name: `Work after ${first}` }).click()
  await expect(steps.getByRole('listitem')).toHaveCount(before + 1)
  await page.getByRole('textbox', { name: 'Step 2', exact: true }).fill('Press a pattern into the rim')
  await expect(steps.getByText(`after ${first.toLowerCase()}`).first()).toBeVisible()
  await steps.getByRole('button', { name: 'Press a pattern into the rim: take out' }).click()
  await expect(steps.getByRole('listitem')).toHaveCount(before)
  // Without the step that takes the dough it is no pie any more; that is said before anything is saved.
  await steps.getByRole('button', { name: `${first}: take out` }).click()
  await expect(steps.getByRole('alert').first()).toContainText('One step must take the dough.')
  await page.getByRole('link', { name: 'Leave it' }).click()
  await expect(page).toHaveURL(/recipes\/plum/)
})

test('the way of a pie is drawn along time, and a pressed step is read', async ({ page }) => {
  await page.goto('/#/recipes/chocolate/20-straight/5')
  const way = page.getByRole('region', { name: 'The way of a pie' })
  await expect(way.getByText('Toasted hazelnuts')).toBeVisible()
  await way.getByRole('button', { name: /^Blind bake/ }).press('Enter')
  await expect(way.getByRole('status')).toContainText('Ready when: golden all over and dry')
})

test('a step is told to take what is made first', async ({ page }) => {
  await page.goto('/#/write/chocolate')
  const steps = page.getByRole('region', { name: 'Steps' })
  const box = steps.getByRole('listitem').last()
  await expect(box.getByText('takes hazelnut praline')).toBeVisible()
  await steps
    .locator('summary')
    .and(page.getByLabel(/^Pour in warm.*: takes also/))
    .click()
  await steps.getByRole('button', { name: /^Pour in warm.*: takes Hazelnut praline/ }).click()
  await expect(box.getByText('takes hazelnut praline')).toHaveCount(0)
  await expect(steps.getByText('takes hazelnut praline')).toHaveCount(1)
})

test('a pie is written in layers, which are drawn beside the words and follow the pan by their laws', async ({
  page,
}) => {
  await page.goto('/#/write')
  await page.getByRole('button', { name: 'Nut paste with fruit' }).click()
  const pie = page.getByRole('complementary', { name: 'The pie so far' })
  await expect(pie).toContainText('as soon as a dough, a pan and a filling hold together')
  await page.getByLabel(/^Filling of one pie/).fill('200 g Almonds, ground\n180 g Butter, unsalted\n180 g Sugar, white')
  // It has no name yet, and is drawn all the same.
  await expect(pie.getByRole('img')).toBeVisible()
  await expect(pie).toContainText('560 g of filling a pie')

  await page.getByRole('button', { name: 'another filling' }).click()
  const halves = page.getByRole('region', { name: /^Layer 2/ })
  await halves.getByLabel(/of one pie/).fill('240 g Plums, pitted')
  await halves.getByText('Fills the crust, packed').click()
  await halves.getByLabel('What it is called').fill('Plum halves')
  await halves.getByLabel('How it follows the pan').selectOption('count')
  await halves.getByLabel('Pieces a pie').fill('0')
  await page.getByRole('button', { name: 'something beside' }).click()
  await page.getByLabel(/^Served beside one pie/).fill('60 g Cream, heavy')
  await page.getByLabel('Name', { exact: true }).fill('Plum and almond')
  await page.getByLabel('Add a size').selectOption('26 cm')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(halves.getByText('This does not fit: 1 to 200 pieces.')).toBeVisible()
  await halves.getByLabel('Pieces a pie').fill('12')
  await expect(pie).toContainText('240 g plum halves, 12 pieces')
  await page.getByRole('button', { name: 'Save the recipe' }).click()

  await expect(page).toHaveURL(/#\/recipes\/plum-and-almond/)
  await page.goto('/#/recipes/plum-and-almond/26/1')
  // The tops are 25 and 28 cm across with their rims: 12 x (28 / 25)^2 = 15.05.
  await expect(page.getByText('It goes by the piece: 15 a pie here, 12 as written.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Served beside' })).toBeVisible()
  await page.goto('/#/write/plum-and-almond')
  await page
    .getByRole('region', { name: /^Layer 2/ })
    .getByRole('button', { name: 'Lower' })
    .click()
  await expect(page.getByRole('region', { name: /^Layer 1, Plum halves/ })).toBeVisible()
  await page.getByRole('button', { name: /^Take out layer 3/ }).click()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page).toHaveURL(/#\/recipes\/plum-and-almond/)
  await page.goto('/#/compare/plum-and-almond:1/plum-and-almond')
  await expect(page.getByRole('rowheader', { name: 'beside', exact: true })).toBeVisible()
})
