import { expect, test } from '@playwright/test'
import { find, newProject, saved, type } from './support'

test('walls found by their value, kept by a name, called back, and repeated instead of others', async ({
  page,
  request,
}) => {
  const id = await newProject(request, 'Selections', 'demo')
  await page.goto(`/p/${id}/actions`)
  await expect(page.getByRole('heading', { name: 'Level 1', exact: true })).toBeVisible()
  // the walls round the reading floors weigh 6.51 and 6.23 kN/m
  await page.keyboard.press('Control+k')
  await page.keyboard.type('wall runs above 6 kN/m')
  await expect(page.getByRole('option', { name: 'Select 2 wall runs above 6.00 kN/m' })).toBeVisible()
  await page.getByRole('option', { name: 'Select 2 wall runs above 6.00 kN/m' }).click()
  await expect(page.getByRole('heading', { name: 'Wall run W1' })).toBeVisible()
  await type(page, 'Save selection as', 'outer walls')
  await expect(page.getByText('saved as “outer walls”')).toBeVisible()

  await page.getByTestId('drawing').focus()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Wall run W1' })).toHaveCount(0)
  await find(page, 'Saved selection outer')
  await expect(page.getByRole('heading', { name: 'Wall run W1' })).toBeVisible()

  // hand: 85.2 m of wall less 20 windows of 1.2 by 1.5 m: 36.0 m²
  await type(page, 'Openings by size', '20 of 1.2 x 1.5 m')
  await expect(page.getByText('36.0', { exact: true })).toBeVisible()
  await type(page, 'Openings by size', '20 windows')
  await expect(page.getByRole('alert')).toContainText('12 of 1.2 x 1.5 m')
  await page.keyboard.press('Escape')

  // what a repeat would take away is said before it is made
  const repeat = page.getByRole('textbox', { name: 'Repeat' })
  await repeat.fill('level Roof instead of what is there')
  await expect(page.getByText('Enter adds 1 copy; 1 wall run there is deleted.')).toBeVisible()
  await expect(page.getByRole('img', { name: 'Roof, level Roof: 1 more, 1 fewer' })).toBeVisible()
  await repeat.press('Enter')
  await saved(page)
  await expect(page.getByRole('button', { name: /^Undo: Repeated W1 level Roof/ })).toBeVisible()
  await page.getByRole('button', { name: 'delete selection' }).click()
  await expect(page.getByText('saved as “outer walls”')).toHaveCount(0)
  await saved(page)
})
