import { expect, test, type Page } from '@playwright/test'
import { balance, builtFrom, find, saved, type, typePlace } from './support'

const panel = (page: Page, label: string, area: string) =>
  page.getByRole('option', { name: new RegExp(`^Panel ${label}, .*${area}\\sm²`) })

test('panels follow their beams: parted by a new one, moved with it, one again without it; undone in one step', async ({
  page,
  request,
}) => {
  await builtFrom(
    page,
    request,
    'Following panels',
    '2 x 6 m by 1 x 4 m, 1 storey of 3 m, beams every 4 m, 150 mm concrete, homes',
  )
  await page.getByRole('button', { name: 'as a list' }).click()
  await panel(page, 'P1', '24\\.0').click()
  const edges = page.getByRole('button', { name: /Edges$/ })
  await expect(edges).toContainText('follow the surrounding beams')
  await edges.click()
  await page.getByRole('option', { name: 'follow the enclosing beams' }).click()

  await page.getByRole('radio', { name: 'girder', exact: true }).click()
  await typePlace(page, 'A1 + 2 m east to A1 + 2 m east + 4 m north')
  await page.keyboard.press('Escape')
  await expect(panel(page, 'P1', '16\\.0')).toBeVisible()
  await expect(panel(page, 'P3', '8\\.0')).toBeVisible()
  await saved(page)
  await expect.poll(() => balance(page)).toContain('all load reaches a support')

  // the new girder one metre on: 3 · 4 and 3 · 4 m²
  await page.getByRole('option', { name: /^Girder G4,/ }).click()
  await type(page, 'Move', '1 m east')
  await expect(panel(page, 'P1', '12\\.0')).toBeVisible()
  await expect(panel(page, 'P3', '12\\.0')).toBeVisible()
  await page.getByRole('button', { name: /^Undo: Moved .*2 panels are deleted with it/ }).click()
  await expect(panel(page, 'P1', '16\\.0')).toBeVisible()

  await page.getByRole('option', { name: /^Girder G4,/ }).click()
  await page.getByRole('button', { name: 'Delete G4' }).click()
  await expect(panel(page, 'P1', '24\\.0')).toBeVisible()
  await expect(page.getByRole('option', { name: /^Panel P3,/ })).toHaveCount(0)

  // an edge beam gone: the panel stays, and it is said
  await page.getByRole('option', { name: /^Beam B1,/ }).click()
  await page.getByRole('button', { name: 'Delete B1' }).click()
  await panel(page, 'P1', '24\\.0').click()
  await expect(page.getByText(/Panel P1 follows its beams, but they do not enclose it/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep its edges as drawn' }).click()
  await expect(edges).toContainText('as drawn')
})

test('every new ring of beams gets a panel by itself where that is wanted', async ({ page, request }) => {
  await builtFrom(
    page,
    request,
    'Panels by themselves',
    '1 x 6 m by 1 x 4 m, 1 storey of 3 m, beams every 4 m, 150 mm concrete, homes',
  )
  await page.getByRole('button', { name: 'New bays get' }).click()
  await page.getByRole('option', { name: 'a panel automatically' }).click()
  await page.getByRole('radio', { name: 'beam', exact: true }).click()
  for (const line of ['A2 to A2 + 3 m east', 'A2 + 3 m east to B2 + 3 m east', 'B2 + 3 m east to B2'])
    await typePlace(page, line)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(panel(page, 'P2', '12\\.0')).toBeVisible()
  // its load arrives: category H on 6 · 4 and 3 · 4 m², 0.4 kN/m² (EN 1991-1-1 table 6.10, recommended; from memory)
  await find(page, 'imposed, roofs')
  await expect.poll(() => balance(page)).toMatch(/applied 14\.4 kN/)
})
