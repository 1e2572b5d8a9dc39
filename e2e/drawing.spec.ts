import { expect, test, type Page } from '@playwright/test'
import { balance, find, newProject, openRecords, saved, type, typePlace } from './support'

let project: string
test.beforeEach(async ({ page, request }) => {
  project = await newProject(request, 'Drawing', 'demo')
  await page.goto(`/p/${project}/building`)
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
})

const drawn = async (page: Page, kind: string) => {
  const { request } = page.context()
  return Object.values((await openRecords(request, project)).records).filter((record) => record.kind === kind)
}

/** By the list of what is drawn. */
async function pickB3(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'list' }).click()
  // letters typed on a busy machine may come too far apart to be one word: again, then
  await expect(async () => {
    await page.getByRole('listbox', { name: 'Objects in this view' }).focus()
    await page.keyboard.type('Beam B3,')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'B3' })).toBeVisible({ timeout: 3000 })
  }).toPass()
}

test('a beam by typed grid crossings, undone and made again', async ({ page }) => {
  const before = (await drawn(page, 'member')).length
  await page.getByRole('radio', { name: 'beam', exact: true }).click()
  await typePlace(page, 'A1 + 1.5 m north to A2 + 1.5 m north')
  await expect(page.getByRole('status').filter({ hasText: 'New beam' })).toContainText('7.20 m')
  await saved(page)
  const beams = await drawn(page, 'member')
  expect(beams).toHaveLength(before + 1)
  expect(beams.map(({ path }) => JSON.stringify(path))).toContain('[[0,1.5],[7.2,1.5]]')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Undo: New beam/ }).click()
  await saved(page)
  expect(await drawn(page, 'member')).toHaveLength(before)
  await page.getByRole('button', { name: /^Redo/ }).click()
  await saved(page)
  expect(await drawn(page, 'member')).toHaveLength(before + 1)
})

test('a balcony on a bent beam: drawn by typing, made an arc by its rise, its turning moment said', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Draw more object types' }).click()
  await page.getByRole('option', { name: 'cranked or curved beam' }).click()
  await typePlace(page, 'A1 to A1 + 2 m south + 3.6 m east to A2')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'New cranked or curved beam' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Make straight' }).click()
  const rise = page.getByRole('textbox', { name: 'Arc rise' })
  await expect(rise).toHaveValue('0.00')
  await type(page, 'Arc rise', '-1.8 m')
  await saved(page)
  const path = (await drawn(page, 'member'))
    .map((record) => record.path as [number, number][])
    .find(({ length }) => length > 3)
  // c²/4 = f (2 R - f): R = (3.6²/1.8 + 1.8)/2 = 4.50 m about 2.70 m north of the middle
  for (const [x, y] of path ?? [[0, 0]]) expect(Math.hypot(x - 3.6, y - 2.7)).toBeCloseTo(4.5, 6)
  await page.getByRole('link', { name: 'Paths' }).click()
  const turning = page.getByText('torsion about the chord A to B; the ends must resist this')
  await expect(turning).toBeVisible()
})

test('a beam over three columns: each span by itself, then continuous', async ({ page }) => {
  await page.getByRole('radio', { name: 'beam', exact: true }).click()
  await typePlace(page, 'A1 + 1.5 m south to A3 + 1.5 m south')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('textbox', { name: 'Arc rise' })).toHaveValue('0.00')
  const label = await page.getByRole('textbox', { name: 'Label', exact: true }).inputValue()
  await page.getByRole('radio', { name: 'column', exact: true }).click()
  for (const line of ['A1', 'A2', 'A3']) await typePlace(page, `${line} + 1.5 m south`)
  await page.keyboard.press('Escape')
  await find(page, `member ${label} level 1`)
  // the links to the steps point at what was picked before until the sheet of the beam is there
  await expect(page.getByRole('heading', { name: new RegExp(`\\b${label}$`) })).toBeVisible()
  await page.getByRole('link', { name: 'Building' }).click()
  await page.getByRole('button', { name: 'Spans' }).click()
  await page.getByRole('option', { name: 'continuous over supports' }).click()
  await saved(page)
  await find(page, 'self-weight')
  await page.getByRole('link', { name: 'Paths' }).click()
  await expect(page.getByRole('heading', { name: 'Reactions, continuous over supports' })).toBeVisible()
})

