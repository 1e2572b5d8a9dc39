import { expect, test, type Page } from '@playwright/test'
import { newProject, saved, type } from './support'

async function open(page: Page, id: string) {
  await page.goto(`/p/${id}/building`)
  await expect(page.getByRole('button', { name: 'Empty grid' })).toBeDisabled()
}

test('an empty project starts from an empty grid, and a column stands where two lines cross', async ({
  page,
  request,
}) => {
  await open(page, await newProject(request, 'Empty grid'))
  await type(page, 'Storey heights of the new building', '4, 3 y 3')
  await expect(page.getByRole('alert')).toBeVisible()
  await type(page, 'Storey heights of the new building', '4, 2 x 3')
  await type(page, 'Grid spacings east', '3 x 7.2')
  await type(page, 'Grid spacings north', '6')
  await page.getByRole('button', { name: 'Empty grid' }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Storey heights from the base up' })).toHaveValue('4.00, 2 x 3.00')
  await expect(page.getByRole('textbox', { name: 'position of grid line 4' })).toHaveValue('21.60')
  await page.getByRole('radio', { name: 'column', exact: true }).click()
  const place = page.getByRole('textbox', { name: 'Position of the column' })
  await place.fill('B2')
  await place.press('Enter')
  await saved(page)
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(page.getByRole('option', { name: /^Column C1/ })).toBeVisible()
})

test('an empty project starts from a table of members, by keyboard', async ({ page, request }) => {
  await open(page, await newProject(request, 'From a table'))
  await type(page, 'Storey heights of the new building', '3.5')
  await page.getByRole('button', { name: 'Table of members' }).focus()
  await page.keyboard.press('Enter')
  const table = page.getByRole('textbox', { name: 'Table of members' })
  await expect(table).toBeFocused()
  await table.fill(
    'label,x1,y1,x2,y2,section,material\nB1,0,0,6,0,IPE 300,Structural steel\nC1,0,0,,,HEB 200,Structural steel\nC2,6,0,,,HEB 200,Structural steel',
  )
  await page.getByRole('button', { name: 'Add 1 beam, 2 columns' }).click()
  await saved(page)
})

test('an empty project starts from a drawing: the keyboard is at its import', async ({ page, request }) => {
  await open(page, await newProject(request, 'From a drawing'))
  await type(page, 'Storey heights of the new building', '2 x 3.5')
  await page.getByRole('button', { name: 'DXF plan' }).click()
  await expect(page.getByRole('button', { name: 'Import DXF file' })).toBeFocused()
})
