import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, newProject, saved, type, typePlace } from './support'

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
  await page.getByRole('button', { name: /Draw more object types/ }).click()
  await page.getByRole('option', { name: 'area load' }).click()
  for (const place of ['A1', 'A3', 'B3']) await typePlace(page, place)
  await typePlace(page, 'B1', 'Control+Enter')
  await expect(page.getByRole('heading', { name: 'Area load U1' })).toBeVisible()
  await type(page, /^area load$/, '3')
  await type(page, /^area load at its end$/, '0.5')
  await saved(page)
  await find(page, 'applied line, point and area loads')
  // hand: (3.0 + 0.5) / 2 · 12 · 6 m
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 126\.0 kN.*on members 126\.0 kN.*at supports 126\.0 kN.*all load reaches a support/)
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(page.getByRole('option', { name: /^Area load U1, from 3\.00 kN\/m² to 0\.50 kN\/m²/ })).toBeVisible()
})

test('a pressure square to one side of a hall roof: down through the purlins, and sideways to what is handed on', async ({
  page,
  request,
}) => {
  const id = await newProject(request, 'Square to the roof')
  await page.goto(`/p/${id}/building`)
  await page.getByRole('button', { name: 'start with a hall' }).click()
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  await find(page, 'actions step')
  await page.getByRole('button', { name: /Draw more object types/ }).click()
  await page.getByRole('option', { name: 'area load' }).click()
  for (const place of ['0; 0', '36; 0', '36; 12']) await typePlace(page, place)
  await typePlace(page, '0; 12', 'Control+Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /Direction and area$/ }).click()
  await page.getByRole('option', { name: 'normal to the surface, per true area' }).click()
  await type(page, /^area load$/, '0.5')
  await saved(page)
  // hand: 0.5 kN/m² on 432 / cos 10° m², of which cos 10° is vertical
  await find(page, 'applied line, point and area loads')
  await expect.poll(() => balance(page)).toMatch(/applied 216\.0 kN.*at supports 216\.0 kN.*all load reaches a support/)
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(page.getByRole('option', { name: /^Area load U1, 0\.50 kN\/m², normal to the slope/ })).toBeVisible()

  await find(page, 'paths step')
  await page.keyboard.press('Escape')
  // hand: 216 · tan 10° uphill, to the north, at the middle of 36 m
  const row = page.getByRole('table', { name: 'Horizontal thrusts' }).getByRole('row', { name: /^Eaves/ })
  await expect(row).toContainText('38.1 kN')
  await expect(row).toContainText('685.6 kNm')
  // a purlin under 2 m of the roof: 0.5 · 2 · 6 · tan 10°
  await page.getByRole('option', { name: /^Purlin L7,/ }).click()
  await expect(page.getByText('of loads normal to a slope, to the north: exported')).toBeVisible()
})
