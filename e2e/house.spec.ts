import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, saved, type } from './support'

test('a house with a slab that cantilevers: panels in rings, slab edge, walls on the edge', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'House',
    '2 x 4 m by 1 x 6 m, 2 storeys of 3 m, beams every 6 m, 200 mm concrete, homes',
  )

  // a panel away, and its ring filled again in one step
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Panel P1/ }).click()
  await page.getByRole('button', { name: 'Delete P1' }).click()
  await page.getByRole('button', { name: 'Add a panel' }).click()
  await expect(page.getByRole('button', { name: 'Add a panel' })).toHaveCount(0)
  await find(page, 'imposed category A')
  // hand: homes 2.0 kN/m² on one floor of 8 · 6 m, EN 1991-1-1 table 6.2 (from memory)
  await expect.poll(() => balance(page)).toContain('applied 96.0 kN')

  // both slabs stand out by 1.2 m on their free sides: (8 + 2.4) · (6 + 2.4) = 87.36 m²
  await page.getByRole('option', { name: /^Panel P1/ }).click()
  await page.getByRole('option', { name: /^Panel P2/ }).click({ modifiers: ['Control'] })
  await type(page, 'Slab edge overhang', '1.2')
  await expect.poll(() => balance(page)).toContain('applied 174.7 kN')

  // a wall round the outline of the beams, then onto the slab edge in one step
  await find(page, 'actions step')
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
  await page.getByRole('button', { name: 'Move to the slab edge' }).click()
  await saved(page)
  // the load is the same, now by lever past the beams of the south side
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 20\.0 kN.*on members 20\.0 kN.*at supports 20\.0 kN.*all load reaches a support/)
  await find(page, 'paths step')
  await find(page, 'member B1 level 1')
  // hand: 20 kN at 1.2 m beyond the beam of a 6 m span: 20 · 7.2 / 6 = 24 kN on it
  await expect(page.getByRole('heading', { name: 'Beam B1' })).toBeVisible()
  await expect(page.getByText('24.0').first()).toBeVisible()
})
