import { expect, test } from '@playwright/test'
import { newProject, openRecords, saved, type } from './support'

test('imposed load is reduced in combinations, and not beside psi', async ({ page, request }) => {
  const id = await newProject(request, 'Reduced', 'demo')
  // C5 stands under 312.9 kN / 3.00 kN/m2 = 104.3 m2 of category C: 5/7 x 0.7 + 10/104.3 = 0.596, at least 0.6
  await page.goto(`/p/${id}/paths?case=imposed%2FC`)
  const base = page.getByRole('table', { name: 'Reduced for area or storeys, at the base' })
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('312.9')
  // 0.6 x 312.9 = 187.7, and 125.2 spared
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('187.7')
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('125.2')
  await expect(page.getByText('Combinations take it whole.')).toBeVisible()
  // the strip of C5 bears the factor of each level: 0.5 + 10/52.1 = 0.69 below level 2, 0.60 below level 1; nothing at the roof
  const all = Object.values((await openRecords(request, id)).records)
  const named = (kind: string, name: string) => all.find((one) => one.kind === kind && one['name'] === name)?.id ?? ''
  const floor = named('layout', 'Reading floor')
  const column = all.find((one) => one.kind === 'member' && one['label'] === 'C5' && one['layout'] === floor)?.id ?? ''
  const level = named('level', '1')
  await page.goto(`/p/${id}/paths?case=imposed%2FC&level=${level}&pick=${column}@${level}`)
  const strip = page.getByRole('img', { name: /Force in the column.*what is left of it by reduction stands solid/ })
  await expect(strip.locator('text')).toHaveText(['0.69', '0.69', '0.60'])

  await page.goto(`/p/${id}/envelopes`)
  // 1.5 x 312.93 = 469.4
  await expect(page.getByText('469.4').first()).toBeVisible()
  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Imposed load in combinations/ }).click()
  await page.getByRole('option', { name: /the lower of both/ }).click()
  await saved(page)
  await page.goto(`/p/${id}/envelopes`)
  // 1.5 x 0.6 x 312.9 = 281.6
  await expect(page.getByText('281.6').first()).toBeVisible()
  await expect(page.getByText(/0\.60 for area or storeys/).first()).toBeVisible()
  await expect(page.getByText('469.4')).toHaveCount(0)

  // beside psi as well it is asked about, and taken back in one step
  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Imposed load in combinations/ }).click()
  await page.getByRole('option', { name: /lowered by ψ too/ }).click()
  await saved(page)
  await page.getByRole('button', { name: /concerns/ }).click()
  await page.getByRole('button', { name: 'Reduce it where no ψ applies' }).click()
  await saved(page)
  await expect(page.getByRole('button', { name: /reduced where no ψ lowers it/ })).toBeVisible()
})

test('a table of the project’s own stands in place of the standard’s factors', async ({ page, request }) => {
  const id = await newProject(request, 'Own table', 'demo')
  await page.goto(`/p/${id}/combinations`)
  await page.getByRole('button', { name: /Factors for area or storeys/ }).click()
  await page.getByRole('option', { name: 'of a new table' }).click()
  await type(page, 'row 1 from', '100')
  await type(page, 'row 1 factor', '0.75')
  await saved(page)
  await page.goto(`/p/${id}/paths?case=imposed%2FC`)
  const base = page.getByRole('table', { name: 'Reduced for area or storeys, at the base' })
  // 104.3 m2 are past the first row: 0.75 x 312.9
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('234.7')
  // a smaller area is below it: only C5 is spared anything
  await expect(base.getByRole('row', { name: /^C5/ })).toContainText('78.2')
  await expect(base.getByRole('row', { name: /^sum/ })).toContainText('78.2')
})
