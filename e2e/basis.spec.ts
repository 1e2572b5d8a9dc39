import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { balance, builtFrom, newProject, openRecords, saved, type } from './support'

test('the family is changed: uses, loads and combinations follow, and it is undone in one step', async ({
  page,
  request,
}) => {
  const project = await newProject(request, 'Families', 'demo')
  await page.goto(`/p/${project}/basis`)
  await page.getByRole('button', { name: /Design standards/ }).click()
  await page.getByRole('option', { name: 'ASCE 7' }).click()
  // a velocity that is meant otherwise there: asked about first, then emptied in the same change
  await expect(page.getByText(/The wind velocity of 26\.0 m\/s is a 10-minute mean at 10 m/)).toBeVisible()
  await page.getByRole('button', { name: 'Change to ASCE 7' }).click()
  await saved(page)
  const velocity = async () =>
    Object.values((await openRecords(request, project)).records).find(({ kind }) => kind === 'basis')?.[
      'basicWindVelocity'
    ]
  expect(await velocity()).toBeNull()
  const table = page.getByRole('table', { name: 'Live loads by use' })
  await expect(table.getByRole('row', { name: /dining rooms, restaurants 4\.79 .* Reading room/ })).toBeVisible()
  await page.getByRole('link', { name: /Envelopes/ }).click()
  await expect(page.getByRole('button', { name: /Rules/ })).toContainText('strength (LRFD), 2.3.1')
  await expect(page.getByText(/^by LRFD 2; next/)).toBeVisible()
  await page.getByRole('link', { name: /Basis/ }).click()
  await page.getByRole('button', { name: /^Undo: .*family Eurocodes → ASCE 7/ }).click()
  await saved(page)
  // hand: two floors of (388.8 - 9 - 43.2) · 3.00 and 25.92 · 5.00 kN/m², and of two flights of 4.5 m² with 5.00
  await expect.poll(() => balance(page)).toContain('applied 2368.8')
  expect(await velocity()).toBe(26)
})

test('a set of values leaves as a file, comes back edited, and a broken one is refused at its place', async ({
  page,
  request,
}) => {
  const project = await newProject(request, 'Sets', 'demo')
  await page.goto(`/p/${project}/basis`)
  await page.getByRole('button', { name: /National Annex$/ }).click()
  await page.getByRole('option', { name: 'Germany' }).click()
  await saved(page)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export Germany as a file' }).click(),
  ])
  const text = readFileSync(await download.path(), 'utf8')
  const input = page.getByLabel('Value set file')
  const load = (name: string, content: string) =>
    input.setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
  await load('broken.json', text.replace('"value": 2000', '"value": "two"'))
  await expect(page.getByRole('alert')).toContainText('A finite number is expected')
  await load('ours.json', text.replace('"name": "Germany"', '"name": "Germany, our office"'))
  await expect(page.getByRole('button', { name: /National Annex$/ })).toContainText('Germany, our office')
  await saved(page)
  const { records } = await openRecords(request, project)
  const layers = Object.values(records).filter(({ kind }) => kind === 'layer')
  expect(layers.map(({ name }) => name)).toEqual(['Germany, our office'])
})

test('facts of the project are kept; a day that is none is refused beside the field', async ({ page, request }) => {
  const project = await newProject(request, 'Facts')
  await page.goto(`/p/${project}/basis`)
  await type(page, 'Client', 'Aldermere Council')
  await type(page, 'design working life', '50')
  await type(page, 'Date', '2026-02-30')
  await expect(page.getByRole('alert')).toContainText('year-month-day')
  await type(page, 'Date', '2026-02-27')
  await saved(page)
  const [basis] = Object.values((await openRecords(request, project)).records).filter(({ kind }) => kind === 'basis')
  expect(basis).toMatchObject({ client: 'Aldermere Council', workingLife: 50, date: '2026-02-27' })
})

