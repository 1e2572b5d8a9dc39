import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { demo } from './support'

test('dark colours: on every step nothing serious for axe, kept over a reload, and back', async ({ page }) => {
  await page.goto(`${demo}/basis`)
  await page.getByRole('button', { name: 'Switch to dark appearance' }).click()
  for (const step of ['basis', 'building', 'actions', 'paths', 'combinations', 'envelopes', 'handover']) {
    await page.goto(`${demo}/${step}`)
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
    await expect(page.getByRole('heading').first()).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze()
    expect(violations.flatMap(({ nodes }) => nodes.map(({ html }) => html))).toEqual([])
  }
  await page.getByRole('button', { name: 'Switch to light appearance' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light')
})

test.describe('a system that asks for dark', () => {
  test.use({ colorScheme: 'dark' })
  test('is followed while nothing is chosen', async ({ page }) => {
    await page.goto(`${demo}/paths`)
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  })
})

test('the loading plan on paper: to scale, with its legend and who made it', async ({ page }) => {
  await page.goto(`${demo}/actions`)
  await page.getByRole('link', { name: 'Print loading plan' }).click()
  await expect(page.getByRole('img', { name: 'Loading plan, 1 to 200' })).toBeVisible()
  await expect(page.getByText('1:200 on A3')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Legend' })).toContainText('Reading room 3.00 kN/m²')
  await expect(page.getByText('L. Vantongeren')).toBeVisible()
  await page.getByRole('link', { name: 'Back to Actions' }).click()
  await expect(page.getByRole('heading', { name: 'Floor loads' })).toBeVisible()
})
