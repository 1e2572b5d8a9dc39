import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, saved, typePlace } from './support'

test('a floor that hangs: its hangers bring it up to the floor above, and from there down to the columns', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Hung floor',
    '1 x 8 m by 1 x 6 m, 2 storeys of 3 m, beams every 6 m, 200 mm concrete, homes',
  )
  // under the middle of the beam above
  await page.getByRole('button', { name: 'Draw more object types' }).click()
  await page.getByRole('option', { name: 'hanger' }).click()
  await typePlace(page, 'A1 + 4 m east')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(page.getByRole('option', { name: /^Hanger N1,/ })).toBeVisible()

  // hand: homes 2.0 kN/m² on 8 · 6 m, EN 1991-1-1 table 6.2 (from memory)
  await find(page, 'imposed category A')
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 96\.0 kN.*on members 96\.0 kN.*at supports 96\.0 kN.*all load reaches a support/)

  // hand: 6 kN/m on the beam, half of both its spans of 4 m hangs
  await find(page, 'paths step')
  await page.getByRole('option', { name: /^Hanger N1, 24\.0/ }).click()
  await expect(page.getByRole('heading', { name: 'Hanger N1' })).toBeVisible()
  await expect(page.getByText('from a beam')).toBeVisible()
  const strip = page.getByRole('table', { name: 'From the top down' })
  await expect(strip.getByRole('row', { name: /^1/ })).toContainText('24.0')

  // the column stands under half of that again, come down by the beam over it: 12 + 12 kN
  await page.getByRole('option', { name: /^Column C1,/ }).click()
  await expect(page.getByRole('table', { name: 'From the roof down' }).getByRole('row', { name: /^1/ })).toContainText(
    '24.0',
  )

  // as a column it bears the same, and goes down instead
  await find(page, 'building step')
  await page.getByRole('option', { name: /^Hanger N1,/ }).click()
  await page.getByRole('button', { name: /Role$/ }).click()
  await page.getByRole('option', { name: 'column', exact: true }).click()
  await expect(page.getByRole('option', { name: /^Column N1,/ })).toBeVisible()
  await find(page, 'paths step')
  await expect(page.getByRole('option', { name: /^Column N1, 24\.0/ })).toBeVisible()
})
