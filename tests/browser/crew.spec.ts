import { expect, test } from '@playwright/test'

test('the day on one axis says what everyone is doing at a minute, and a tag why', async ({ page }) => {
  await page.goto('/#/plan')
  const axis = page.getByRole('region', { name: 'The day on one axis' })
  await expect(axis).toBeVisible()
  // Four people are there: no fifth line is needed, and what they do is in the list too.
  await expect(page.getByText(/4 are there\./)).toBeVisible()
  const tags = axis.getByRole('button', { name: /^Hands \d/ })
  expect(await tags.count()).toBeGreaterThan(20)
  await expect(axis.getByRole('button', { name: /^Hands 5/ })).toHaveCount(0)

  // By keys: the first minute, then one later at which nobody has begun anything else.
  const knob = axis.getByRole('slider', { name: 'Minute looked at' })
  await knob.focus()
  await page.keyboard.press('Home')
  const first = await knob.getAttribute('aria-valuetext')
  await expect(axis.locator('p')).toContainText(String(first))
  await expect(axis.locator('p')).toContainText('1: ')
  await page.keyboard.press('ArrowRight')
  await expect(knob).not.toHaveAttribute('aria-valuetext', String(first))
  await page.keyboard.press('End')
  await expect(axis.locator('p')).toContainText('1: free')

  // By pointer: a tag leads to its task, opened.
  const tag = axis.getByRole('button', { name: /^Hands \d, .*: Mix/ }).first()
  const said = (await tag.getAttribute('aria-label')) ?? ''
  await tag.click()
  const row = page
    .getByRole('button', { name: new RegExp(`^Mix.*${/(\d\d:\d\d) to/.exec(said)?.[1]}. Why then`) })
    .first()
  await expect(row).toHaveAttribute('aria-expanded', 'true')
  await expect(row).toBeFocused()
})
