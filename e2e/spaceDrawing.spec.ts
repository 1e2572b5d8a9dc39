import { expect, test } from '@playwright/test'
import { builtFrom, openRecords, saved, takeTool, typePlace } from './support'

const sentence = '2 x 6 m by 1 x 6 m, 2 storeys of 3.5 m, beams every 3 m, 150 mm concrete, offices'

test('in space members go from joint to joint, and floors are drawn on the level in view', async ({
  page,
  request,
}) => {
  const id = await builtFrom(page, request, '3D', sentence)
  await page.getByRole('radio', { name: '3D' }).click()
  const picture = page.getByTestId('drawing')
  await expect(picture).toHaveAccessibleName(/in 3D/)
  const drawn = async (kind: string) =>
    Object.values((await openRecords(request, id)).records).filter((record) => record.kind === kind)

  // by typing, from joint to joint
  await takeTool(page, 'brace')
  await typePlace(page, 'A1 at Base to B2 at 1')
  await expect(page.getByRole('heading', { name: 'Secondary member' })).toBeVisible()
  // by steps: up from the last point, then on at its height
  await typePlace(page, 'A2 at Base')
  await typePlace(page, '3.5 m up')
  await saved(page)
  const typed = (await drawn('strut')).map(({ path, startHeight, endHeight }) => ({ path, startHeight, endHeight }))
  expect(typed).toContainEqual({
    path: [
      [0, 0],
      [6, 6],
    ],
    startHeight: -3.5,
    endHeight: 0,
  })
  expect(typed).toContainEqual({
    path: [
      [6, 0],
      [6, 0],
    ],
    startHeight: -3.5,
    endHeight: 0,
  })

  // by keys over the joints as they are seen
  await picture.focus()
  for (const key of ['ArrowUp', 'Enter', 'ArrowRight', 'ArrowUp', 'Enter']) await picture.press(key)
  await saved(page)
  await expect.poll(async () => (await drawn('strut')).length).toBe(3)

  // what is no place is said there
  await typePlace(page, 'B2')
  await expect(page.getByRole('alert')).toContainText('has no height')
  await page.keyboard.press('Escape')

  // on a level as on its plan: typed, and by clicks that fall on the crossings
  await page.getByRole('radio', { name: 'column', exact: true }).click()
  await page.getByRole('button', { name: /Level 1 ·/ }).click()
  await page.getByRole('option', { name: /Level Roof/ }).click()
  await typePlace(page, 'A1 + 3 m east')
  await saved(page)
  expect((await drawn('member')).map(({ path }) => path)).toContainEqual([[3, 0]])
})

test('in space a click draws where it is seen, a handle copies, and a box picks', async ({ page, request }) => {
  const id = await builtFrom(page, request, 'By pointer', sentence)
  await page.getByRole('radio', { name: '3D' }).click()
  const picture = page.getByTestId('drawing')
  const panels = async () =>
    Object.values((await openRecords(request, id)).records).filter(({ kind }) => kind === 'opening')
  await page.getByRole('radio', { name: 'opening', exact: true }).click()
  const box = (await picture.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  for (const [dx, dy] of [
    [-30, 0],
    [20, 20],
    [40, -10],
  ] as const) {
    await page.mouse.move(x + dx, y + dy)
    await page.mouse.click(x + dx, y + dy)
  }
  await page.getByRole('button', { name: 'Finish the opening' }).click()
  await saved(page)
  await expect.poll(async () => (await panels()).length).toBe(1)
  await page.keyboard.press('Escape')

  // the handle of what was drawn drags a copy over the level
  await page.getByRole('button', { name: 'Cancel', exact: true }).click()
  const handle = (await page.getByTestId('copy handle').boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  await page.mouse.move(handle.x + 9, handle.y + 9)
  await page.mouse.down()
  await page.mouse.move(handle.x + 60, handle.y + 20, { steps: 4 })
  await page.mouse.up()
  await saved(page)
  await expect.poll(async () => (await panels()).length).toBe(2)

  // a box round all of it
  await page.keyboard.down('Shift')
  await page.mouse.move(box.x + 4, box.y + 4)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width - 4, box.y + box.height - 4, { steps: 4 })
  await page.mouse.up()
  await page.keyboard.up('Shift')
  await expect(page).toHaveURL(/pick=[^&]*(,|%2C)/)
})