test('a column and a panel by the arrow keys over snaps', async ({ page }) => {
  await page.getByRole('radio', { name: 'panel', exact: true }).click()
  await page.getByTestId('drawing').focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Backspace')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('status').filter({ hasText: 'New panel' })).toBeVisible()
  await saved(page)
  expect((await drawn(page, 'panel')).length).toBeGreaterThan(16)
})

test('a patch and a wall run by pointer and by typing; deleting them again', async ({ page }) => {
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('radio', { name: 'patch', exact: true }).click()
  await typePlace(page, 'A1')
  await typePlace(page, '7.2 m east')
  await typePlace(page, '3 m north')
  await typePlace(page, '7.2 m west', 'Control+Enter')
  await expect(page.getByRole('heading', { name: /^Patch A/ })).toBeVisible()
  await saved(page)
  expect(await drawn(page, 'patch')).toHaveLength(4)

  // another one over it, the tool is still at hand: 3.6 · 1 m of both, where the later one counts
  for (const place of ['A1 + 3.6 m east', '7.2 m east', '1 m north']) await typePlace(page, place)
  await typePlace(page, '7.2 m west', 'Control+Enter')
  await expect(page.getByText(/^replaces A\d+ there$/).first()).toBeVisible()
  await expect(page.getByText('3.6', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Effect of the patch' }).click()
  await page.getByRole('option', { name: 'adds to the load below' }).click()
  await expect(page.getByText('both apply there').first()).toBeVisible()
  await page.getByRole('button', { name: /^Delete A/ }).click()
  await saved(page)

  await page.getByRole('radio', { name: 'wall run', exact: true }).click()
  const picture = page.getByTestId('drawing')
  const box = await picture.boundingBox()
  if (!box) throw new Error('no drawing')
  for (const [x, y] of [
    [0.35, 0.4],
    [0.55, 0.4],
  ] as const)
    await picture.click({ position: { x: box.width * x, y: box.height * y } })
  await page.getByRole('button', { name: 'Finish the wall run' }).click()
  await expect(page.getByRole('heading', { name: /^Wall run W/ })).toBeVisible()
  await saved(page)
  expect(await drawn(page, 'wallRun')).toHaveLength(4)
  await page.getByRole('button', { name: /^Delete W/ }).click()
  await saved(page)
  expect(await drawn(page, 'wallRun')).toHaveLength(3)
})

test('move and repeat what is picked, said in words', async ({ page }) => {
  await pickB3(page)
  await type(page, 'Repeat', 'every 1 m north, 2 times')
  await saved(page)
  const paths = (await drawn(page, 'member')).map(({ path }) => JSON.stringify(path))
  expect(paths).toEqual(expect.arrayContaining(['[[0,1],[7.2,1]]', '[[0,2],[7.2,2]]']))
  await type(page, 'Move', '0.25 m up')
  await expect(page.getByRole('alert')).toContainText('has no direction')
  await type(page, 'Move', '0.25 m north')
  await saved(page)
  expect((await drawn(page, 'member')).map(({ path }) => JSON.stringify(path))).toContain('[[0,0.25],[7.2,0.25]]')
})

test('the handle beside what is picked is dragged to a copy, which is picked then; a drag that is given up makes none', async ({
  page,
}) => {
  await pickB3(page)
  const handle = page.getByTestId('copy handle')
  const before = await drawn(page, 'member')
  const from = await handle.boundingBox()
  if (!from) throw new Error('no handle')
  const [x, y] = [from.x + from.width / 2, from.y + from.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 4, y - 30, { steps: 3 })
  await page.mouse.move(x, y, { steps: 3 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled()
  await page.mouse.down()
  await page.mouse.move(x, y - 30, { steps: 4 })
  await expect(page.getByText(/^\d+\.\d\d m north$/)).toBeVisible()
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^Undo: Copied B3 .* m north$/ })).toBeVisible()
  await saved(page)
  const after = await drawn(page, 'member')
  const [copy] = after.filter(({ id }) => !before.some((record) => record.id === id))
  const origin = before.find(({ id }) => id === copy?.origin)
  expect(after).toHaveLength(before.length + 1)
  const [[x0, y0], [x1, y1]] = origin?.path as [[number, number], [number, number]]
  const north = (copy?.path as [[number, number]])[0][1] - y0
  expect(north).toBeGreaterThan(0)
  expect(copy?.path).toEqual([
    [x0, expect.closeTo(y0 + north, 9)],
    [x1, expect.closeTo(y1 + north, 9)],
  ])
  await expect(page.getByRole('heading', { name: String(copy?.label) })).toBeVisible()
})

test('scope: this one, those like it, one edit for all; where they differ each value can be picked', async ({
  page,
}) => {
  await pickB3(page)
  await expect(page.getByText('this one, on levels 1, 2')).toBeVisible()
  // hand, from the plan: three lines of two beams and five of three are 21; two at the edge of the balcony
  await page.getByRole('button', { name: 'all 23 of “Reading floor”' }).click()
  await expect(page.getByRole('heading', { name: '23 members' })).toBeVisible()
  await page.getByRole('button', { name: 'Select only the 2 with IPE 300' }).click()
  await expect(page.getByRole('heading', { name: '2 members' })).toBeVisible()
  await page.getByRole('button', { name: 'Section', exact: false }).first().click()
  await page.getByRole('option', { name: 'IPE 360' }).click()
  await saved(page)
  await page.getByRole('button', { name: '23 alike' }).click()
  await expect(page.getByRole('heading', { name: '23 members' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Select only/ })).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo: 2 members: section IPE 360/ }).click()
  await saved(page)
  await expect(page.getByRole('button', { name: 'Select only the 2 with IPE 300' })).toBeVisible()
})

