import { expect, test, type Page } from '@playwright/test'
import { balance, demo, newProject, saved, type } from './support'

const level2 = 'level:7dfadexirebhefbu'
const panel = 'panel:ieew987tongccapp'
const pick = (step: string, id: string, what: string) =>
  `/p/${id}/${step}?level=${level2}&case=imposed%2FC&pick=${what}@${level2}`

const cells = async (page: Page, label: string): Promise<readonly string[]> => {
  const row = page.getByRole('table', { name: 'Two sharing rules' }).getByRole('row').filter({ hasText: label })
  return (await row.getByRole('cell').allInnerTexts()).map((text) => text.trim())
}

test('a panel is shared by another rule, compared first and then in earnest', async ({ page, request }) => {
  const id = await newProject(request, 'Sharing rule', 'demo')
  await page.goto(pick('paths', id, panel))
  // P8 is 7.2 x 6.0 m under 3.00 kN/m2 with B18 along its middle: two bays of 7.2 x 3.0 m
  await expect(page.getByRole('heading', { name: 'Panel P8' })).toBeVisible()
  await expect(page.getByText(/shared one-way, along the span/)).toBeVisible()
  await page.getByRole('button', { name: /Other sharing rule/ }).click()
  await page.getByRole('option', { name: /^two-way, nearest/ }).click()
  // one-way B18 has 3.0 m x 7.2 m x 3.00 = 64.8 kN; two-way two trapezoids of (7.2 + 4.2)/2 x 1.5 m: 17.1 m2 x 3.00 = 51.3 kN
  await expect.poll(() => cells(page, 'beam B18')).toEqual(['64.8', '51.3', '−13.5'])
  // the girders have two triangles each of 3.0 m x 1.5 m / 2: 4.5 m2 x 3.00 = 13.5 kN
  expect(await cells(page, 'beam G3')).toEqual(['0.0', '13.5', '13.5'])
  // 43.2 m2 x 3.00 = 129.6 kN by either rule
  expect(await cells(page, 'sum')).toEqual(['129.6', '129.6', '0.0'])
  const before = await balance(page)

  await page.goto(pick('building', id, panel))
  await page.getByRole('button', { name: /Sharing rule/ }).click()
  await page.getByRole('option', { name: /^two-way, nearest/ }).click()
  await saved(page)
  await page.goto(`${pick('paths', id, panel)}&dividing=shown&list=shown`)
  await expect(page.getByText(/shared two-way, nearest member/)).toBeVisible()
  const takers = page.getByRole('main')
  await expect(takers).toContainText('51.3')
  await expect(takers).toContainText('13.5')
  expect(await balance(page)).toBe(before)
})

test('a panel is shared by stiffness, and says how fine it was solved', async ({ page, request }) => {
  const id = await newProject(request, 'By stiffness', 'demo')
  await page.goto(pick('paths', id, panel))
  await expect.poll(() => balance(page)).toContain('all load reaches a support')
  const before = await balance(page)
  await page.goto(pick('building', id, panel))
  await page.getByRole('button', { name: /Sharing rule/ }).click()
  await page.getByRole('option', { name: /^plate on elastic/ }).click()
  await saved(page)
  await page.goto(pick('paths', id, panel))
  const sheet = page.getByRole('main')
  await expect(page.getByText(/Plate model with triangles of/)).toBeVisible()
  // all of 43.2 m2 x 3.00 = 129.6 kN arrives, some of it at the columns under its corners
  await expect(sheet.getByRole('button', { name: /^column C/ })).toHaveCount(4)
  await expect.poll(() => balance(page)).toBe(before)
  // a plate needs a slab: without it nothing is carried, and it is said
  await page.goto(pick('building', id, panel))
  await type(page, 'Thickness of the slab', '')
  await saved(page)
  await page.goto(pick('paths', id, panel))
  await expect(sheet.getByText(/Assign a slab/)).toBeVisible()
  // on both of its levels: 2 x 129.6 kN
  await expect.poll(() => balance(page)).toContain('259.2 kN not carried')
})

test('the statics of a strip are written out, where it is asked for', async ({ page }) => {
  await page.goto(pick('paths', demo.split('/').at(-1) ?? '', panel))
  // spans of 3.0 m under 3.00 kN/m2: 9.00 kN/m, half to each side; B18 has two halves
  await expect(page.getByText('9.00 · 1.50 / 3.00 = 4.50 to B18, 4.50 to B15')).toBeVisible()
  await type(page, 'Position of the strip', '7.5')
  await expect(page.getByText(/7\.20 m/).first()).toBeVisible()
  await type(page, 'Position of the strip', '2.0')
  await expect(page.getByText('from its west edge, of 7.20 m across the span')).toBeVisible()
  await expect(page.getByRole('img', { name: 'The strip with its loads and reactions' })).toBeVisible()
  // moved by keys: the field follows, and the hand keeps its hold
  const place = page.getByRole('slider', { name: 'From the west edge' })
  await place.focus()
  await page.keyboard.press('Home')
  await expect(page.getByRole('textbox', { name: 'Position of the strip' })).toHaveValue('0.00')
  await page.keyboard.press('End')
  await expect(page.getByRole('textbox', { name: 'Position of the strip' })).toHaveValue('7.20')
  await page.keyboard.press('PageDown')
  await expect(place).toBeFocused()
})

