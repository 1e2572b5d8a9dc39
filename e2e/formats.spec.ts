import fs from 'node:fs'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { newProject, openRecords, saved, type } from './support'

const old = path.join(import.meta.dirname, '../packages/core/test/fixtures/project-1.json')

test('a file of an earlier version opens, and says what moved in its results until that is read', async ({
  page,
  request,
}) => {
  const reply = await request.post('/api/projects/file', {
    data: fs.readFileSync(old, 'utf8'),
    headers: { 'content-type': 'application/json' },
  })
  const { id } = (await reply.json()) as { readonly id: string }
  await page.goto(`/p/${id}/building`)
  const note = page.getByTestId('changed-results')
  await expect(note).toContainText('Results of this project may have changed')
  await note.getByRole('link', { name: 'See the changes' }).click()
  await expect(page.getByRole('heading', { name: 'Changed results' })).toBeVisible()
  await expect(page.getByText('Path segments of 10 mm or less')).toBeVisible()
  await page.goBack()
  await note.getByRole('button', { name: 'Dismiss' }).click()
  await expect(note).toBeHidden()
  await expect.poll(async () => (await openRecords(request, id)).results).toBeGreaterThan(0)
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Name of level 1' })).toBeVisible()
  await expect(note).toBeHidden()
})

test('a page of an older build keeps its changes, says so, and sends them when it is reloaded', async ({
  page,
  request,
}) => {
  const id = await newProject(request, 'Older page', 'demo')
  await page.goto(`/p/${id}/building`)
  await expect(page.getByRole('textbox', { name: 'Name of level 1' })).toBeVisible()
  const refuse = { status: 503, json: { code: 'page.outdated', message: 'This page is of an older build.' } }
  await page.route('**/api/projects/*/changes**', (route) => route.fulfill(refuse))
  await type(page, 'Name of level 1', 'First')
  await expect(page.getByTestId('save-state')).toHaveText('not sent: reload page')
  await expect(page.getByRole('alert')).toContainText('One unsent change is kept in this browser')
  await page.unroute('**/api/projects/*/changes**')
  await page.getByRole('button', { name: 'Reload page' }).click()
  await expect(page.getByRole('textbox', { name: 'Name of level First' })).toBeVisible()
  await saved(page)
  const { records } = await openRecords(request, id)
  expect(Object.values(records).some((record) => record.kind === 'level' && record['name'] === 'First')).toBe(true)
})
