import { expect, test } from '@playwright/test'
import { balance, find, newProject, saved, type, typePlace } from './support'

test('a hall from one sentence, its roof by true area, its bars in space', async ({ page, request }) => {
  const id = await newProject(request, 'Hall')
  await page.goto(`/p/${id}/building`)
  await page.getByRole('button', { name: 'start with a hall' }).click()
  await expect(page.getByText(/A hall of 6 bays on 7 trusses/)).toBeVisible()
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()

  // hand: category H, 0.40 kN/m² on 24 · 36 m in plan, whatever the pitch
  await expect
    .poll(() => balance(page))
    .toMatch(/applied 345\.6 kN.*on members 345\.6 kN.*at supports 345\.6 kN.*all load reaches a support/)
  // hand: sheeting of 0.25 kN/m² by true area: 0.25 · 864 / cos 10° = 219.3 kN
  await find(page, 'build-ups')
  await expect.poll(() => balance(page)).toContain('Build-ups applied 219.3 kN')

  // a steeper side: 0.25 · 432 / cos 10° + 0.25 · 432 / cos 30° = 109.7 + 124.7 = 234.4 kN
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Roof slope S1/ }).click()
  await expect(page.getByRole('heading', { name: 'S1', exact: true })).toBeVisible()
  await type(page, 'pitch', '30')
  await expect.poll(() => balance(page)).toContain('Build-ups applied 234.4 kN')
  // hand: 432 / cos 30° m²; 12 · tan 30° m
  await expect(page.getByText('498.8')).toBeVisible()
  await expect(page.getByRole('img', { name: /12\.00 m long in plan, 6\.93 m high/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => balance(page)).toContain('Build-ups applied 219.3 kN')

  // a truss: its picture, and its weight by its parts
  await find(page, 'member T2')
  await find(page, 'building step')
  await expect(page.getByRole('img', { name: 'Truss T2 to scale' })).toBeVisible()
  await type(page, 'Bays of the truss', '8')
  await expect(page.getByText(/Enter an integer/)).toHaveCount(0)

  // the whole building in space shares what is picked
  await page.getByRole('radio', { name: '3D' }).click()
  await expect(page.getByTestId('drawing')).toHaveAttribute('aria-label', /in 3D/)
  await expect(page.getByRole('heading', { name: 'T2', exact: true })).toBeVisible()
  await page.getByTestId('drawing').focus()
  await page.keyboard.press('Shift+ArrowLeft')
  await page.keyboard.press('+')
  await page.keyboard.press('0')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Building', exact: true })).toBeVisible()
  await saved(page)
})

test('a brace is drawn by keyboard, and half of its weight goes to each end', async ({ page, request }) => {
  const id = await newProject(request, 'Brace')
  await page.goto(`/p/${id}/building`)
  await page
    .getByRole('textbox', { name: 'The building in one sentence' })
    .fill('1 x 6 m by 1 x 8 m, 1 storey of 4 m, beams every 3 m, 150 mm concrete, offices')
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await find(page, 'self-weight')
  await expect.poll(() => balance(page)).toContain('Self-weight applied')
  const weight = async () => Number(/applied ([\d.]+) kN/.exec(await balance(page))?.[1])
  const before = await weight()
  await page.getByRole('button', { name: 'Draw more object types' }).click()
  await page.getByRole('option', { name: 'brace' }).click()
  const place = page.getByRole('textbox', { name: 'Position of the brace' })
  await place.fill('A1 to A2')
  await place.press('Enter')
  await expect(page.getByText('Secondary member', { exact: true })).toBeVisible()
  // hand: 4 m high over 6 m: 7.21 m; it goes down to the base and up to the level
  await expect(page.getByText('7.21')).toBeVisible()
  await expect.poll(weight).toBeGreaterThan(before)
  await expect.poll(() => balance(page)).toContain('all load reaches a support')
})

test('bracing in the roof of a hall is left out, a rooflight takes its part away, and a column tells it', async ({
  page,
  request,
}) => {
  const id = await newProject(request, 'Roof bracing')
  await page.goto(`/p/${id}/building`)
  await page.getByRole('button', { name: 'start with a hall' }).click()
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  await page.getByRole('button', { name: 'as a list' }).click()

  // a member across the first bay lies in the plane of the panel, and takes load of it
  await page.getByRole('radio', { name: 'beam', exact: true }).click()
  await typePlace(page, 'A1 to A2 + 12 m north')
  await page.keyboard.press('Escape')
  await saved(page)
  await find(page, 'paths step')
  const purlin = page.getByRole('option', { name: /^Purlin L7,/ })
  await page.getByRole('option', { name: /^Purlin L6,/ }).focus()
  await expect(purlin).not.toContainText(/6\.00\sm, 0\.80\skN\/m$/)
  await expect.poll(() => balance(page)).toMatch(/applied 345\.6 kN.*at supports 345\.6 kN.*all load reaches a support/)

  // what the panel's limits make of it: at atan(6 / 12) = 26.6 degrees to the span it counts; by a limit of 30 it is left out
  await page
    .getByRole('option', { name: /^Panel P1,/ })
    .first()
    .click()
  await expect(page.getByText(/not loaded|excluded, 26/)).toHaveCount(0)
  await find(page, 'building step')
  await type(page, 'minimum angle to the span', '30')
  await saved(page)
  await find(page, 'paths step')
  await expect(page.getByText(/excluded, 26\.6\s° to the span/)).toBeVisible()
  await find(page, 'building step')
  await page.getByRole('button', { name: /^Undo: / }).click()
  await saved(page)
  await page.getByRole('option', { name: /^Beam B1,/ }).click()

  // as bracing it takes none: purlins 2 m apart have 0.40 · 2 kN/m again
  await page.getByRole('button', { name: /loaded by panels and walls/ }).click()
  await page.getByRole('option', { name: 'not loaded by panels or walls' }).click()
  await saved(page)
  await find(page, 'paths step')
  await expect(purlin).toContainText(/6\.00\sm, 0\.80\skN\/m$/)

  // a rooflight of 3 by 2 m between two purlins: 0.40 · 6 = 2.4 kN less, half of it on each of them: 4.8 - 1.2 kN
  await find(page, 'building step')
  await page.getByRole('radio', { name: 'opening', exact: true }).click()
  for (const place of ['A1 + 1 m east + 2 m north', '3 m east', '2 m north']) await typePlace(page, place)
  await typePlace(page, '3 m west', 'Control+Enter')
  await page.keyboard.press('Escape')
  await saved(page)
  await expect.poll(() => balance(page)).toMatch(/applied 343\.2 kN.*at supports 343\.2 kN.*all load reaches a support/)
  await find(page, 'paths step')
  await purlin.click()
  await expect(page.getByRole('heading', { name: 'Purlin L7' })).toBeVisible()
  await expect(page.getByRole('main')).toContainText('3.6')

  // the gable truss has 3 · 24 · 0.40 = 28.8 kN less 2.4 · 3.5 / 6 of the rooflight; its south column half less 1.4 · 21 / 24: 13.2 kN
  await find(page, 'member C1')
  await expect(page.getByRole('heading', { name: 'Column C1' })).toBeVisible()
  await expect(page.getByRole('table', { name: 'From the roof down' })).toContainText('13.2')
})
