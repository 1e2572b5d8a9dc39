import { expect, test, type Page } from '@playwright/test'
import { balance, builtFrom, find, newProject, saved, type, typePlace } from './support'

// Every kind of load on a tower, a hall and a house, given on their sheets; the sums are done by hand beside them.

/** What is applied of the case in view, kN. */
async function applied(page: Page): Promise<number> {
  const [, value] = /applied (-?[\d.]+) kN/.exec(await balance(page)) ?? []
  return Number(value)
}

async function expectCase(page: Page, name: string, kilonewtons: number): Promise<void> {
  await find(page, name)
  await expect.poll(() => applied(page)).toBeCloseTo(kilonewtons, 1)
  // nothing is lost on the way down
  await expect.poll(() => balance(page)).toContain('all load reaches a support')
}

/** The weight that counts for the mass of a level, kN. */
async function massWeight(page: Page, level: string): Promise<number> {
  const section = page.getByRole('heading', { name: 'Mass of each level' }).locator('xpath=ancestor::section[1]')
  const line = section.getByText(`level ${level}`, { exact: true }).locator('xpath=ancestor::*[contains(., "kN")][1]')
  const text = (await line.first().innerText()).replace(/[\u202f\u00a0]/g, '').replace(/\s+/g, ' ')
  const [, value] = /([\d.]+) kN/.exec(text) ?? []
  return Number(value)
}

/** Finishes of 0.50 kN/m², partitions, construction and additional seismic mass of a load key; pressures in kN/m². */
async function giveAll(page: Page, key: string, partitionWeight: string | null): Promise<void> {
  await page.getByRole('button', { name: 'by weight', exact: true }).first().click()
  if (partitionWeight !== null) await type(page, `partition weight of ${key}`, partitionWeight)
  const construction = page.getByRole('textbox', { name: `construction, personnel and hand tools, of ${key}` })
  if ((await construction.count()) === 0) await page.getByText('Construction stage, mass').first().click()
  await type(page, `construction, permanent, of ${key}`, '0.4')
  await type(page, `construction, personnel and hand tools, of ${key}`, '0.75')
  await saved(page)
}

/** A wall round the outline of the level in view: its net height in m, its weight in kN/m². */
async function wallRound(page: Page, height: string, weight: string): Promise<void> {
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Wall round the outline' }).click()
  await page.getByRole('button', { name: /Net height$/ }).click()
  await page.getByRole('option', { name: 'typed', exact: true }).click()
  await type(page, 'height of the wall', height)
  await type(page, 'weight of the wall', weight)
}

/** What counts for the mass alone, kN/m²: so much more on a level, kN, and nothing in any case. */
async function giveMass(page: Page, key: string, pressure: string, level: string, more: number): Promise<void> {
  await find(page, 'paths step')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Mass of each level' })).toBeVisible()
  const before = await massWeight(page, level)
  await find(page, 'actions step')
  await type(page, `additional seismic mass of ${key}`, pressure)
  await saved(page)
  await find(page, 'paths step')
  await expect.poll(() => massWeight(page, level)).toBeCloseTo(before + more, 0)
}

test('a tower of forty storeys with every kind of load', async ({ page, request }) => {
  await builtFrom(
    page,
    request,
    'Tower, all loads',
    '3 x 8 m by 3 x 8 m, 40 storeys of 3.5 m, steel beams every 2 m, 150 mm concrete, offices',
  )
  // hand: 40 slabs of 24 · 24 m · 0.15 m · 24 kN/m³; on each 12 girders IPE 600 (156 cm²) and 39 beams IPE 400 (84.5 cm²) of 8 m;
  // 16 columns HEB 300 (149.1 cm²) of 140 m; steel at 78.5 kN/m³
  const [floor, steel] = [24 * 24, 78.5]
  const slabs = 40 * floor * 0.15 * 24
  const beams = 40 * 8 * (12 * 156e-4 + 39 * 84.5e-4) * steel
  const columns = 16 * 140 * 149.1e-4 * steel
  await expectCase(page, 'self-weight', slabs + beams + columns)
  await find(page, 'actions step')
  await giveAll(page, 'Floor', '2.0')
  // 39 floors are offices: finishes 0.50, imposed 3.0 (EN 1991-1-1 table 6.2, from memory), partitions of 2.0 kN/m 0.8 (6.3.1.2(8), from memory)
  await expectCase(page, 'build-ups', 39 * floor * 0.5)
  await expectCase(page, 'imposed: imposed, category B', 39 * floor * 3)
  await expectCase(page, 'partitions, category B', 39 * floor * 0.8)
  await expectCase(page, 'construction, permanent', 39 * floor * 0.4)
  await expectCase(page, 'construction, imposed', 39 * floor * 0.75)

  await giveMass(page, 'Floor', '0.2', '10', floor * 0.2)
  await expectCase(page, 'build-ups', 39 * floor * 0.5)
  // a facade of 3 m and 1.2 kN/m² round the outline of 96 m, on 39 floors
  await wallRound(page, '3', '1.2')
  await expectCase(page, 'walls', 39 * 96 * 3 * 1.2)
})

