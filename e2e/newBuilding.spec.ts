import { expect, test } from '@playwright/test'
import { balance, builtFrom, find, findByKeyboard, saved } from './support'

test('from nothing to a rundown by keyboard alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New building', exact: true })).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'New building', exact: true })).toBeFocused()
  await page.keyboard.press('Enter')

  // the sentence has the focus and stands there already: 3 x 7.2 m by 3 x 6.0 m, 4 storeys
  const sentence = page.getByRole('textbox', { name: 'The building in one sentence' })
  await expect(sentence).toBeFocused()
  await expect(page.getByText(/4 storeys of 3 by 3 bays/)).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'Build', exact: true })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()

  // finishes on the floors, found by name
  await findByKeyboard(page, 'actions step')
  await expect(page.getByRole('heading', { name: 'Level 1', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'by weight', exact: true }).first().focus()
  await page.keyboard.press('Enter')
  await page.getByRole('textbox', { name: 'load of finishes' }).focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('1.25')
  await page.keyboard.press('Enter')
  // hand: 1.25 kN/m² on three floors of 21.6 · 18 m = 1458.0 kN
  await findByKeyboard(page, 'build-ups')
  await expect.poll(() => balance(page)).toContain('Build-ups applied 1458.0 kN')

  // a wall round the outline; its net height follows from the storey less the beam
  await page.getByRole('button', { name: 'Wall round the outline' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('img', { name: 'Section through the wall with its net height' })).toBeVisible()

  // load paths: pick a column with the arrows, and read its rundown
  await findByKeyboard(page, 'paths step')
  await expect(page.getByRole('heading', { name: 'The building' })).toBeVisible()
  await page.getByTestId('drawing').focus()
  await page.keyboard.press('Escape')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('heading', { name: 'Column C6' })).toBeVisible()
  await findByKeyboard(page, 'imposed category B')
  // hand: an inner column takes 7.2 · 6.0 m of each of three office floors at 3.0 kN/m²: 388.8 kN
  const rundown = page.getByRole('table', { name: 'From the roof down' })
  await expect(rundown.getByRole('row').last()).toContainText('388.8')
  // three storeys of offices: (2 + 0.7) / 3 of 388.8 kN (EN 1991-1-1 6.3.1.2(11), from memory)
  const reduced = page.getByRole('table', { name: 'Reduced by area or storeys' })
  await expect(reduced.getByRole('row').last()).toContainText('349.9')
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 3499\.2 kN.*at supports 3499\.2 kN.*all load reaches a support/)
  await saved(page)
})

test('a sentence that is not understood says what it looks for, and nothing is built', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New building', exact: true }).click()
  const sentence = page.getByRole('textbox', { name: 'The building in one sentence' })
  await sentence.fill('a house by the sea')
  await expect(page.getByRole('alert')).toHaveText(/Enter the bays like/)
  await expect(page.getByRole('button', { name: 'Build', exact: true })).toBeDisabled()
})

test('a clinic said in feet is read in feet, by ASCE 7, with its sections and layers', async ({ page, request }) => {
  await builtFrom(
    page,
    request,
    'Clinic',
    '3 x 30 ft by 2 x 25 ft, 3 storeys of 13 ft, beams every 10 ft, 5 in concrete, offices, ASCE 7',
  )
  await expect(page.getByRole('textbox', { name: 'elevation of level Roof' })).toHaveValue('39.00')
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Beam B1,/ }).click()
  await expect(page.getByRole('button', { name: /Section$/ })).toContainText('W18x50')
  await find(page, 'live')
  // hand: 50 psf of offices (ASCE 7-16 table 4.3-1, from memory) on two floors of 90 · 50 ft are 450 kip
  await expect.poll(() => balance(page)).toContain('applied 450.0 kip')
  await find(page, 'actions step')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'from a table', exact: true }).first().click()
  const layer = page.getByRole('combobox', { name: 'Material of the layer' })
  await layer.fill('quarry tile, 3/4 in., on 1/2 in.')
  await layer.press('ArrowDown')
  await layer.press('Enter')
  // table C3.1-1 (from memory): 16 psf of tile on a mortar bed, 144 kip on both
  await find(page, 'build-ups')
  await expect.poll(() => balance(page)).toContain('applied 144.0 kip')
  await page.getByRole('button', { name: 'Partition method of Floor' }).click()
  await page.getByRole('option', { name: 'minimum in the standard' }).click()
  await find(page, 'partitions case')
  // 4.3.2: 15 psf, 135 kip
  await expect.poll(() => balance(page)).toContain('applied 135.0 kip')
  await saved(page)
})
