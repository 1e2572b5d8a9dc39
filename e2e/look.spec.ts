import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { demo } from './support'

test('dark colours: on every step nothing serious for axe, kept over a reload, and back', async ({ page }) => {
  await page.goto(`${demo}/basis`)
  await page.getByRole('button', { name: 'Show in dark colours' }).click()
  for (const step of ['basis', 'building', 'actions', 'paths', 'combinations', 'envelopes', 'handover']) {
    await page.goto(`${demo}/${step}`)
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
    await expect(page.getByRole('heading').first()).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze()
    expect(violations.flatMap(({ nodes }) => nodes.map(({ html }) => html))).toEqual([])
  }
  await page.getByRole('button', { name: 'Show in light colours' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light')
})

test.describe('a system that asks for dark', () => {
  test.use({ colorScheme: 'dark' })
  test('is followed while nothing is chosen', async ({ page }) => {
    await page.goto(`${demo}/paths`)
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  })
})
