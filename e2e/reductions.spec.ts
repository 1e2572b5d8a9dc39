import { expect, test } from '@playwright/test'
import { newProject, openRecords, saved, type } from './support'

test('columns of two storeys of a category stay whole, whatever the area', async ({ page, request }) => {
  const id = await newProject(request, 'Two storeys', 'demo')
  // C5 stands under 312.9 kN of category C on two levels: by storeys 2/2 (EN 1991-1-1 6.3.1.2(11)), and not by its 104.3 m2
  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Imposed load in combinations/ }).click()
  await page.getByRole('option', { name: /by area also together with ψ/ }).click()
  await saved(page)
  await page.goto(`/p/${id}/envelopes`)
  // 1.5 x 312.93 = 469.4, as without
  await expect(page.getByText('469.4').first()).toBeVisible()
})

test('a table of the project’s own stands in place of the standard’s factors', async ({ page, request }) => {
  const id = await newProject(request, 'Own table', 'demo')
  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Factors for area or storeys/ }).click()
  await page.getByRole('option', { name: 'a new table' }).click()
  // a new one begins whole at 50 m² and has 0.9 at 100 m²: without its first row nothing is reduced below 100 m²
  await page.getByRole('button', { name: 'Delete row 1' }).click()
  await type(page, 'row 1 factor', '0.75')
  await saved(page)
  await page.goto(`/p/${id}/paths?case=imposed%2FC`)
  const base = page.getByRole('table', { name: 'Reduced by area or storeys, at the base' })
  // 104.3 m2 are past the first row: 0.75 x 312.9
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('234.7')
  // a smaller area is below it: only C5 is spared anything
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('78.2')
  await expect(base.getByRole('row', { name: /^sum/ })).toContainText('78.2')
  // the strip of C5 bears the factor where one holds: below level 1
  const all = Object.values((await openRecords(request, id)).records)
  const named = (kind: string, name: string) => all.find((one) => one.kind === kind && one['name'] === name)?.id ?? ''
  const floor = named('layout', 'Reading floor')
  const column = all.find((one) => one.kind === 'member' && one['label'] === 'C5' && one['layout'] === floor)?.id ?? ''
  const level = named('level', '1')
  await page.goto(`/p/${id}/paths?case=imposed%2FC&level=${level}&pick=${column}@${level}`)
  const strip = page.getByRole('img', { name: /Force in the column.*the reduced force is solid/ })
  await expect(strip.locator('text')).toHaveText(['0.75'])

  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Imposed load in combinations/ }).click()
  await page.getByRole('option', { name: /^the lower of/ }).click()
  await saved(page)
  await page.goto(`/p/${id}/envelopes`)
  // C5 is spared a quarter, so C2 bears the most of all
  await expect(page.getByRole('heading', { name: 'What governs C2, max' })).toBeVisible()
  await page.getByRole('button', { name: 'C5', exact: true }).click()
  // 1.5 x 0.75 x 312.9 = 352.0
  await expect(page.getByText(/352\.[01]/).first()).toBeVisible()
  await expect(page.getByText(/0\.75 by area or storeys/).first()).toBeVisible()

  // beside psi as well it is asked about, and taken back in one step
  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Imposed load in combinations/ }).click()
  await page.getByRole('option', { name: /by area also together with ψ/ }).click()
  await saved(page)
  await page.getByRole('button', { name: /concerns/ }).click()
  await page.getByRole('button', { name: 'Reduce only where no ψ applies' }).click()
  await saved(page)
  await expect(page.getByRole('button', { name: /reduced where no ψ applies/ })).toBeVisible()
})
