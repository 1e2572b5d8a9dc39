import { expect, test } from '@playwright/test'
import { balance, find, newProject, saved, type } from './support'

test('a tower of forty storeys in six typical ranges, each edited alone', async ({ page, request }) => {
  const id = await newProject(request, 'Tower')
  await page.goto(`/p/${id}/building`)
  await page
    .getByRole('textbox', { name: 'The building in one sentence' })
    .fill('3 x 8 m by 3 x 8 m, 40 storeys of 3.5 m, steel beams every 2 m, 150 mm concrete, offices')
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  await find(page, 'imposed category B')
  // hand: 39 floors of 24 · 24 m at 3.0 kN/m² (EN 1991-1-1 table 6.2, from memory)
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 67392\.0 kN.*at supports 67392\.0 kN.*all load reaches a support/)

  // six typical ranges: 1-7, 8-14, 15-21, 22-28, 29-35, 36-39, and the roof
  for (const level of ['8', '15', '22', '29', '36']) {
    await page.getByRole('button', { name: new RegExp(`Layout of level ${level}$`) }).click()
    await page.getByRole('option', { name: 'make this and upper levels independent' }).click()
    await expect(
      page.getByRole('button', { name: new RegExp(`^Undo: Independent layout from level ${level} up`) }),
    ).toBeVisible()
  }
  await expect.poll(() => balance(page)).toContain('applied 67392.0 kN')

  // a wall round the outline of the second range alone
  await find(page, 'level 10')
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Wall round the outline' }).click()
  await page.getByRole('button', { name: /Net height$/ }).click()
  await page.getByRole('option', { name: 'typed', exact: true }).click()
  await type(page, 'height of the wall', '3.0')
  await type(page, 'weight of the wall', '2.5')
  await find(page, 'walls')
  // hand: 96 m · 3.0 m · 2.5 kN/m² on seven floors
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 5040\.0 kN.*at supports 5040\.0 kN.*all load reaches a support/)

  await saved(page)
  // the corner column, all the way down
  await find(page, 'imposed: imposed, category B')
  await find(page, 'paths step')
  await find(page, 'member C1, level 1')
  await expect(page.getByRole('heading', { name: 'Column C1' })).toBeVisible()
  // hand: 4 · 4 m of 39 floors at 3.0 kN/m² = 1872 kN
  await expect(page.getByRole('table', { name: 'From the roof down' }).getByRole('row').last()).toContainText(
    /1.872\.0/,
  )
})