test('area loads left of a line, member loads right of it: the line moves by keys', async ({ page }) => {
  await page.goto(`${demo}/paths?case=imposed%2FC`)
  await page.getByRole('radio', { name: 'area and member loads' }).click()
  const line = page.getByRole('slider', { name: 'Divider: area loads left, member loads right' })
  await expect(line).toHaveValue('50')
  await line.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(line).toHaveValue('49')
  await page.keyboard.press('Home')
  await expect(line).toHaveValue('0')
  await page.getByRole('radio', { name: 'member load', exact: true }).click()
  await expect(line).toHaveCount(0)
})

test('a beam that takes no load hands all of it to what remains', async ({ page, request }) => {
  const id = await newProject(request, 'Excluded load', 'demo')
  const records = (await (await request.get(`/api/projects/${id}`)).json()) as {
    readonly records: Readonly<
      Record<string, { readonly id: string; readonly label?: string; readonly layout?: string }>
    >
  }
  const beam = Object.values(records.records).find(
    ({ label, layout, id: of }) => label === 'B18' && layout === 'layout:ox1n7ax1q1cuof2o' && of.startsWith('member:'),
  )
  if (!beam) throw new Error('no B18')
  await page.goto(pick('building', id, beam.id))
  await page.getByRole('button', { name: /loaded by panels and walls/ }).click()
  await page.getByRole('option', { name: 'not loaded by panels or walls' }).click()
  await saved(page)
  await page.goto(pick('paths', id, panel))
  const takers = page.getByRole('main')
  // half of 129.6 kN to each of the edge beams, none to B18
  await expect(takers.getByText('50.0 %')).toHaveCount(2)
  await expect(takers).toContainText('64.8')
  await expect(takers.getByRole('button', { name: 'beam B18' })).toHaveCount(0)
  await expect.poll(() => balance(page)).toContain('all load reaches a support')
})

test('a beam that takes no imposed load still takes the finishes', async ({ page, request }) => {
  const id = await newProject(request, 'Excluded load of one', 'demo')
  const beam = 'member:ouo40kl9gphx1ile'
  await page.goto(pick('building', id, beam))
  await page
    .getByRole('group', { name: 'Excluded load of' })
    .getByRole('button', { name: 'imposed', exact: true })
    .click()
  await saved(page)
  await page.goto(pick('paths', id, panel))
  const takers = page.getByRole('main')
  // half of 129.6 kN to each of the edge beams, none to B18
  await expect(takers.getByText('50.0 %')).toHaveCount(2)
  await expect(takers).toContainText('64.8')
  await expect(takers.getByRole('button', { name: 'beam B18' })).toHaveCount(0)
  await expect.poll(() => balance(page)).toContain('all load reaches a support')
  // of the finishes half stays with B18, a quarter goes to each edge
  await page.goto(pick('paths', id, panel).replace('imposed%2FC', 'permanent%2Fbuild-ups'))
  await expect(takers.getByText('50.0 %')).toHaveCount(1)
  await expect(takers.getByText('25.0 %')).toHaveCount(2)
  await expect(takers.getByRole('button', { name: 'beam B18' })).toHaveCount(1)
})

test('a beam that one panel spares takes none of that one', async ({ page, request }) => {
  const id = await newProject(request, 'Spared', 'demo')
  await page.goto(pick('building', id, panel))
  await type(page, 'Members excluded from this panel', 'B99')
  await expect(page.getByText('No member has the label “B99”. Enter labels, e.g. B2, G1.')).toBeVisible()
  await type(page, 'Members excluded from this panel', 'B18')
  await saved(page)
  await page.goto(pick('paths', id, panel))
  const takers = page.getByRole('main')
  await expect(takers.getByText('50.0 %')).toHaveCount(2)
  await expect(takers.getByRole('button', { name: 'beam B18' })).toHaveCount(0)
  await expect.poll(() => balance(page)).toContain('all load reaches a support')
})

test('line loads are handed over in pieces, and the sums of the file stay', async ({ page, request }) => {
  const id = await newProject(request, 'Handed over', 'demo')
  await page.goto(`/p/${id}/handover`)
  await page.getByRole('button', { name: /Line loads are exported as/ }).click()
  await page.getByRole('option', { name: 'one uniform load per member' }).click()
  await expect(page.getByText(/segments become \d+\. Force is kept, the centroid is not/)).toBeVisible()
  await expect(page.getByText(/moment at an end of .* if the end were restrained/)).toBeVisible()
  await expect(page.getByText('agrees').first()).toBeVisible()
  await expect(page.getByText('differs')).toHaveCount(0)
})
