import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, saved, type, typePlace } from './support'

test('an area load that falls along the roof: drawn by typing, two values, on the balance and in the list', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Drift',
    '2 x 6 m by 1 x 6 m, 1 storey of 4 m, beams every 2 m, 150 mm concrete, offices',
  )
  await find(page, 'actions step')
  await page.getByRole('button', { name: /Draw something else/ }).click()
  await page.getByRole('option', { name: 'area load' }).click()
  for (const place of ['A1', 'A3', 'B3']) await typePlace(page, place)
  await typePlace(page, 'B1', 'Control+Enter')
  await expect(page.getByRole('heading', { name: 'Area load U1' })).toBeVisible()
  await type(page, /^area load$/, '3')
  await type(page, /^area load at its end$/, '0.5')
  await saved(page)
  await find(page, 'typed loads')
  // hand: (3.0 + 0.5) / 2 · 12 · 6 m
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 126\.0 kN.*on members 126\.0 kN.*at supports 126\.0 kN.*nothing missing/)
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(page.getByRole('option', { name: /^Area load U1, from 3\.00 kN\/m² to 0\.50 kN\/m²/ })).toBeVisible()
})
