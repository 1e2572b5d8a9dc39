import { expect, test } from '@playwright/test'
import { newProject, saved } from './support'

type Pair = readonly [code: number, value: string | number]

const line = (layer: string, x1: number, y1: number, x2: number, y2: number): readonly Pair[] => [
  [0, 'LINE'],
  [8, layer],
  [10, x1],
  [20, y1],
  [11, x2],
  [21, y2],
]
const circle = (layer: string, x: number, y: number): readonly Pair[] => [
  [0, 'CIRCLE'],
  [8, layer],
  [10, x],
  [20, y],
  [40, 150],
]

/** A bay of 5 by 4 m in millimetres, somewhere in the country. */
const drawing = (() => {
  const [x, y] = [100_000, 200_000]
  const pairs: readonly Pair[] = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$INSUNITS'],
    [70, 4],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...line('STEEL', x, y, x + 5000, y),
    ...line('STEEL', x + 5000, y, x + 5000, y + 4000),
    ...line('STEEL', x + 5000, y + 4000, x, y + 4000),
    ...line('STEEL', x, y + 4000, x, y),
    ...[0, 5000].flatMap((dx) => [0, 4000].flatMap((dy) => circle('COLUMNS', x + dx, y + dy))),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ]
  return pairs.map(([code, value]) => `${code}\n${value}\n`).join('')
})()

test('a plan from a drawing: layers become beams and columns, their ring a panel; what is no drawing is refused', async ({
  page,
  request,
}) => {
  const id = await newProject(request, 'Plan file')
  await page.goto(`/p/${id}/building`)
  await page
    .getByRole('textbox', { name: 'The building in one sentence' })
    .fill('1 x 30 m by 1 x 30 m, 1 storey of 4 m, beams every 30 m, 150 mm concrete, offices')
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Import a plan (DXF)' })).toBeVisible()
  const file = page.getByLabel('DXF drawing of a plan')
  await file.setInputFiles({ name: 'plan.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from('no drawing') })
  await expect(page.getByRole('alert')).toContainText('Not a DXF file.')
  const endless = drawing.replace(/0\nENDSEC\n0\nEOF\n$/, '0\nPOLYLINE\n8\nSTEEL\n0\nVERTEX\n10\n0\n20\n0\n$&')
  await file.setInputFiles({ name: 'plan.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from(endless) })
  await expect(page.getByRole('alert')).toContainText(/the polyline starting in line \d+ has no end/)
  await file.setInputFiles({ name: 'plan.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from(drawing) })
  await expect(page.getByRole('button', { name: /Unit of the drawing/ })).toContainText('millimetres')
  const choose = async (layer: string, use: string) => {
    await page.getByRole('button', { name: new RegExp(`Import layer ${layer} as`) }).click()
    await page.getByRole('option', { name: use, exact: true }).click()
  }
  await choose('STEEL', 'beams')
  // proposed by its name
  await expect(page.getByRole('button', { name: /Import layer COLUMNS as/ })).toContainText('columns')
  await page.getByRole('button', { name: /Position of the drawing/ }).click()
  await page.getByRole('option', { name: /south-west corner/ }).click()
  await expect(page.getByText('4 columns, 4 beams')).toBeVisible()
  await page.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(page.getByRole('button', { name: /^Undo: Import a plan \(DXF\): 4 columns, 4 beams/ })).toBeVisible()
  await saved(page)
})