test('what is picked elsewhere comes into view in the list and on the sheet', async ({ page }) => {
  await page.getByRole('button', { name: 'list' }).click()
  await expect(page.getByRole('option', { name: /^Panel P1,/ })).toBeVisible()
  await expect(page.getByRole('option', { name: /^Column C15/ })).toHaveCount(0)
  await page
    .getByRole('textbox', { name: /^unit weight of/ })
    .last()
    .scrollIntoViewIfNeeded()
  await expect(page.getByRole('heading', { name: 'Levels' })).not.toBeInViewport()
  // where the open step shows what is found, Find stays in it
  await find(page, 'member C15 level 1')
  await expect(page).toHaveURL(/building/)
  await expect(page.getByRole('option', { name: /^Column C15/ })).toBeInViewport()
  await expect(page.getByRole('heading', { name: 'C15', exact: true })).toBeInViewport()
})

test('several walls are edited as one; a field that differs says so and keeps what it has', async ({ page }) => {
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('button', { name: 'wall run W1' }).click()
  await page.getByRole('button', { name: 'all 2 of “Reading floor”' }).click()
  await expect(page.getByRole('heading', { name: '2 wall runs' })).toBeVisible()
  const weight = page.getByRole('textbox', { name: 'weight of the wall' })
  await expect(weight).toHaveAttribute('placeholder', 'several')
  await weight.focus()
  await weight.press('Enter')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Select only the 1 with 2.30 kN/m²' })).toBeVisible()
  await weight.fill('2.5')
  await weight.press('Enter')
  await saved(page)
  const weights = (await drawn(page, 'wallRun')).map((run) => run['weight'])
  expect(weights.sort()).toEqual([2500, 2500, 2870])
  await expect(
    page.getByRole('button', { name: /^Undo: 2 wall runs: weight of the wall several → 2\.50 kN\/m²/ }),
  ).toBeVisible()
})

