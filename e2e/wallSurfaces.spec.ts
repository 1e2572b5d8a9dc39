import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, saved, typePlace } from './support'

test('a facade takes wind: girders, columns and levels get what one works out by hand', async ({ page, request }) => {
  const id = await builtFrom(
    page,
    request,
    'Facade',
    '3 x 7.2 m by 3 x 6.0 m, 4 storeys of 3.50 m, steel beams every 3 m, 150 mm concrete, offices, EN recommended.',
  )
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Draw more object types' }).click()
  await page.getByRole('option', { name: 'pressure surface' }).click()
  await typePlace(page, 'A1 to A4', 'Control+Enter')
  await expect(page.getByRole('status').filter({ hasText: 'New pressure surface' })).toBeVisible()
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'add pressure' }).click()
  await page.getByRole('button', { name: /Wind direction of pressure 1/ }).click()
  await page.getByRole('option', { name: 'from the south' }).click()
  const top = page.getByRole('textbox', { name: 'pressure 1 at the top' })
  await top.fill('1.0')
  await top.press('Enter')
  // even until its foot is typed otherwise
  await expect(page.getByRole('textbox', { name: 'pressure 1 at the foot' })).toHaveValue('1.00')
  await saved(page)

  // 21.6 by 3.5 m: 75.6 kN on each of three levels, half of it up and half down
  const sheet = page.getByRole('region', { name: 'Actions' })
  await sheet.getByRole('button', { name: 'show wind from the south' }).click()
  await expect(sheet).toContainText(/applied.*75\.6/s)
  await expect(sheet).toContainText(/supported by\s*level 1\s*37\.8/)
  await expect(sheet).toContainText(/supported by\s*level Base\s*37\.8/)
  await expect.poll(() => balance(page)).toContain('applied 226.8 kN')

  // from column to column each inner one takes 7.2 by 3.5 m
  await sheet.getByRole('button', { name: /How the surface spans/ }).click()
  await page.getByRole('option', { name: 'from column to column' }).click()
  await expect(sheet).toContainText(/column\s*C\d+\s*25\.2/)
  await expect(sheet).toContainText(/column\s*C\d+\s*12\.6/)

  // the storey forces of the wind, where none is derived, are what presses
  await page.goto(`/p/${id}/paths?level=1&case=wind%2Fsouth`)
  const paths = page.getByRole('region', { name: 'Paths' })
  await expect(paths).toContainText(/level 3\s*37\.8/)
  await expect(paths).toContainText(/level 2\s*75\.6/)
})
