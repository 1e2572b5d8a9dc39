import { expect, test, type Page } from '@playwright/test'
import { balance, saved } from './support'

const sentence =
  '3 x 7.2 m by 3 x 6.0 m, 3 storeys of 3.5 m, steel beams every 3 m, 150 mm concrete, offices, EN recommended'

/** What a person does, counted: a key, a click, or a text typed into a field. */
class Inputs {
  count = 0
  constructor(private readonly page: Page) {}

  async press(key: string): Promise<void> {
    this.count++
    await this.page.keyboard.press(key)
  }

  /** Into the field that has the focus, in place of what stands there. */
  async type(text: string): Promise<void> {
    this.count++
    await this.page.keyboard.type(text)
  }

  async click(role: 'button' | 'link' | 'textbox', name: string | RegExp): Promise<void> {
    this.count++
    await this.page.getByRole(role, { name }).first().click()
  }

  /** A place of a plan that begins at the origin and is so large, m: the view fits it into its margins. */
  async clickOnPlan([x, y]: readonly [number, number], [long, wide]: readonly [number, number]): Promise<void> {
    this.count++
    const frame = await this.page.getByTestId('drawing').boundingBox()
    if (!frame) throw new Error('no drawing')
    const [top, right, bottom, left] = [64, 56, 64, 76]
    const [roomX, roomY] = [frame.width - left - right, frame.height - top - bottom]
    const scale = Math.min(roomX / long, roomY / wide)
    await this.page.mouse.click(
      frame.x + left + (roomX - long * scale) / 2 + x * scale,
      frame.y + top + (roomY - wide * scale) / 2 + (wide - y) * scale,
    )
  }

  /** The first entry of Find for a text. */
  async find(text: string, first: RegExp): Promise<void> {
    await this.press('Control+k')
    await expect(this.page.getByRole('searchbox', { name: 'Find' })).toBeFocused()
    await this.type(text)
    const box = this.page.getByRole('searchbox', { name: 'Find' })
    const found = this.page.getByRole('listbox', { name: 'Found' }).getByRole('option').first()
    await expect(found).toContainText(first)
    await this.press('ArrowDown')
    const id = (await found.getAttribute('id')) ?? ''
    await expect(async () => {
      if ((await box.getAttribute('aria-activedescendant')) !== id) await this.page.keyboard.press('ArrowUp')
      await expect(box).toHaveAttribute('aria-activedescendant', id, { timeout: 500 })
    }).toPass()
    await this.press('Enter')
    await expect(this.page.getByRole('searchbox', { name: 'Find' })).toHaveCount(0)
  }
}

const most = 60

/** hand: 3 levels, of which two are offices: 2 · 21.6 · 18 m · 1.25 kN/m² of finishes; an inner column 2 · 7.2 · 6.0 m · 3.0 kN/m². */
async function isDone(page: Page): Promise<void> {
  const rundown = page.getByRole('table', { name: 'From the roof down' })
  await expect(rundown.getByRole('row').last()).toContainText('259.2')
  await expect.poll(() => balance(page)).toMatch(/applied 2332\.8 kN.*all load reaches a support/)
  await saved(page)
}

test('a first project by keyboard alone: three storeys, walls, the rundown of a column', async ({ page }) => {
  const inputs = new Inputs(page)
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New building', exact: true })).toBeVisible()
  await inputs.press('Tab')
  await inputs.press('Enter')
  await expect(page.getByRole('textbox', { name: 'The building in one sentence' })).toBeFocused()
  await inputs.press('Control+a')
  await inputs.type(sentence)
  await expect(page.getByText(/3 storeys of 3 by 3 bays/)).toBeVisible()
  await inputs.press('Enter')
  // the focus is at the next step of the work
  await expect(page.locator('nav a[href*="/actions"]')).toBeFocused()
  await inputs.press('Enter')
  await expect(page.getByRole('heading', { name: 'Level 1', exact: true })).toBeVisible()
  await inputs.find('wall round', /Wall round the outline/)
  await expect(page.getByRole('img', { name: 'Section through the wall with its net height' })).toBeVisible()
  await inputs.find('member C6 level 1', /member C6, level 1/)
  await expect(page.getByRole('heading', { name: 'Column C6' })).toBeVisible()
  await inputs.find('imposed category B', /imposed, category B/)
  await isDone(page)
  process.stdout.write(`a first project by keyboard: ${inputs.count} inputs\n`)
  expect(inputs.count).toBeLessThanOrEqual(most)
})

test('a first project by mouse: three storeys, finishes, walls, the rundown of a column', async ({ page }) => {
  const inputs = new Inputs(page)
  await page.goto('/')
  await inputs.click('button', 'New building')
  await inputs.click('textbox', 'The building in one sentence')
  await inputs.press('Control+a')
  await inputs.type(sentence)
  await expect(page.getByText(/3 storeys of 3 by 3 bays/)).toBeVisible()
  await inputs.click('button', 'Build')
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  await inputs.click('link', /Actions/)
  await inputs.click('button', 'by weight')
  await inputs.click('textbox', 'load of finishes')
  await inputs.press('Control+a')
  await inputs.type('1.25')
  await inputs.press('Enter')
  await inputs.click('button', 'Wall round the outline')
  await expect(page.getByRole('img', { name: 'Section through the wall with its net height' })).toBeVisible()
  await inputs.click('link', /Paths/)
  await expect(page.getByRole('heading', { name: 'The building' })).toBeVisible()
  await inputs.clickOnPlan([7.2, 6], [21.6, 18])
  await expect(page.getByRole('heading', { name: 'Column C6' })).toBeVisible()
  await isDone(page)
  process.stdout.write(`a first project by mouse: ${inputs.count} inputs\n`)
  expect(inputs.count).toBeLessThanOrEqual(most)
})
