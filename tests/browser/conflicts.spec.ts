import { expect, test } from '@playwright/test'
import { differences } from '../../web/src/parts/differences'

test('two drafts are told apart field by field', () => {
  const theirs = { name: 'Pear', steps: [{ waitLeast: 20 }, null], price: 3 }
  const mine = { name: 'Pear', steps: [{ waitLeast: 30 }, null], price: null, aliases: 'p' }
  expect(differences(theirs, mine)).toEqual([
    { field: 'steps 1, wait least', theirs: '20', mine: '30' },
    { field: 'price', theirs: '3', mine: '' },
    { field: 'aliases', theirs: '', mine: 'p' },
  ])
  expect(differences(theirs, structuredClone(theirs))).toEqual([])
})

test('of two people who write one dough anew, the second sees both and decides', async ({ page, context }) => {
  await page.goto('/#/doughs/short')
  const other = await context.newPage()
  await other.goto('/#/doughs/short')
  await expect(other.getByLabel('Mix and divide a batch, min')).toHaveValue('25')
  await page.getByLabel('Mix and divide a batch, min').fill('26')
  await page.getByRole('button', { name: 'Save the dough' }).click()
  await expect(page.getByText('Short crust 2-1 is saved, version 2.')).toBeVisible()

  await other.getByLabel('Mix and divide a batch, min').fill('28')
  await other.getByRole('button', { name: 'Save the dough' }).click()
  const conflict = other.getByRole('alert').filter({ hasText: 'Someone else has changed this dough' })
  await expect(conflict.getByRole('row', { name: 'mix min 26 28' })).toBeVisible()
  await expect(other.getByLabel('Mix and divide a batch, min')).toHaveValue('28')
  await other.getByRole('button', { name: 'Save mine over it' }).click()
  await expect(other.getByText('Short crust 2-1 is saved, version 3.')).toBeVisible()
  await other.getByLabel('Mix and divide a batch, min').fill('25')
  await other.getByRole('button', { name: 'Save the dough' }).click()
  await expect(other.getByText('Short crust 2-1 is saved, version 4.')).toBeVisible()
})

test('of two people who describe the bakery, the second may take what the first has saved', async ({
  page,
  context,
}) => {
  await page.goto('/#/bakery')
  const other = await context.newPage()
  await other.goto('/#/bakery')
  const spare = 'Boxes ready before a pick-up, min'
  await expect(other.getByLabel(spare)).toHaveValue('30')
  await page.getByLabel(spare).fill('31')
  await page.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible()
  await other.getByLabel(spare).fill('45')
  await other.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(other.getByRole('row', { name: 'spare min 31 45' })).toBeVisible()
  await other.getByRole('button', { name: 'Take theirs' }).click()
  await expect(other.getByLabel(spare)).toHaveValue('31')
  await other.getByLabel(spare).fill('30')
  await other.getByRole('button', { name: 'Save the bakery' }).click()
  await expect(other.getByText('Saved.', { exact: true })).toBeVisible()
})

test('an ingredient that two people state shows both, and the list follows without asking', async ({
  page,
  context,
}) => {
  await page.goto('/#/ingredients')
  const other = await context.newPage()
  await other.goto('/#/ingredients')
  await page.getByRole('button', { name: 'Change Nutmeg, ground' }).click()
  await other.getByRole('button', { name: 'Change Nutmeg, ground' }).click()
  await page.getByRole('checkbox', { name: 'lupin' }).check()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByText('carries lupin')).toBeVisible()

  await other.getByRole('checkbox', { name: 'molluscs' }).check()
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByRole('row', { name: 'carries lupin molluscs' })).toBeVisible()
  await other.getByRole('button', { name: 'Take theirs' }).click()
  await expect(other.getByText('Nutmeg, ground stays as it was saved.')).toBeVisible()
  await other.getByRole('button', { name: 'Change Nutmeg, ground' }).click()
  await other.getByRole('checkbox', { name: 'none of these' }).check()
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('carries lupin')).toHaveCount(0)
})

test('a preparation that two people write shows both, and nothing of either is lost', async ({ page, context }) => {
  await page.goto('/#/preparations/burnt-sugar-sauce')
  const other = await context.newPage()
  await other.goto('/#/preparations/burnt-sugar-sauce')
  await page.getByRole('spinbutton', { name: 'At most, kg made at once' }).fill('7')
  await other.getByRole('textbox', { name: 'Before use' }).fill('warm gently')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Burnt-sugar sauce is saved.')).toBeVisible()

  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByRole('button', { name: 'Take theirs' })).toBeVisible()
  await other.getByRole('button', { name: 'Take theirs' }).click()
  await expect(other.getByRole('spinbutton', { name: 'At most, kg made at once' })).toHaveValue('7')
  await other.getByRole('textbox', { name: 'Before use' }).fill('warm gently')
  await other.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(other.getByText('Burnt-sugar sauce is saved.')).toBeVisible()
  await other.goto('/#/preparations')
  await expect(other.getByText(/up to 7 kg at once.*before use: warm gently/)).toBeVisible()
})
