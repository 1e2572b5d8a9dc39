import { expect, test } from '@playwright/test'
import { builtFrom, find, saved, type, typePlace } from './support'

test('a region of the plan reduces its slabs for its floor, and its beams by a typed factor', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Reduction by region',
    '2 x 8 m by 1 x 6 m, 2 storeys of 4 m, beams every 6 m, 200 mm concrete, homes',
  )
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Draw more object types' }).click()
  await page.getByRole('option', { name: 'reduction region' }).click()
  for (const place of ['A1', 'A3', 'B3']) await typePlace(page, place)
  await typePlace(page, 'B1', 'Control+Enter')
  await page.keyboard.press('Escape')
  await saved(page)
  await find(page, 'imposed category A')

  // hand: EN 1991-1-1 (6.1) with psi_0 = 0.7 and A_0 = 10 m² (from memory): 0.5 + 10/96 is 0.60; 2.0 kN/m² of homes is 1.21
  await expect(page.getByRole('heading', { name: 'Reduction region', exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: '0.60, why' })).toBeVisible()
  await expect(page.getByText('1.21').first()).toBeVisible()

  await page.getByRole('button', { name: /Beams$/ }).click()
  await page.getByRole('option', { name: 'by a factor' }).click()
  await type(page, 'factor for beams', '0.8')
  await saved(page)

  // hand: 6 kN/m on 8 m is 48 kN, times 0.8
  await find(page, 'paths step')
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Beam B1,/ }).click()
  await expect(page.getByRole('button', { name: '0.80, why' })).toBeVisible()
  await expect(page.getByText('38.4').first()).toBeVisible()
})