test('a place that is not understood is said, and nothing is lost', async ({ page }) => {
  await page.getByRole('radio', { name: 'beam', exact: true }).click()
  await typePlace(page, 'A1')
  await typePlace(page, 'Z9')
  await expect(page.getByRole('alert')).toContainText('Z9')
  await expect(page.getByText('1 point of a beam')).toBeVisible()
})

test('fields: sums and units are understood, an ambiguous number is refused with both readings', async ({ page }) => {
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('button', { name: 'wall run W1' }).click()
  await type(page, 'weight of the wall', '2.5 + 0.37')
  const field = page.getByRole('textbox', { name: 'weight of the wall' })
  await field.fill('1,200')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('can be read as')
  await field.press('Escape')
  await type(page, 'share of openings', '25 %')
  await saved(page)
  const [run] = (await drawn(page, 'wallRun')).filter(
    ({ label, heightRule }) => label === 'W1' && heightRule === 'lessBeam',
  )
  expect(run).toMatchObject({ openingShare: 0.25, typed: { openingShare: '25 %' } })
})

test('a slip by ten is asked about at its place and in the list, and mended in one step', async ({ page }) => {
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('button', { name: 'wall run W2' }).click()
  await type(page, 'weight of the wall', '23')
  await expect(page.getByText('Check whether 2.30 kN/m² is meant.')).toBeVisible()
  await page.getByRole('button', { name: '3 concerns' }).click()
  const list = page.getByRole('dialog', { name: 'Concerns' })
  await list.getByRole('button', { name: 'Set to 2.30 kN/m²' }).click()
  await expect(list.getByRole('listitem')).toHaveCount(2)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('textbox', { name: 'weight of the wall' })).toHaveValue('2.30')
  await page.getByRole('button', { name: /^Undo: Set to 2\.30/ }).click()
  await page.getByRole('region', { name: 'Actions' }).getByRole('button', { name: 'Set to 2.30 kN/m²' }).click()
  await expect(page.getByText('Check whether 2.30 kN/m² is meant.')).toHaveCount(0)
  await saved(page)
})

test('sections, materials and layers come from tables by a word of their name, with where they are from', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Add section' }).click()
  const section = page.getByRole('combobox', { name: 'New section' })
  await section.fill('heb 2')
  await section.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Several match')
  await section.fill('IPE 310')
  await section.press('Enter')
  await expect(page.getByRole('alert')).toContainText('IPE 300 and IPE 330 are')
  await section.fill('tube 100 x 200 x 8')
  await section.press('Enter')
  await expect(section).toHaveCount(0)
  // hand: 20 · 10 − 18.4 · 8.4 cm²
  await expect(page.getByRole('textbox', { name: 'area of tube 100 x 200 x 8' })).toHaveValue('45.4')
  await page.getByRole('button', { name: 'Add material' }).click()
  await page.getByRole('combobox', { name: 'New material' }).fill('C30/37')
  await page.keyboard.press('Enter')
  // beside the concrete that the demo has already
  await expect(page.getByText('EN 1991-1-1 table A.1, from memory')).toHaveCount(2)
  await page.getByRole('textbox', { name: 'unit weight of Reinforced concrete C30/37' }).fill('24.5')
  await page.keyboard.press('Enter')
  await expect(page.getByText('EN 1991-1-1 table A.1, from memory')).toHaveCount(1)
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('button', { name: 'from a table', exact: true }).first().click()
  const layer = page.getByRole('combobox', { name: 'Material of the layer' })
  await layer.fill('granite, syenite')
  await layer.press('ArrowDown')
  await layer.press('Enter')
  // EN 1991-1-1 table A.2 (from memory): 27 to 30 kN/m³, of which the upper is taken; 50 mm of it are 1.50 kN/m²
  await expect(page.getByRole('textbox', { name: /^unit weight of granite/ })).toHaveValue('30.0')
  await expect(page.getByText('EN 1991-1-1 table A.2, from memory')).toBeVisible()
  // the section through the floor has it, over the slab that is weighed elsewhere; hand: 120 mm · 24 kN/m³
  const picture = page.getByRole('img', { name: 'Section through the floor, to scale' }).first()
  await expect(picture).toContainText('granite, syenite, porphyry 50 mm, 1.50 kN/m²')
  await expect(picture).toContainText('slab 120 mm, 2.88 kN/m²')
  await expect(picture).toContainText('The slab is counted in self-weight, not in the build-up.')
  // ASCE 7-16 table C3.1-1 (from memory): what it weighs by area, 10 lb/ft², is a layer by load
  await page.getByRole('button', { name: 'from a table', exact: true }).first().click()
  await layer.fill('suspended metal lath and gypsum')
  await layer.press('ArrowDown')
  await layer.press('Enter')
  await expect(page.getByRole('textbox', { name: 'load of suspended metal lath and gypsum plaster' })).toHaveValue(
    '0.48',
  )
  await expect(page.getByText('ASCE 7-16 table C3.1-1, from memory')).toBeVisible()
  await saved(page)
})

