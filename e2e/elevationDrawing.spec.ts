import { expect, test } from '@playwright/test'
import { builtFrom, openRecords, saved, takeTool, typePlace } from './support'

const sentence = '2 x 6 m by 1 x 6 m, 2 storeys of 3.5 m, beams every 3 m, 150 mm concrete, offices'

test('braces, girts and posts are drawn in an elevation, by typing, by keys and by pointer', async ({
  page,
  request,
}) => {
  const id = await builtFrom(page, request, 'Bracing', sentence)
  await page.getByRole('radio', { name: 'South' }).click()
  await takeTool(page, 'brace')
  await typePlace(page, '1 at Base to 2 at 1')
  await expect(page.getByRole('heading', { name: 'Secondary member' })).toBeVisible()

  // from point to point by keys: the lowest on the left, one to the right, one up
  const picture = page.getByTestId('drawing')
  await picture.focus()
  for (const key of ['ArrowUp', 'Enter', 'ArrowRight', 'ArrowUp', 'Enter']) await picture.press(key)
  await saved(page)

  // in the plane at the back a girt at mid-height, by steps
  await takeTool(page, 'girt')
  await page.getByRole('button', { name: /Drawing plane/ }).click()
  await page.getByRole('option', { name: 'line B' }).click()
  await typePlace(page, '1 at 1.75 m')
  await typePlace(page, '6 m right')
  await saved(page)
  const struts = Object.values((await openRecords(request, id)).records).filter(({ kind }) => kind === 'strut')
  const drawn = struts.map(({ role, path, startHeight, endHeight }) => ({ role, path, startHeight, endHeight }))
  expect(drawn).toContainEqual({
    role: 'brace',
    path: [
      [0, 0],
      [6, 0],
    ],
    startHeight: -3.5,
    endHeight: 0,
  })
  expect(drawn).toContainEqual({
    role: 'girt',
    path: [
      [0, 6],
      [6, 6],
    ],
    startHeight: -1.75,
    endHeight: -1.75,
  })
  expect(struts).toHaveLength(3)

  // what cannot be read is said at its place
  await typePlace(page, '2 at Attic')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.keyboard.press('Escape')
  // and what stands there is picked there
  await picture.focus()
  await picture.press('ArrowUp')
  await expect(page.getByRole('heading', { level: 2 })).toBeVisible()
})

test('what lies in the plane of an elevation is drawn there on its level, and copied along it', async ({
  page,
  request,
}) => {
  const id = await builtFrom(page, request, 'In the plane', sentence)
  const paths = async () =>
    Object.values((await openRecords(request, id)).records).flatMap(({ kind, role, path }) =>
      kind === 'member' ? [`${String(role)} ${JSON.stringify(path)}`] : [],
    )
  await page.getByRole('radio', { name: 'East' }).click()
  await page.getByRole('radio', { name: 'column', exact: true }).click()
  // in the nearest plane, of line 3 at 12 m; seen from the east it is y that runs to the right
  await typePlace(page, '2.5 m at 1')
  await saved(page)
  expect(await paths()).toContain('column [[12,2.5]]')
  await page.getByRole('radio', { name: 'beam', exact: true }).click()
  await typePlace(page, 'A at Roof to 2.5 m at Roof')
  await saved(page)
  expect(await paths()).toContain('beam [[12,0],[12,2.5]]')
  await typePlace(page, 'A at 1 to B at Roof')
  await expect(page.getByRole('alert')).toContainText('is on one level')
  await page.getByRole('button', { name: 'Cancel', exact: true }).click()

  // the handle beside what is picked copies it along the plane
  await page.getByTestId('drawing').press('ArrowRight')
  await expect(page.getByTestId('copy handle')).toBeVisible()
  const before = (await paths()).length
  const { x, y } = (await page.getByTestId('copy handle').boundingBox()) ?? { x: 0, y: 0 }
  await page.mouse.move(x + 9, y + 9)
  await page.mouse.down()
  await page.mouse.move(x + 60, y + 9, { steps: 4 })
  await page.mouse.up()
  await saved(page)
  await expect.poll(async () => (await paths()).length).toBe(before + 1)
})
