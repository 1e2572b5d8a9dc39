import { expect, test, type Page } from '@playwright/test'
import { balance, builtFrom, find, saved, type, typePlace } from './support'

/** A stiff element of a typed stiffness, drawn by typing, MN/m. */
async function draw(page: Page, from: string, to: string, stiffness: string): Promise<void> {
  await page.getByRole('button', { name: /Draw more object types/ }).click()
  await page.getByRole('option', { name: 'lateral element', exact: true }).click()
  await typePlace(page, from)
  await typePlace(page, to)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Lateral element' })).toBeVisible()
  const sort = page.getByRole('button', { name: /Type$/ })
  if (!(await sort.innerText()).includes('typed')) {
    await sort.click()
    await page.getByRole('option', { name: 'entered stiffness' }).click()
  }
  await type(page, 'stiffness', stiffness)
  await saved(page)
}

test('storey forces are shared among stiff elements, with torsion, down to the ground', async ({ page, request }) => {
  await builtFrom(
    page,
    request,
    'Held',
    '2 x 4 m by 1 x 6 m, 2 storeys of 3 m, beams every 6 m, 200 mm concrete, homes',
  )

  // one case: 20 kN on the first floor, 40 kN on the roof, eastwards at the centre of mass (4; 3)
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Storey forces 1' })).toBeVisible()
  await type(page, 'force on level 1', '20')
  await type(page, /force on level (2|Roof)/, '40')
  await saved(page)
  await expect.poll(() => balance(page)).toContain('applied 60.0 kN → passed to the frame analysis as storey forces')

  // along the sides: 300 and 100 MN/m eastwards in the south and the north, 200 MN/m in the west and the east
  await find(page, 'building step')
  for (const level of ['1', '2']) {
    await page.getByRole('button', { name: /^Level/ }).click()
    await page.getByRole('option', { name: new RegExp(`^(Level )?${level === '2' ? '(2|Roof)' : level} ·`) }).click()
    await draw(page, '2; 0', '4; 0', '300')
    await draw(page, '2; 6', '4; 6', '100')
    await draw(page, '0; 2', '0; 4', '200')
    await draw(page, '8; 2', '8; 4', '200')
  }
  await expect.poll(() => balance(page)).toContain('applied 60.0 kN → to ground through lateral elements 60.0 kN')

  await find(page, 'paths step')
  // the centre of stiffness at y = 6 · 100 / 400 = 1.5 m, so T = 40 · 1.5 = 60 kNm clockwise
  const storeys = page.getByRole('table', { name: 'By storey' })
  await expect(storeys.getByRole('row').nth(1)).toContainText('−60.0')
  await expect(storeys.getByRole('row').nth(2)).toContainText('60.0')
  await expect(storeys.getByRole('row').nth(2)).toContainText('−90.0')
  // J = 300 · 1.5² + 100 · 4.5² + 2 · 200 · 4² = 9100 MNm: E1 takes 60 · 3/4 − 90 · 300 · 1.5 / 9100 = 40.5 kN
  // a row leads to its level, by a click anywhere on it or by key
  await storeys.getByRole('row').nth(1).click()
  await expect(page.getByRole('table', { name: /^Lateral elements under level (Roof|2)$/ })).toBeVisible()
  await storeys.getByRole('row').nth(2).getByRole('button').focus()
  await page.keyboard.press('Enter')
  const elements = page.getByRole('table', { name: 'Lateral elements under level 1' })
  await expect(elements.getByRole('row', { name: /^E1/ })).toContainText('40.5')
  await expect(elements.getByRole('row', { name: /^E2/ })).toContainText('19.5')
  // 200 · 4 · 90 / 9100 = 7.9 kN across
  await expect(elements.getByRole('row', { name: /^E3/ })).toContainText('7.9')
  await expect(elements.getByRole('row', { name: /^E4/ })).toContainText('−7.9')
  // over its foot E1 has 27.03 · 3 + 40.55 · 3 = 202.7 kNm
  await expect(elements.getByRole('row', { name: /^E1/ })).toContainText('202.7')
  await elements.getByRole('button', { name: '40.5 kN, why?' }).click()
  await expect(page.getByText('from torsion').first()).toBeVisible()
  await page.keyboard.press('Escape')

  // two of them away: nothing holds the storey across any more, nor against turning
  await find(page, 'building step')
  await page.getByRole('button', { name: 'as a list' }).click()
  for (const label of ['E3', 'E4']) {
    await page.getByRole('option', { name: new RegExp(`^Lateral element ${label}`) }).click()
    await page.getByRole('button', { name: `Delete ${label}` }).click()
    await saved(page)
  }
  await find(page, 'actions step')
  await type(page, 'direction of the force', '90')
  await saved(page)
  await expect.poll(() => balance(page)).toContain('60.0 kN not resisted')
})

test('an earthquake by IS 1893-1: written out, shared by the square of the height, by another zone', async ({
  page,
  request,
}) => {
  const id = await builtFrom(
    page,
    request,
    'Seismic',
    '2 x 6 m by 1 x 6 m, 3 storeys of 3 m, beams every 6 m, 200 mm concrete, offices, IS 875',
  )
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('button', { name: /Basis of storey forces/ }).click()
  await page.getByRole('option', { name: 'IS 1893-1, equivalent static method' }).click()
  await saved(page)
  // hand: 0.075 · 9^0.75 = 0.390 s is short of 0.55 s, so 2.5: 0.10 / 2 · 1 / 3 · 2.5 = 0.0417
  await expect(page.getByText('0.390').first()).toBeVisible()
  await expect(page.getByText('0.0417').first()).toBeVisible()
  const force = async (level: string): Promise<number> => {
    const text = await page.getByRole('button', { name: /kN, why\?/ }).allInnerTexts()
    const at = { Roof: 1, '2': 2, '1': 3 }[level] ?? 0
    return Number.parseFloat((text[at] ?? '').replace(',', ''))
  }
  // equal floors: 4 to 1, to what a tenth of a kilonewton allows
  expect(Math.abs((await force('2')) / (await force('1')) - 4)).toBeLessThan(0.1)
  const before = await balance(page)
  const applied = (text: string) => Number(/applied ([\d.]+)/.exec(text)?.[1])

  // zone IV has 0.24: 2.4 times as much
  await page.goto(`/p/${id}/basis`)
  await page.getByRole('button', { name: /Seismic \d+/ }).click()
  await type(page, /^Z, zone/, '0.24')
  await saved(page)
  await find(page, 'storey forces 1')
  await expect.poll(async () => applied(await balance(page)) / applied(before)).toBeCloseTo(2.4, 1)
})