test('a level differs: it gets a copy of its layout, and follows again', async ({ page }) => {
  const before = (await drawn(page, 'member')).length
  await pickB3(page)
  await page.getByRole('button', { name: 'level 1 only, as an independent layout' }).click()
  await expect(page.getByText(/^this one(?!, on levels)/)).toBeVisible()
  await page.getByRole('button', { name: 'Section', exact: false }).first().click()
  await page.getByRole('option', { name: 'IPE 300' }).click()
  await saved(page)
  // hand, from the plan: 23 beams, 11 girders and 15 columns once more, of which one is another now
  const members = await drawn(page, 'member')
  expect(members.length - before).toBe(49)
  const origins = new Map<unknown, (typeof members)[number]>(members.map((member) => [member.id, member]))
  const others = members.filter(
    ({ origin, section }) => origins.has(origin) && origins.get(origin)?.['section'] !== section,
  )
  expect(others.map(({ label }) => label)).toEqual(['B3'])
  await page.getByRole('button', { name: 'follow “Reading floor” again' }).click()
  await saved(page)
  expect(await drawn(page, 'member')).toHaveLength(before)
  // the range can be split from a level up as well
  await page.getByRole('button', { name: /^Layout of level 1|Reading floor Layout of level 1/ }).click()
  await expect(page.getByRole('option', { name: 'make independent' })).toBeVisible()
  await page.keyboard.press('Escape')
})

test('a wall is made of its layers, and its weight is their sum', async ({ page }) => {
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('button', { name: 'wall run W2' }).click()
  await page.getByRole('button', { name: /Wall weight from/ }).click()
  await page.getByRole('option', { name: 'the sum of its layers' }).click()
  // the layer that was typed stays as the first one: 2.30 kN/m²
  await expect(page.getByRole('textbox', { name: 'load of wall' })).toHaveValue('2.30')
  await page.getByRole('button', { name: 'from a table', exact: true }).first().click()
  const layer = page.getByRole('combobox', { name: 'Material of the layer' })
  await layer.fill('gypsum mortar')
  await layer.press('ArrowDown')
  await layer.press('Enter')
  await type(page, 'thickness of gypsum mortar', '15')
  await expect(page.getByRole('img', { name: 'Section through the layers of the wall, to scale' })).toContainText(
    'gypsum mortar 15 mm, 0.27 kN/m²',
  )
  // hand: 2.30 + 0.015 · 18 = 2.57 kN/m² on 1.10 m is 2.83 kN/m
  await expect(page.getByRole('button', { name: '2.57 kN/m², why' })).toBeVisible()
  await expect(page.getByRole('button', { name: '2.83 kN/m, why' }).first()).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: /Wall weight from/ }).click()
  await page.getByRole('option', { name: 'typed' }).click()
  await expect(page.getByRole('textbox', { name: 'weight of the wall' })).toHaveValue('2.30')
  await saved(page)
  expect((await drawn(page, 'buildUp')).every(({ name }) => name !== 'Wall W2')).toBe(true)
})

