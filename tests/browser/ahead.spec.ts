import { expect, test } from '@playwright/test'

test('doughs and fillings of the days ahead stand beside each other, with the load of those beyond', async ({
  page,
}) => {
  await page.goto('/#/dough')
  await page.getByText('Doughs of the days ahead').click()
  const table = page.getByRole('table').filter({ hasText: 'Load' })
  await expect(table.getByRole('row', { name: /^Flaky 3-2-1 .* kg \w+ \d\d:\d\d/ })).toBeVisible()
  const days = await table.getByRole('columnheader').count()
  await page.getByRole('combobox', { name: 'How many days ahead' }).selectOption({ label: '1 day ahead' })
  await expect(table.getByRole('columnheader')).toHaveCount(1)
  expect(days).toBeGreaterThan(1)
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: /against .* of hands/ })
      .first(),
  ).toBeVisible()
  await page.getByRole('link', { name: 'Fillings', exact: true }).click()
  await page.getByText('Fillings of the days ahead').click()
  await expect(page.getByRole('row', { name: /^Pear and ginger .* kg/ })).toBeVisible()
})
