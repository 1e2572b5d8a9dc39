import { expect, test } from '@playwright/test'
import { builtFrom, find, saved, type } from './support'

test('a column that rakes: its foot typed, its thrust on its sheet, at every level and in the concerns', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Raking column',
    '2 x 8 m by 1 x 6 m, 2 storeys of 4 m, beams every 6 m, 200 mm concrete, homes',
  )
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Column C3,/ }).click()
  await type(page, 'Horizontal offset of its foot', '3 metres off')
  await expect(page.getByText(/has no direction\. Enter 4\.2 m east/)).toBeVisible()
  await type(page, 'Horizontal offset of its foot', '3 m west')
  await expect(page.getByRole('option', { name: /^Column C3, raking,/ })).toBeVisible()
  await saved(page)

  // hand: 2.0 kN/m² on 4 · 3 m of floor, category A of EN 1991-1-1 table 6.2 (from memory), is 24 kN; 24 · 3 / 4 = 18 sideways, 30 along it
  await find(page, 'imposed category A')
  await find(page, 'paths step')
  await page.getByRole('option', { name: /^Column C3, raking, 24\.0/ }).click()
  await expect(page.getByRole('heading', { name: 'Inclination' })).toBeVisible()
  await expect(page.getByRole('button', { name: '18.0 kN, why' })).toBeVisible()
  await page.getByRole('button', { name: '30.0 kN, why' }).click()
  await expect(page.getByText('common practice: both forces along the axis')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText(/Horizontal thrust on level 1 to the east/)).toBeVisible()

  // upright again, nothing is pushed
  await find(page, 'building step')
  await page.getByRole('option', { name: /^Column C3,/ }).click()
  await expect(page.getByRole('textbox', { name: 'Horizontal offset of its foot' })).toHaveValue('3.00 m west')
  await type(page, 'Horizontal offset of its foot', '')
  await expect(page.getByRole('option', { name: /^Column C3, \d/ })).toBeVisible()
})
