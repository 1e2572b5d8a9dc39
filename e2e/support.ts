import type { APIRequestContext, Page } from '@playwright/test'
import { expect } from '@playwright/test'

export const demo = '/p/00000000-0000-4000-8000-00000000d3a0'

interface Summary {
  readonly id: string
  readonly name: string
}

/** A project of the test's own, so that tests do not meet. */
export async function newProject(
  request: APIRequestContext,
  name: string,
  start: 'empty' | 'demo' = 'empty',
): Promise<string> {
  const reply = await request.post('/api/projects', { data: { name, start } })
  expect(reply.ok()).toBe(true)
  return ((await reply.json()) as Summary).id
}

/** A project of the test's own, built from the opening sentence and open in Building; its id. */
export async function builtFrom(
  page: Page,
  request: APIRequestContext,
  name: string,
  sentence: string,
): Promise<string> {
  const id = await newProject(request, name)
  await page.goto(`/p/${id}/building`)
  await page.getByRole('textbox', { name: 'The building in one sentence' }).fill(sentence)
  await page.getByRole('button', { name: 'Build', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Levels' })).toBeVisible()
  return id
}

/** Waits until every change has reached the server. */
export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('saved')

/** The balance at the foot of the page, without the thin spaces that group digits. */
export const balance = async (page: Page): Promise<string> =>
  (await page.locator('footer').innerText()).replace(/[\u202f\u00a0]/g, '').replace(/\s+/g, ' ')

/**
 * Goes to the first thing that is found. By plain selectors: one by role reads the whole page, and there are hundreds of these in a
 * run; all of it by keyboard is `findByKeyboard`.
 */
export async function find(page: Page, text: string): Promise<void> {
  await page.keyboard.press('Control+k')
  await page.locator('input[type="search"]:focus').fill(text)
  const first = page.locator('[role="listbox"][aria-label="Found"] [role="option"]').first()
  // what is found for a part of the text goes by first
  await expect(first).toContainText(new RegExp(text.split(' ')[0] ?? '', 'i'))
  await first.click()
  await expect(page.locator('input[type="search"]')).toHaveCount(0)
  // the step before is there until the next one is drawn, with buttons that are called the same
  const [, step] = /^(\w+) step$/.exec(text) ?? []
  if (step) await page.locator(`nav a[href*="/${step}"].active`).waitFor()
}

/** Goes by keyboard to the first thing that is found. */
export async function findByKeyboard(page: Page, text: string): Promise<void> {
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('searchbox', { name: 'Find' })).toBeFocused()
  await page.keyboard.type(text)
  const box = page.getByRole('searchbox', { name: 'Find' })
  const found = page.getByRole('listbox', { name: 'Found' }).getByRole('option')
  // what is found for a part of the text goes by first
  await expect(box).toHaveValue(text)
  await expect(found.first()).toContainText(new RegExp(text.split(' ')[0] ?? '', 'i'))
  // a key that comes while the list is drawn anew is lost, or comes late: keys are pressed until the first entry has the focus
  await expect(async () => {
    const first = (await found.first().getAttribute('id')) ?? ''
    const active = await box.getAttribute('aria-activedescendant')
    if (active !== first) await page.keyboard.press(active ? 'ArrowUp' : 'ArrowDown')
    await expect(box).toHaveAttribute('aria-activedescendant', first, { timeout: 500 })
  }).toPass()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('searchbox', { name: 'Find' })).toHaveCount(0)
}

/** Fills a field of the sheet and leaves it. */
export async function type(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label }).first()
  await field.fill(text)
  await field.press('Enter')
}

/** Takes one of the tools that stand under “something else”. */
export async function takeTool(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Draw more object types' }).click()
  await page.getByRole('option', { name, exact: true }).click()
}

/** Types a place of what is being drawn. */
export async function typePlace(page: Page, text: string, end = 'Enter'): Promise<void> {
  const line = page.getByRole('textbox', { name: /^Position of the/ })
  await line.fill(text)
  await line.press('Enter')
  if (end !== 'Enter') await line.press(end)
}

export interface OpenProject {
  readonly format: number
  readonly results: number
  readonly counter: number
  readonly records: Readonly<
    Record<string, { readonly kind: string; readonly id: string; readonly [field: string]: unknown }>
  >
}

export async function openRecords(request: APIRequestContext, id: string): Promise<OpenProject> {
  return (await (await request.get(`/api/projects/${id}`)).json()) as OpenProject
}
