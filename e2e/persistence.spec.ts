import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import { find, newProject, openRecords, saved, type } from './support'

interface Started {
  readonly port: number
  readonly pid: number
  readonly stop: () => Promise<void>
  readonly gone: Promise<unknown>
}

/** A server of the test's own on a database of its own, which it may kill. */
async function ownServer(port = 0): Promise<Started> {
  const { startServer } = (await import('../scripts/lib/server.mjs')) as unknown as {
    startServer: (options: { url: string; port: number; env: Record<string, string> }) => Promise<Started>
  }
  return startServer({ url: process.env['HEDRION_CRASH_DATABASE'] ?? '', port, env: { LOG_LEVEL: 'silent' } })
}

const levelNames = async (page: Page, id: string): Promise<readonly string[]> => {
  const { records } = await openRecords(page.context().request, id)
  return Object.values(records).flatMap((record) => (record.kind === 'level' ? [String(record['name'])] : []))
}

test('a reload keeps everything, and what is looked at', async ({ page, request }) => {
  const id = await newProject(request, 'Reload', 'demo')
  await page.goto(`/p/${id}/building`)
  await type(page, 'Name of level 2', 'Upper floor')
  await expect(page.getByRole('status').filter({ hasText: 'Level 2: name' })).toBeVisible()
  await page.getByRole('link', { name: /Paths/ }).click()
  await page.getByRole('radio', { name: 'both' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('radio', { name: 'both' })).toBeChecked()
  expect(await levelNames(page, id)).toContain('Upper floor')
})

test('what Find leads to stays selected for whoever clicks another step before it has come', async ({
  page,
  request,
}) => {
  const id = await newProject(request, 'Slow step', 'demo')
  await page.route(/PathsStep.*\.js/, async (route) => {
    await new Promise((done) => setTimeout(done, 1500))
    await route.continue()
  })
  await page.goto(`/p/${id}/actions`)
  await expect(page.getByTestId('drawing')).toBeVisible()
  await find(page, 'member C2, level 1')
  await page.getByRole('link', { name: /Building/ }).click()
  await expect(page.locator('path[data-kind="picked"][data-shape="point"]').first()).toBeVisible()
  await expect(page).toHaveURL(/building.*pick=/)
  // and what is looked at before a step has come does not give the step up
  await page.goto(`/p/${id}/actions`)
  await expect(page.getByTestId('drawing')).toBeVisible()
  await find(page, 'member C13, level 1')
  await page.getByRole('radio', { name: 'South' }).click()
  await expect(page).toHaveURL(/paths.*view=x/)
})

test('who types before the page has drawn a frame loses nothing of it', async ({ page, request }) => {
  // a page that is busy: frames come late
  await page.addInitScript(() => {
    const frame = globalThis.requestAnimationFrame.bind(globalThis)
    globalThis.requestAnimationFrame = (draw) => frame(() => setTimeout(() => draw(performance.now()), 150))
  })
  const id = await newProject(request, 'Busy', 'demo')
  await page.goto(`/p/${id}/building`)
  const field = page.getByRole('textbox', { name: 'elevation of level 1' })
  await field.focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('4.25', { delay: 60 })
  await page.keyboard.press('Enter')
  await expect(field).toHaveValue('4.25')
})

test('two tabs: each sees the other’s changes, neither overwrites', async ({ context, request }) => {
  const id = await newProject(request, 'Two tabs', 'demo')
  const [one, two] = [await context.newPage(), await context.newPage()]
  for (const page of [one, two]) await page.goto(`/p/${id}/building`)
  await expect(two.getByRole('textbox', { name: 'Name of level 1' })).toBeVisible()
  await type(one, 'Name of level 1', 'First')
  await saved(one)
  await expect(two.getByRole('textbox', { name: 'Name of level First' })).toBeVisible()
  await type(two, 'Name of level 2', 'Second')
  await saved(two)
  await expect(one.getByRole('textbox', { name: 'Name of level Second' })).toBeVisible()
  expect(await levelNames(one, id)).toEqual(expect.arrayContaining(['First', 'Second']))
})

/** Every request that changes something fails, as without a network; reading still works. */
const withoutConnection = async (context: BrowserContext) =>
  context.route('**/changes', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()))

test('without a connection changes wait, survive a reload, and are sent when it is back', async ({
  context,
  page,
  request,
}) => {
  const id = await newProject(request, 'Offline', 'demo')
  await page.goto(`/p/${id}/building`)
  await withoutConnection(context)
  await type(page, 'Name of level 1', 'Kept')
  await expect(page.getByTestId('save-state')).toContainText('no connection')
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Name of level Kept' })).toBeVisible()
  expect(await levelNames(page, id)).not.toContain('Kept')
  await context.unroute('**/changes')
  await saved(page)
  expect(await levelNames(page, id)).toContain('Kept')
})

test('while the database has no space the bar says so, and the change is sent when it has', async ({
  context,
  page,
  request,
}) => {
  const id = await newProject(request, 'Full disk', 'demo')
  await page.goto(`/p/${id}/building`)
  const json = { code: 'database.full', message: 'The disk of the database is full.' }
  await context.route('**/changes', (route) =>
    route.request().method() === 'POST' ? route.fulfill({ status: 503, json }) : route.continue(),
  )
  await type(page, 'Name of level 1', 'Kept')
  await expect(page.getByTestId('save-state')).toHaveText('database disk full; changes are kept in this browser')
  await context.unroute('**/changes')
  await saved(page)
  expect(await levelNames(page, id)).toContain('Kept')
})

