import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { balance, demo, find } from './support'

const steps = [
  ['basis', 'Basis', 'Peak velocity pressure at the top'],
  ['building', 'Building', 'Levels'],
  ['actions', 'Level 1', 'Floor loads'],
  ['paths', 'The building', 'By level'],
  ['combinations', 'Combinations', 'Rules'],
  ['envelopes', 'Envelopes', 'Maximum and minimum'],
  ['handover', 'Handover', 'Files'],
] as const

/** Buttons and links whose accessible name does not contain their visible words (WCAG 2.5.3), spaces and signs apart. */
const namesApart = (page: Page) =>
  page.evaluate(() => {
    const plain = (text: string) => text.replace(/[^\p{L}\p{N}]+/gu, '').toLowerCase()
    const byIds = (ids: string) => ids.split(' ').map((id) => document.getElementById(id)?.textContent ?? '')
    const nameOf = (element: Element) => {
      const by = element.getAttribute('aria-labelledby')
      const own = element.getAttribute('aria-label') ?? ''
      return by ? [own, ...byIds(by)].join(' ') : own
    }
    return [...document.querySelectorAll<HTMLElement>('button, a, [role="button"], [role="tab"], [role="option"]')]
      .map((element) => ({ name: plain(nameOf(element)), shown: plain(element.innerText) }))
      .filter(({ name, shown }) => name !== '' && /[a-z]/.test(shown) && !name.includes(shown))
      .map(({ name, shown }) => `“${shown}” is called “${name}”`)
  })

for (const [step, title, section] of steps) {
  test(`the demo at ${step}: its sheet, its figure, nothing serious for axe`, async ({ page }) => {
    const errors: string[] = []
    page.on('pageerror', (error) => errors.push(error.message))
    await page.goto(`${demo}/${step}`)
    await expect(page.getByRole('heading', { name: title, exact: true }).first()).toBeVisible()
    await expect(page.getByRole('heading', { name: section }).first()).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Steps' }).locator('a[aria-current="page"]')).toContainText(
      /\d|concern/,
    )
    const { violations } = await new AxeBuilder({ page }).analyze()
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
    expect(serious.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html}`))).toEqual([])
    expect(await namesApart(page)).toEqual([])
    expect(errors).toEqual([])
  })
}

test('the load of the demo, followed from the sheet to the file', async ({ page }) => {
  await page.goto(`${demo}/paths`)
  // hand: 2 · ((388.8 − 9 − 43.2) m² · 3.0 + 25.92 m² · 5.0 + 6 m · 7.5) = 2368.8 kN
  await expect.poll(() => balance(page)).toContain('applied 2368.8 kN → on members 2368.8 kN → at supports 2368.8 kN')
  await page.getByRole('button', { name: 'imposed, roofs (category H)' }).click()
  // hand: (388.8 + 5.4) m² · 0.40 = 157.7 kN, of which 5.4 · 0.40 = 2.2 kN reach nothing
  await expect
    .poll(() => balance(page))
    .toContain('applied 272.9 kN → on members 270.7 kN → at supports 270.7 kN · 2.2 kN not carried')
  await page
    .getByRole('contentinfo')
    .getByRole('button', { name: /2\.2 kN, why/ })
    .click()
  const why = page.getByRole('complementary', { name: 'Why this number' })
  await expect(why).toContainText('panel P9')
  await expect(why).toContainText('0.40 kN/m² · 5.4 m²')
  await why.getByRole('button', { name: 'panel P9' }).click()
  await expect(why).toContainText('EN 1991-1-1 table 6.10')
  await page.getByRole('link', { name: /Handover/ }).click()
  await expect(page.getByText('agrees')).toHaveCount(8)
})

test('two honest concerns, each shown at its place', async ({ page }) => {
  await page.goto(`${demo}/building`)
  await page.getByRole('button', { name: '2 concerns' }).click()
  const list = page.getByRole('dialog', { name: 'Concerns' })
  await expect(list.getByRole('listitem')).toHaveCount(2)
  await expect(list).toContainText('24.5 kN of panel P9 on level Roof is not carried')
  await list.getByRole('button', { name: 'Show' }).first().click()
  await expect(page).toHaveURL(/building\?.*pick=panel/)
  await expect(page.getByRole('textbox', { name: 'Label', exact: true })).toHaveValue('P9')
  await page.locator('nav a[href*="/paths"]').click()
  await expect(page.getByRole('heading', { name: 'Panel P9' })).toBeVisible()
  await expect(page.getByText(/^Not carried: 5\.4 m²/)).toBeVisible()
})

test('find reaches an element, a clause and a case by name', async ({ page }) => {
  await page.goto(`${demo}/basis`)
  await expect(page.getByRole('heading', { name: 'Basis' })).toBeVisible()
  await find(page, 'member C6 level 2')
  await expect(page.getByRole('heading', { name: 'Column C6' })).toBeVisible()
  await find(page, 'air density')
  await expect(page.getByRole('complementary', { name: 'Why this number' })).toContainText('1.250 kg/m³')
})

test('a column with and without reduction of its imposed load, and why', async ({ page }) => {
  await page.goto(`${demo}/paths?case=imposed/C`)
  await expect(page.getByRole('heading', { name: 'Members of level 1' })).toBeVisible()
  await find(page, 'member C5 level 1')
  await expect(page.getByRole('heading', { name: 'Reduced by area or storeys' })).toBeVisible()
  // 105.4 m² of category C on two levels: the factor for storeys is 2/2, and that for area is for beams
  const row = page.getByRole('row', { name: /^1 2 105\.4/ })
  await expect(row).toContainText('312.9')
  await row.getByRole('button', { name: '1.00' }).click()
  await expect(page.getByRole('complementary', { name: 'Why this number' })).toContainText('EN 1991-1-1 6.3.1.2(11)')
})

test('wind: storey forces add up to what is handed on', async ({ page }) => {
  await page.goto(`${demo}/actions?case=wind/west&view=x`)
  await expect(page.getByRole('heading', { name: 'Wind from the west' })).toBeVisible()
  await expect.poll(() => balance(page)).toContain('applied 256.6 kN → to ground through lateral elements 256.6 kN')
  await page
    .getByRole('button', { name: /1\.03 kN\/m², why/ })
    .first()
    .click()
  await expect(page.getByRole('complementary', { name: 'Why this number' })).toContainText('EN 1991-1-4 4.5 (4.8)')
})

test('before Enter: what an edit reaches is outlined, and the balance says what it would do', async ({ page }) => {
  await page.goto(`${demo}/actions`)
  const field = page.getByRole('textbox', { name: 'entered imposed load of Reading room' })
  await field.fill('4')
  // hand: 1.0 kN/m² more on two floors of 336.6 m² is 673.2 kN
  await expect.poll(() => balance(page)).toContain('Pressing Enter would apply 3042.0 kN, +673.2 kN')
  // eight bays but the book store
  await expect(page.getByTestId('drawing').locator('path[data-kind="outlined"]')).toHaveCount(7)
  await field.press('Escape')
  await expect.poll(() => balance(page)).not.toContain('Enter would')
  await expect(page.getByTestId('drawing').locator('path[data-kind="outlined"]')).toHaveCount(0)
})
