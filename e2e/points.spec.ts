import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, type } from './support'

test('the points of what is drawn are read and typed; a wall run is cut, and a stretch of it goes', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Points',
    '2 x 4 m by 1 x 6 m, 1 storeys of 3 m, beams every 6 m, 200 mm concrete, homes',
  )
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Beam B1,/ }).click()
  await page.getByRole('button', { name: 'Wall run on it' }).click()
  await expect(page.getByRole('heading', { name: 'Wall run W1' })).toBeVisible()
  await page.getByRole('button', { name: /Net height$/ }).click()
  await page.getByRole('option', { name: 'typed', exact: true }).click()
  await type(page, 'height of the wall', '1.0')
  await type(page, 'weight of the wall', '5')
  await find(page, 'walls')
  // hand: 4 m · 1.0 m · 5 kN/m²
  await expect.poll(() => balance(page)).toContain('applied 20.0 kN')

  // its ends by name, the second one grid line further
  await expect(page.getByRole('textbox', { name: 'Ends' })).toHaveValue('A/1 to A/2')
  await type(page, 'Ends', 'A/1 to A/3')
  await expect.poll(() => balance(page)).toContain('applied 40.0 kN')
  // a place that is none is refused there
  await type(page, 'Ends', 'A/1 to Z9')
  await expect(page.getByRole('alert').filter({ hasText: 'Z9' })).toBeVisible()
  await page.getByRole('textbox', { name: 'Ends' }).press('Escape')

  // a corner more, then cut in two: nothing is lost
  await type(page, 'Ends', 'A/1 to A/3 to B/3')
  // hand: 8 m and 6 m
  await expect.poll(() => balance(page)).toContain('applied 70.0 kN')
  await type(page, 'Cut the wall at', '3')
  await expect(page.getByRole('option', { name: /^Wall run W\d/ })).toHaveCount(2)
  await expect.poll(() => balance(page)).toContain('applied 70.0 kN')

  // of the longer piece, 5 m and 6 m, the first stretch goes: 3 m and 6 m are left
  await page.getByRole('option', { name: /^Wall run W2,/ }).click()
  await page.getByRole('button', { name: 'Delete stretch 1' }).click()
  await expect.poll(() => balance(page)).toContain('applied 45.0 kN')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => balance(page)).toContain('applied 70.0 kN')
})
