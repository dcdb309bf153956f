import { expect, test } from '@playwright/test'

test('one of the crew follows a day from the plan to the sheet that is printed', async ({ page }) => {
  await page.goto('/#/plan')
  await page.getByRole('link', { name: 'Sheets for each person' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('one for each pair of hands of a shift')
  // Everybody's sheets are there; one is chosen.
  await expect(page.getByRole('region', { name: /^Night, pair of hands 1/ }).last()).toBeVisible()
  await page.getByLabel('Sheet', { exact: true }).selectOption({ index: 1 })
  const sheet = page.getByRole('region', { name: /pair of hands 1,/ })
  await expect(page.getByRole('region', { name: /pair of hands/ })).toHaveCount(1)
  const title = (await sheet.getByRole('heading', { level: 2 }).textContent()) ?? ''
  await expect(sheet.getByRole('listitem').first()).toContainText(/\d\d:\d\d/)
  await expect(sheet.getByText(/\d+ g /).first()).toBeVisible()
  // The clock runs forward, and nothing begins before the last thing has ended.
  const times = await sheet
    .locator('ol > li')
    .evaluateAll((rows) =>
      rows.map((row) => [
        row.querySelector('.clock')?.textContent ?? '',
        row.querySelector('.until')?.textContent?.slice(3) ?? '',
      ]),
    )
  for (let at = 1; at < times.length; at++) {
    const [before, next] = [times[at - 1]?.[1] ?? '', times[at]?.[0] ?? '']
    if (before < '23:00') expect(next >= before, `${before} then ${next}`).toBe(true)
  }
  // On paper there is this sheet alone, whose it is and of which plan, with a box to tick for each piece of work.
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'By person' })).toBeHidden()
  await expect(sheet).toContainText(title)
  await expect(sheet).toContainText(/plan [0-9a-f]{16}/)
  await expect(sheet.locator('.tick')).toHaveCount(times.length)
  await expect(sheet.locator('.tick').first()).toBeVisible()
  await page.emulateMedia({ media: 'screen' })
  const [calendar] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('link', { name: 'As a calendar' }).click(),
  ])
  expect(calendar.suggestedFilename()).toMatch(/\.ics$/)
  // By station there is one sheet for each.
  await page.getByRole('button', { name: 'By station' }).click()
  await expect(page.getByRole('region', { name: 'Bench' })).toBeVisible()
})
