import { expect, test, type Page } from '@playwright/test'
import { find, newProject, openRecords, saved, type, typePlace } from './support'

/** Middle of a column on the plan of the building step, in pixels of the page, and how it is drawn; `before`: how another one was. */
async function placeOf(page: Page, column: string, before?: string): Promise<readonly [number, number, string]> {
  await find(page, column)
  await page.locator('nav a[href*="/building"]').click()
  await expect(page.getByRole('textbox', { name: 'position of grid line 2', exact: true })).toBeVisible()
  const drawing = await page.getByTestId('drawing').boundingBox()
  const picked = page.locator('path[data-kind="picked"][data-shape="point"]').first()
  // what was picked before stays drawn until the drawing comes anew
  if (before !== undefined) await expect(picked).not.toHaveAttribute('d', before)
  const d = (await picked.getAttribute('d')) ?? ''
  const [x = NaN, y = NaN] = (/^M([\d.-]+) ([\d.-]+)/.exec(d) ?? []).slice(1).map(Number)
  return [(drawing?.x ?? 0) + x + 8, (drawing?.y ?? 0) + y + 8, d]
}

const pointsOf = async (request: Parameters<typeof openRecords>[0], id: string): Promise<string> =>
  JSON.stringify(
    Object.values((await openRecords(request, id)).records).flatMap(({ kind, path }) =>
      kind === 'member' ? [path] : [],
    ),
  )

test('the grid: spacings that go on, a skew line, lines about a point; a column where they cross', async ({
  page,
  request,
}) => {
  const own = await newProject(request, 'Grid', 'demo')
  await page.goto(`/p/${own}/building`)
  await type(page, 'Further spacings, x', '2 x 5')
  await type(page, 'More storeys', '2 x 3.5, 4.2')
  await saved(page)
  // the roof stands at 10.80 m
  await expect(page.getByRole('textbox', { name: 'elevation of level 7', exact: true })).toHaveValue('22.00')
  // the hall ends at line 9, 22.2 + 4 · 6 = 46.2 m
  await expect(page.getByRole('textbox', { name: 'position of grid line 11', exact: true })).toHaveValue('56.20')
  await type(page, 'Skew, radial or circular grid lines', 'A1 to D4')
  await type(page, 'Skew, radial or circular grid lines', 'about A1: 3 lines every 200°')
  await expect(page.getByText('3 lines every 200° exceed a full circle.')).toBeVisible()
  await type(page, 'Skew, radial or circular grid lines', 'about A1: rings at 30 m')
  await expect(page.getByRole('textbox', { name: /^position of grid line/ })).toHaveCount(16)
  await page.getByRole('radio', { name: 'column', exact: true }).click()
  await typePlace(page, 'S1B')
  await page.keyboard.press('Escape')
  await saved(page)
  // on the diagonal of 21.6 by 21 m, 9 m up: 9 · 21.6 / 21 = 9.257 m east
  const columns = Object.values((await openRecords(request, own)).records).filter(({ role }) => role === 'column')
  const found = columns.map(({ path }) => (path as readonly (readonly [number, number])[])[0] ?? [0, 0])
  expect(found.some(([x, y]) => Math.abs(x - 9.257142857) < 1e-6 && Math.abs(y - 9) < 1e-9)).toBe(true)
})

test('a grid line is dragged by its label, and takes what stands on it along', async ({ page, request }) => {
  const own = await newProject(request, 'Drag', 'demo')
  await page.goto(`/p/${own}/building`)
  await expect(page.getByRole('textbox', { name: 'position of grid line 2', exact: true })).toBeVisible()
  const before = await pointsOf(request, own)
  expect(before).toContain('[7.2,0]')
  // columns at crossings A2 and D2 tell where line 2 runs and how large a metre is
  const [x, south, drawn] = await placeOf(page, 'member C2, level 1')
  const [, north] = await placeOf(page, 'member C13, level 1', drawn)
  const metre = (south - north) / 21
  await page.mouse.move(x, north - 34)
  await page.mouse.down()
  await page.mouse.move(x + metre * 0.5, north - 34, { steps: 4 })
  await page.mouse.move(x + metre, north - 34, { steps: 4 })
  await expect(page.getByText(/^2 at 8\.\d\d m$/)).toBeVisible()
  await page.mouse.up()
  await saved(page)
  const after = await pointsOf(request, own)
  expect(after).not.toContain('[7.2,')
  expect(after).toMatch(/\[8\.(1|2|15|25),0\]/)
  // and back in one step
  await page.getByRole('button', { name: 'Undo' }).click()
  await saved(page)
  expect(await pointsOf(request, own)).toBe(before)
  // by its field, leaving what stands there
  await page.getByRole('button', { name: /When a grid line moves/ }).click()
  await page.getByRole('option', { name: 'leaves members in place' }).click()
  await type(page, 'position of grid line 2', '8')
  await saved(page)
  expect(await pointsOf(request, own)).toBe(before)
})
