import { expect, test } from '@playwright/test'

test('the demo is there at the first start', async ({ page }) => {
  await page.goto('/')
  const demo = page.getByRole('list', { name: 'Projects' }).locator('a[href*="00000000-0000-4000-8000-00000000d3a0"]')
  await expect(demo).toHaveText('Marrowfield Library & Workshop')
})