test('line and point loads: drawn by typing, given a value and a case, on the balance and in the list', async ({
  page,
  request,
}) => {
  const own = await newProject(request, 'Typed loads', 'demo')
  await page.goto(`/p/${own}/actions?case=permanent/typed`)
  // hand: glass screens 2 · 6 m · 0.9 kN/m, the chiller 2 · 18 kN
  await expect.poll(() => balance(page)).toContain('applied 46.8')
  await page.getByRole('radio', { name: 'line load', exact: true }).click()
  await typePlace(page, 'A1')
  await typePlace(page, 'A2')
  await page.keyboard.press('Control+Enter')
  await page.keyboard.press('Escape')
  await type(page, 'line load', '2.5')
  await saved(page)
  // 7.2 m on two floors: 2 · 7.2 · 2.5 = 36
  await expect.poll(() => balance(page)).toContain('applied 82.8')
  await type(page, 'Source of the load', 'facade')
  await page.getByRole('radio', { name: 'point load', exact: true }).click()
  await typePlace(page, 'B2')
  await page.keyboard.press('Escape')
  await type(page, 'point load', '10 + 2')
  await saved(page)
  await expect.poll(() => balance(page)).toContain('applied 106.8')
  await page.getByRole('button', { name: /Nature of the load/ }).click()
  await page.getByRole('option', { name: 'imposed' }).click()
  await expect(page.getByText(/^Imposed load F1 has no use defined in the standard/).first()).toBeVisible()
  await page.getByRole('button', { name: /Use of the load/ }).click()
  await page.getByRole('option', { name: /^C3/ }).click()
  await saved(page)
  await expect.poll(() => balance(page)).toContain('applied 82.8')
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(page.getByRole('option', { name: /^Line load Q3, facade, 7\.20 m, 2\.50 kN\/m/ })).toBeVisible()
})

test('members from a table: what is wrong is said by its row, and all of it goes in at once or not at all', async ({
  page,
}) => {
  const before = (await drawn(page, 'member')).length
  await page.getByRole('button', { name: 'Paste or import: Members from a table' }).click()
  const table = page.getByRole('textbox', { name: 'Table of members' })
  await table.fill(
    'label\tfrom\tto\tsection\tmaterial\nB90\tA1 + 1.5 m north\tA2 + 1.5 m north\tIPE 310\tStructural steel',
  )
  await expect(page.getByRole('alert')).toContainText('Row 2, section: IPE 310 is not a rolled size')
  await expect(page.getByRole('button', { name: /^Add \d/ })).toHaveCount(0)
  await table.fill(
    'label\tfrom\tto\tsection\tmaterial\nB90\tA1 + 1.5 m north\tA2 + 1.5 m north\tIPE 330\tStructural steel\nC90\tA1 + 3 m east\t\tHEB 240\tStructural steel',
  )
  await page.getByRole('button', { name: 'Add 1 beam, 1 column' }).click()
  await saved(page)
  expect(await drawn(page, 'member')).toHaveLength(before + 2)
  expect((await drawn(page, 'section')).map(({ name }) => name)).toContain('IPE 330')
  await page.getByRole('button', { name: /^Undo: Members from a table: 1 beam, 1 column/ }).click()
  await saved(page)
  expect(await drawn(page, 'member')).toHaveLength(before)
})