test('a house with every kind of load', async ({ page, request }) => {
  await builtFrom(
    page,
    request,
    'House, all loads',
    '2 x 4 m by 1 x 6 m, 2 storeys of 3 m, beams every 6 m, 200 mm concrete, homes',
  )
  // hand: two slabs of 8 · 6 m · 0.20 m · 24 kN/m³; on each 3 girders IPE 400 (84.5 cm²) of 6 m and 4 beams IPE 240 (39.1 cm²) of 4 m;
  // 6 columns HEB 240 (106 cm²) of 6 m
  const [floor, steel] = [8 * 6, 78.5]
  const slabs = 2 * floor * 0.2 * 24
  const beams = 2 * (3 * 6 * 84.5e-4 + 4 * 4 * 39.1e-4) * steel
  const columns = 6 * 6 * 106e-4 * steel
  await expectCase(page, 'self-weight', slabs + beams + columns)
  // another factor than 1 is counted, asked about, and taken back in one step
  await find(page, 'actions step')
  await type(page, 'factor on self-weight', '1.1')
  await expectCase(page, 'self-weight', 1.1 * (slabs + beams + columns))
  await expect(page.getByText(/^Self-weight is multiplied by 1\.10/)).toBeVisible()
  await page.getByRole('button', { name: 'Count self-weight once' }).click()
  await expectCase(page, 'self-weight', slabs + beams + columns)
  await expect(page.getByText(/^Self-weight is multiplied/)).toHaveCount(0)
  await giveAll(page, 'Floor', '1.0')
  await expectCase(page, 'build-ups', floor * 0.5)
  await expectCase(page, 'imposed: imposed, category A', floor * 2)
  // partitions of 1.0 kN/m: 0.5 kN/m²
  await expectCase(page, 'partitions, category A', floor * 0.5)
  await expectCase(page, 'construction, permanent', floor * 0.4)
  await expectCase(page, 'construction, imposed', floor * 0.75)
  // a wall of 2.5 m and 3 kN/m² round the outline of 28 m
  await wallRound(page, '2.5', '3')
  await expectCase(page, 'walls', 28 * 2.5 * 3)
  await giveMass(page, 'Floor', '0.3', '1', floor * 0.3)
})

/** A gallery of 6 by 12 m on four columns of its own, 3 m up in the first bay of a hall. */
async function drawGallery(page: Page): Promise<void> {
  await find(page, 'building step')
  await page.keyboard.press('Escape')
  await type(page, 'Elevation of the added level', '3')
  await page.getByRole('button', { name: 'Add layout' }).click()
  await page.getByRole('button', { name: 'Layout of level 1' }).click()
  await page.getByRole('option', { name: 'Layout 2' }).click()
  await page.getByRole('button', { name: /^Level / }).click()
  await page.getByRole('option', { name: /\+3\.00 m/ }).click()
  await page.getByRole('radio', { name: 'column', exact: true }).check({ force: true })
  for (const line of ['A1', 'A2']) for (const out of ['6', '18']) await typePlace(page, `${line} + ${out} m north`)
  await page.keyboard.press('Escape')
  await page.getByRole('radio', { name: 'girder', exact: true }).check({ force: true })
  for (const line of ['A1', 'A2']) await typePlace(page, `${line} + 6 m north to ${line} + 18 m north`)
  for (const out of ['6', '18']) await typePlace(page, `A1 + ${out} m north to A2 + ${out} m north`)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Add a panel' }).click()
  await find(page, 'actions step')
  await page.getByRole('button', { name: 'Add load key' }).click()
  await page.getByRole('button', { name: 'Default load key of the layout' }).click()
  await page.getByRole('option', { name: 'Key 2' }).click()
  await page.getByRole('button', { name: 'Use of Key 2' }).click()
  await page.getByRole('option', { name: /^B / }).click()
  await saved(page)
}

test('a hall with a gallery, with every kind of load', async ({ page, request }) => {
  const id = await newProject(request, 'Hall, all loads')
  await page.goto(`/p/${id}/building`)
  await page.getByRole('button', { name: 'start with a hall' }).click()
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  // hand: 24 · 36 m in plan, 10° of pitch; sheeting 0.25 kN/m² by true area, 0.40 kN/m² of category H in plan
  const roof = 24 * 36
  await expectCase(page, 'build-ups', (roof * 0.25) / Math.cos(Math.PI / 18))
  await expectCase(page, 'imposed, roofs (category H)', roof * 0.4)
  await find(page, 'actions step')
  await giveAll(page, 'Roof', null)
  await expectCase(page, 'build-ups', (roof * 0.75) / Math.cos(Math.PI / 18))
  // what is permanent lies on the roof as it slopes, what is imposed counts in plan
  await expectCase(page, 'construction, permanent', (roof * 0.4) / Math.cos(Math.PI / 18))
  await expectCase(page, 'construction, imposed', roof * 0.75)
  // cladding of 5 m and 0.3 kN/m² round the outline of 120 m
  await wallRound(page, '5', '0.3')
  await expectCase(page, 'walls', 120 * 5 * 0.3)
  await giveMass(page, 'Roof', '0.15', 'Eaves', (roof * 0.15) / Math.cos(Math.PI / 18))

  // offices on a gallery of 6 · 12 m: imposed 3.0, partitions of 2.0 kN/m 0.8; the roof's loads stay beside them
  const gallery = 6 * 12
  await drawGallery(page)
  await giveAll(page, 'Key 2', '2.0')
  await expectCase(page, 'imposed: imposed, category B', gallery * 3)
  await expectCase(page, 'partitions, category B', gallery * 0.8)
  await expectCase(page, 'build-ups', (roof * 0.75) / Math.cos(Math.PI / 18) + gallery * 0.5)
  await expectCase(page, 'imposed, roofs (category H)', roof * 0.4)
  await expectCase(page, 'construction, permanent', (roof * 0.4) / Math.cos(Math.PI / 18) + gallery * 0.4)
  await expectCase(page, 'construction, imposed', (roof + gallery) * 0.75)
  // a wall of 2.5 m and 1 kN/m² round the gallery of 36 m, beside the cladding
  await wallRound(page, '2.5', '1')
  await expectCase(page, 'walls', 120 * 5 * 0.3 + 36 * 2.5)
  await giveMass(page, 'Key 2', '0.2', '1', gallery * 0.2)
  await saved(page)
})