test('a lost reply: the change is sent again and applied once', async ({ context, page, request }) => {
  const id = await newProject(request, 'Lost reply', 'demo')
  await page.goto(`/p/${id}/building`)
  const before = (await openRecords(request, id)).counter
  let lost = 0
  await context.route('**/changes', async (route) => {
    if (route.request().method() !== 'POST' || lost > 0) return route.continue()
    lost++
    await route.fetch()
    return route.abort()
  })
  await type(page, 'Name of level 1', 'Once')
  await expect.poll(() => lost).toBe(1)
  await saved(page)
  expect((await openRecords(request, id)).counter).toBe(before + 1)
  expect(await levelNames(page, id)).toContain('Once')
})

test('a change that someone else made impossible is shown with both values, and can be made again', async ({
  context,
  page,
  request,
}) => {
  const id = await newProject(request, 'Conflict', 'demo')
  await page.goto(`/p/${id}/building`)
  await expect(page.getByRole('textbox', { name: 'Name of level 1' })).toBeVisible()
  await withoutConnection(context)
  await type(page, 'Name of level 1', 'Mine')
  const { counter, records, format } = await openRecords(request, id)
  const level = Object.values(records).find((record) => record.kind === 'level' && record['name'] === '1')
  if (!level) throw new Error('no level 1')
  const theirs = {
    id: crypto.randomUUID(),
    seen: counter,
    note: 'Theirs',
    edits: [{ id: level.id, before: level, after: { ...level, name: 'Theirs' } }],
  }
  expect(
    (
      await request.post(`/api/projects/${id}/changes`, { data: theirs, headers: { 'hedrion-format': String(format) } })
    ).ok(),
  ).toBe(true)
  await context.unroute('**/changes')
  const notice = page.getByRole('alert')
  await expect(notice).toContainText('name mine Mine, theirs Theirs', { timeout: 20_000 })
  expect(await levelNames(page, id)).toContain('Theirs')
  await notice.getByRole('button', { name: 'Reapply my change' }).click()
  await saved(page)
  expect(await levelNames(page, id)).toContain('Mine')
})

test('a change that the server fails on is set aside after three times with what stands on it, and the rest goes on', async ({
  context,
  page,
  request,
}) => {
  const id = await newProject(request, 'Failing', 'demo')
  await page.goto(`/p/${id}/building`)
  let failures = 0
  await context.route('**/changes', async (route) => {
    const body = route.request().postData() ?? ''
    if (!body.includes('First try')) return route.continue()
    failures++
    // silence and 503 do not count
    if (failures === 1) return route.abort()
    if (failures === 2) return route.fulfill({ status: 503, json: { code: 'database.away', message: 'Away.' } })
    return route.fulfill({ status: 500, json: { code: 'server.failed', message: 'Internal error.' } })
  })
  await type(page, 'Name of level 1', 'First try')
  await type(page, 'Name of level First try', 'On it')
  await type(page, 'Name of level 2', 'Apart')
  const notice = page.getByRole('alert')
  await expect(notice).toContainText('The server failed to save it 3 times', { timeout: 30_000 })
  await expect(notice).toContainText('depends on a change that could not be saved')
  await saved(page)
  expect(failures).toBe(5)
  expect(await levelNames(page, id)).toEqual(expect.arrayContaining(['1', 'Apart']))
  // kept on this machine until a person decides
  await page.reload()
  await expect(notice).toContainText('The server failed to save it 3 times')
  await context.unroute('**/changes')
  await notice.getByRole('button', { name: 'Retry', exact: true }).first().click()
  await saved(page)
  expect(await levelNames(page, id)).toContain('First try')
  await notice.getByRole('button', { name: 'Discard my change' }).click()
  await expect(notice).toBeHidden()
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Name of level First try' })).toBeVisible()
  await expect(notice).toBeHidden()
})

test('kill -9 of the server in a stream of changes loses nothing and applies nothing twice', async ({ browser }) => {
  let server = await ownServer()
  const base = `http://127.0.0.1:${server.port}`
  const context = await browser.newContext({ baseURL: base })
  const id = await newProject(context.request, 'Crash', 'demo')
  const page = await context.newPage()
  await page.goto(`/p/${id}/building`)
  const place = page.getByRole('textbox', { name: 'position of grid line 4' })
  await expect(place).toBeVisible()
  const before = (await openRecords(context.request, id)).counter
  const rounds = 12
  for (let i = 1; i <= rounds; i++) {
    await place.fill(String(21.6 + i / 10))
    await place.press('Enter')
    if (i === 5) {
      process.kill(server.pid, 'SIGKILL')
      await server.gone
    }
    if (i === 9) server = await ownServer(server.port)
  }
  await expect(page.getByTestId('save-state')).toHaveText('saved', { timeout: 30_000 })
  const after = await openRecords(context.request, id)
  expect(after.counter).toBe(before + rounds)
  const line = Object.values(after.records).find((record) => record.kind === 'gridLine' && record['label'] === '4')
  expect(line?.['at']).toBeCloseTo(21.6 + rounds / 10, 9)

  // and a restart in good order keeps it all
  await server.stop()
  server = await ownServer(server.port)
  expect((await openRecords(context.request, id)).counter).toBe(before + rounds)
  await context.close()
  await server.stop()
})