test('the site: by its address or on the map, taken over in one step, and each value says where it came from', async ({
  page,
  request,
}) => {
  const project = await newProject(request, 'Site')
  await page.goto(`/p/${project}/basis`)
  await type(page, 'Address', 'Nowhere')
  await page.getByRole('button', { name: 'Search', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('Known towns: Aldermouth, Saltmarsh End, Marrowfield')
  await type(page, 'Address', '3 Mill Lane, Thornby')
  await page.getByRole('button', { name: 'Search', exact: true }).click()
  await expect(page.getByText('wind, zone 1')).toBeVisible()
  await page.getByRole('button', { name: 'Show the map' }).click()
  // a click on the sea is answered in words; one inland finds the place
  const map = page.getByTestId('site-map')
  await map.click({ position: { x: 10, y: 200 } })
  await expect(page.getByRole('alert')).toContainText('at sea')
  await type(page, 'Kilometres east and north', '24')
  await expect(page.getByText('Enter kilometres east and north, like 12.5; 8.0.')).toBeVisible()
  await type(page, 'Kilometres east and north', '24; 19')
  await expect(page.getByText('wind, zone 2')).toBeVisible()
  await page.getByRole('button', { name: 'Marrowfield' }).click()
  await expect(page.getByText('wind, zone 2')).toBeVisible()
  await page.getByRole('button', { name: 'Use these values' }).click()
  await saved(page)
  await expect(page.getByText('from Aldermere site data (invented), zone 2')).toBeVisible()
  await type(page, 'basic wind velocity', '27')
  await expect(page.getByText('entered; Aldermere site data (invented) says 26.0 m/s')).toBeVisible()
  await saved(page)
  const [basis] = Object.values((await openRecords(request, project)).records).filter(({ kind }) => kind === 'basis')
  expect(basis).toMatchObject({ place: 'Marrowfield', altitude: 84, basicWindVelocity: 27, groundSnow: 784 })
})

test('the pressure of the wind by IS 875-3, written out, and by another terrain', async ({ page, request }) => {
  const project = await builtFrom(
    page,
    request,
    'Wind of another family',
    '2 x 6 m by 2 x 6 m, 5 storeys of 3.5 m, beams every 3 m, 150 mm concrete, offices, IS 875',
  )
  await page.goto(`/p/${project}/basis`)
  await type(page, /wind velocity/, '47')
  // hand: k_2 of category 2 at 17.5 m is 1.06: 0.9 · 0.6 · (47 · 1.06)² = 1.34 kN/m²
  await expect(page.getByRole('link', { name: /^Basis/ })).toContainText(/pd 1\.34\skN\/m² at 17\.50\sm/)
  await expect(page.getByRole('heading', { name: 'Design wind pressure at the top' })).toBeVisible()
  await page.getByRole('button', { name: /Terrain category/ }).click()
  await page.getByRole('option', { name: /^4 ·/ }).click()
  // hand: 0.80 in category 4 up to 20 m
  await expect(page.getByRole('link', { name: /^Basis/ })).toContainText(/pd 0\.76\skN\/m²/)
  await saved(page)
})

test('the source of a parameter is one click away: its clause, its table with the row marked, its picture', async ({
  page,
  request,
}) => {
  const project = await newProject(request, 'Sources', 'demo')
  await page.goto(`/p/${project}/basis`)
  const why = page.getByRole('complementary', { name: 'Why this number' })
  const ask = async (fold: string, field: string) => {
    await page.getByRole('button', { name: new RegExp(fold) }).click()
    const line = page
      .getByRole('textbox', { name: field })
      .locator('xpath=ancestor::*[.//button[contains(@aria-label, "why?")]][1]')
    await line.getByRole('button', { name: /why\?/ }).first().click()
  }
  await ask('^.{0,2}Imposed loads by use', 'q_k, uniform load, C3')
  await expect(why.getByText('EN 1991-1-1 table 6.2, EN, recommended values, from memory')).toBeVisible()
  await expect(why.locator('tr[aria-current]')).toHaveText(/C3 · museums, halls5\.004\.01\.00uses it/)
  await expect(why.locator('td[data-read]')).toHaveText('5.00')
  await expect(why.getByText(/recommended 5\.00\skN\/m²; may be 0\.00\skN\/m² to 100\.00\skN\/m²/)).toBeVisible()
  // the foyers of two floors: 25.92 m², and flights of stairs of 9 m² in plan
  await expect(why.getByRole('img', { name: /Use in this building/ })).toContainText(/34\.9\sm².*34\.9\sm²/)
  await ask('^.{0,2}Partial factors', 'γ_Q, variable, unfavourable')
  await expect(why.locator('tr[aria-current]')).toContainText('variable, unfavourable')
  // 1.5 · 2368.8 kN
  await expect(why.getByRole('img', { name: /times the factor/ })).toContainText(/2\s368\.8\skN → 3\s553\.2\skN/)
  // a table that is read between its points: 1.00 kN/m of partitions on the reading room
  await page.goto(`/p/${project}/actions?case=imposed/C`)
  await page.getByRole('button', { name: '0.50 kN/m², why?' }).first().click()
  await expect(why.locator('tr[aria-current]')).toContainText('allowance')
  await expect(why.locator('td[data-read]')).toHaveText('0.50')
  await expect(why.getByRole('img', { name: /this building at 1\.00/ })).toBeVisible()
  // deeper in a chain it is asked for
  await page.goto(`/p/${project}/actions?case=wind/west`)
  await page.getByRole('button', { name: '1.03 kN/m², why?' }).first().click()
  await why.getByRole('button', { name: 'Where z0 comes from' }).first().click()
  await expect(why.locator('tr[aria-current]')).toContainText(/II.*0\.050/)
  await expect(why.getByRole('img', { name: /Wind pressure at the levels/ })).toBeVisible()
})