test('a list of machines: pasted, refused by its row, then all of it in the balance', async ({ page }) => {
  await page.goto(`/p/${project}/actions`)
  await page.getByRole('button', { name: 'Paste or import: Loads from a table' }).click()
  const table = page.getByRole('textbox', { name: 'Table of loads' })
  await table.fill('source\tfrom\tload, kN\nchiller\tA1 + 2 m north\t34.5\ntank\tZ9\t12')
  await expect(page.getByRole('alert')).toContainText('Row 3, from: “Z9” is not an intersection of grid lines')
  await table.fill('source\tfrom\tto\tload, kN\nchiller\tA1 + 2 m north\t\t34.5\npipes\tA1\tA2\t2.0 kN/m')
  await page.getByRole('button', { name: 'Add 1 point load, 1 line load' }).click()
  await saved(page)
  // beside the two feet of the chiller of the demo
  expect(await drawn(page, 'pointLoad')).toHaveLength(3)
  await find(page, 'applied line, point and area loads')
  // glass screens and chiller of the demo weigh 46.8 kN; on two levels 34.5 kN and 7.2 m of 2.0 kN/m each
  await expect.poll(() => balance(page)).toContain(`applied ${(46.8 + 2 * (34.5 + 14.4)).toFixed(1)} kN`)
})

test('walls from a table: refused by its row, then with their net height in the balance', async ({ page, request }) => {
  const own = await newProject(request, 'Walls from a table', 'demo')
  await page.goto(`/p/${own}/actions?case=permanent/walls`)
  const applied = async () => Number(/applied ([\d.]+) kN/.exec(await balance(page))?.[1])
  await expect.poll(applied).toBeGreaterThan(0)
  const before = await applied()
  await page.getByRole('button', { name: 'Paste or import: Walls from a table' }).click()
  const table = page.getByRole('textbox', { name: 'Table of walls' })
  await table.fill('from,to,weight,height\nZ9,A1,2.0 kN/m²,3 m')
  await expect(page.getByRole('alert')).toContainText('Row 2, from: “Z9” is not an intersection of grid lines')
  await table.fill('from,to,weight,height\nA1,A2,2.0 kN/m²,3 m')
  await page.getByRole('button', { name: 'Add 1 wall run' }).click()
  await saved(page)
  // hand: 7.2 m · 3 m · 2.0 kN/m² on both levels of the layout
  await expect.poll(async () => (await applied()) - before).toBeCloseTo(2 * 43.2, 1)
})

test('a flight of stairs hands half to each end; a barrier is handed on in a case of its own', async ({
  page,
  request,
}) => {
  const own = await newProject(request, 'Stairs', 'demo')
  await page.goto(`/p/${own}/actions?case=imposed/C`)
  await expect.poll(() => balance(page)).toContain('applied 2368.8')
  const draw = async (tool: string) => {
    await page.getByRole('button', { name: /Draw more object types/ }).click()
    await page.getByRole('option', { name: tool, exact: true }).click()
  }
  await draw('flight of stairs')
  await typePlace(page, 'A1 + 3.6 m east')
  await typePlace(page, '3 m north')
  await page.keyboard.press('Escape')
  await type(page, 'width of the flight', '1.2')
  await saved(page)
  // its key is that of the flights before: 5.00 kN/m² on 3.0 · 1.2 m, on two floors
  await expect.poll(() => balance(page)).toContain('applied 2404.8')
  await draw('barrier')
  await typePlace(page, 'A1')
  await typePlace(page, '9 m north')
  await page.keyboard.press('Control+Enter')
  await page.keyboard.press('Escape')
  await type(page, 'height of the barrier', '1.5')
  await saved(page)
  // offices press 0.50, people at tables (C1) as well; at 1.20 m at most: 0.60 kNm/m
  await expect(page.getByRole('button', { name: '0.60 kNm/m' })).toBeVisible()
  await find(page, 'Barriers: horizontal load on barriers')
  // 2 · (18 · 1.00 + 9 · 0.50)
  await expect.poll(() => balance(page)).toContain('applied 45.0')
  expect(await balance(page)).toContain('passed to the frame analysis as barrier line loads')
  // a parapet that stands there already: the balcony's is 1.10 m high, 18 m with a use of people at tables
  await page.getByRole('button', { name: 'wall run W2' }).click()
  await page.getByRole('button', { name: 'Barrier along it' }).click()
  await saved(page)
  await expect.poll(() => balance(page)).toContain('applied 63.0')
})
