import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, saved } from './support'

test('beams that become bearing walls: line reactions, stretch by stretch, down to the base', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Walls that bear',
    '1 x 8 m by 1 x 6 m, 2 storeys of 3 m, beams every 6 m, 200 mm concrete, homes',
  )
  await page.getByRole('button', { name: 'as a list' }).click()

  // both beams under the slab become walls; girders and columns go
  for (const name of ['B1', 'B2']) {
    await page.getByRole('option', { name: new RegExp(`^Beam ${name},`) }).click()
    await page.getByRole('button', { name: /Role$/ }).click()
    await page.getByRole('option', { name: 'bearing wall', exact: true }).click()
    await expect(page.getByRole('option', { name: new RegExp(`^Bearing wall ${name},`) })).toBeVisible()
  }
  await page.getByRole('option', { name: /^Girder G1/ }).click()
  for (const name of ['Girder G2', 'Column C1', 'Column C2', 'Column C3', 'Column C4'])
    await page.getByRole('option', { name: new RegExp(`^${name}`) }).click({ modifiers: ['Control'] })
  await page
    .getByRole('button', { name: /^Delete/ })
    .first()
    .click()
  await saved(page)

  // hand: homes 2.0 kN/m² on one floor of 8 · 6 m, EN 1991-1-1 table 6.2 (from memory), all of it at the supports
  await find(page, 'imposed category A')
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 96\.0 kN.*on members 96\.0 kN.*at supports 96\.0 kN.*all load reaches a support/)

  // hand: 2.0 · 6 / 2 = 6 kN/m, so 6 kN on each of eight stretches of 1 m
  await find(page, 'paths step')
  await page.getByRole('option', { name: /^Bearing wall B1,/ }).click()
  await expect(page.getByRole('heading', { name: 'Bearing wall B1' })).toBeVisible()
  const table = page.getByRole('table', { name: 'Pieces of wall B1' })
  await expect(table.getByRole('row')).toHaveCount(9)
  await expect(table.getByRole('row', { name: /^B1\/3/ })).toContainText('6.00')

  // a stretch and its strip through the levels
  await table.getByRole('rowheader', { name: 'B1/3' }).click()
  await expect(page.getByRole('heading', { name: 'Piece of wall B1/3' })).toBeVisible()
  await expect(page.getByText('on the foundation')).toBeVisible()
})
