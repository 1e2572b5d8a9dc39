import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { demo, newProject, openRecords, saved } from './support'

const folder = mkdtempSync(path.join(tmpdir(), 'hedrion-e2e-'))
const example = path.join(import.meta.dirname, '../examples/marrowfield.hedrion.json')
const cli = path.join(import.meta.dirname, '../apps/cli/dist/hedrion.js')

async function choose(page: Page, name: string, text: string): Promise<void> {
  const file = path.join(folder, name)
  writeFileSync(file, text)
  await page.getByLabel('Project file').setInputFiles(file)
}

test('a project file goes up, comes down the same, and opens', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('Project file').setInputFiles(example)
  await expect(page.getByRole('link', { name: 'Marrowfield Library & Workshop' })).toBeVisible()
  await expect(page).toHaveURL(/\/p\/.*\/building/)
  await page.getByRole('link', { name: /Handover/ }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByText(/^project file, /)
      .locator('..')
      .getByRole('button', { name: 'save' })
      .click(),
  ])
  expect(readFileSync(await download.path(), 'utf8')).toBe(readFileSync(example, 'utf8'))
})

test('a broken file is refused with what is wrong, and nothing is lost', async ({ page }) => {
  await page.goto('/')
  const list = page.getByRole('list', { name: 'Projects' })
  await expect(list.getByRole('link', { name: 'Marrowfield Library & Workshop' }).first()).toBeVisible()
  // a name of its own: other tests add projects meanwhile
  const text = readFileSync(example, 'utf8').replace('Marrowfield Library & Workshop', 'Broken in transit')
  await choose(page, 'truncated.json', text.slice(0, 4000))
  await expect(page.getByRole('alert')).toContainText('is not valid JSON')
  await choose(page, 'other.json', '{"format":"spreadsheet"}')
  await expect(page.getByRole('alert')).toContainText('a project file has “hedrion-project”')
  await choose(page, 'field.json', text.replace('"elevation": 3.6', '"elevation": "high"'))
  await expect(page.getByRole('alert')).toContainText('elevation: A finite number is expected')
  await page.reload()
  await expect(list.getByRole('link', { name: 'Marrowfield Library & Workshop' }).first()).toBeVisible()
  await expect(list.getByRole('link', { name: 'Broken in transit' })).toHaveCount(0)
})

test('projects: new, renamed, deleted, brought back', async ({ page, request }) => {
  const id = await newProject(request, 'Passing project')
  await page.goto('/')
  await page.getByRole('button', { name: 'Rename Passing project' }).click()
  const field = page.getByRole('textbox', { name: 'New name of Passing project' })
  await field.fill('Renamed project')
  await field.press('Enter')
  await page.getByRole('button', { name: 'Delete Renamed project' }).click()
  await expect(page.getByRole('link', { name: 'Renamed project' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Restore', exact: true }).click()
  await expect(page.getByRole('link', { name: 'Renamed project' })).toBeVisible()
  expect((await request.get(`/api/projects/${id}`)).ok()).toBe(true)
})

test('worker, server and command line give the same results', async ({ page, request }) => {
  await page.goto(`${demo}/handover`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByText('all results, with a schema').locator('..').getByRole('button', { name: 'save' }).click(),
  ])
  const fromWorker: unknown = JSON.parse(readFileSync(await download.path(), 'utf8'))

  const jobs = `/api${demo.replace('/p/', '/projects/')}/jobs`
  const { id } = (await (await request.post(jobs, { data: { kind: 'results' } })).json()) as { id: string }
  await expect
    .poll(async () => ((await (await request.get(`${jobs}/${id}`)).json()) as { state: string }).state)
    .toBe('done')
  const fromServer: unknown = await (await request.get(`${jobs}/${id}/result`)).json()

  const out = path.join(folder, 'results.json')
  execFileSync(process.execPath, [cli, 'compute', example, '--out', out])
  const fromCommandLine: unknown = JSON.parse(readFileSync(out, 'utf8'))

  expect(closeTo(fromServer, fromWorker)).toEqual([])
  expect(closeTo(fromCommandLine, fromWorker)).toEqual([])
})

/** Where two results differ: texts at all, numbers by more than 1e-12 of their size, since engines may round apart. */
function closeTo(a: unknown, b: unknown, at = ''): readonly string[] {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= 1e-12 * Math.max(1, Math.abs(a), Math.abs(b)) ? [] : [`${at}: ${a} and ${b}`]
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null)
    return a === b ? [] : [`${at}: ${String(a)} and ${String(b)}`]
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys]
    .flatMap((key) => closeTo((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], `${at}.${key}`))
    .slice(0, 5)
}

test('layers of a build-up are pasted: what is wrong is said by its row, then all of it goes in at once', async ({
  page,
  request,
}) => {
  const own = await newProject(request, 'Layers', 'demo')
  await page.goto(`/p/${own}/actions?case=permanent/build-ups`)
  await page.getByRole('button', { name: 'pasted', exact: true }).first().click()
  const cells = page.getByRole('textbox', { name: 'Table of layers' })
  await cells.fill('levelling screed\t40\t20\nterrazzo\tthirty\t24')
  await expect(page.getByRole('alert', { name: 'Errors in the table' })).toContainText('Row 2, thickness')
  await cells.fill('levelling screed\t40\t20\nterrazzo\t25\t24')
  // hand: 0.04 · 20 + 0.025 · 24 = 1.40 kN/m²
  await expect(page.getByText('1.40 kN/m²').first()).toBeVisible()
  await page.getByRole('button', { name: 'Add 2 layers' }).click()
  await saved(page)
  const layers = Object.values((await openRecords(request, own)).records).flatMap((record) =>
    record.kind === 'buildUp' ? (record['layers'] as readonly { readonly name: string }[]) : [],
  )
  expect(layers.map(({ name }) => name)).toEqual(expect.arrayContaining(['levelling screed', 'terrazzo']))
})
