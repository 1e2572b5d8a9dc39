import { randomUUID } from 'node:crypto'
import { limits, type OpenProject, type ProjectSummary } from '@hedrion/contract'
import { startTestServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

const create = async (name: string, start?: string) =>
  (await server.send<ProjectSummary>('POST', '/api/projects', { name, ...(start ? { start } : {}) })).body

describe('projects', () => {
  test('a new project has a basis and stands in the list', async () => {
    const made = await create('Mill')
    const { body: open } = await server.send<OpenProject>('GET', `/api/projects/${made.id}`)
    expect(open).toMatchObject({ id: made.id, name: 'Mill', counter: 1 })
    expect(Object.values(open.records)).toEqual([expect.objectContaining({ kind: 'basis', name: 'Mill' })])
    const { body: list } = await server.send<readonly ProjectSummary[]>('GET', '/api/projects')
    expect(list.map(({ id }) => id)).toContain(made.id)
  })

  test('renaming is a change set: the basis record says the new name too', async () => {
    const made = await create('Old name')
    const renamed = await server.send<ProjectSummary>('PATCH', `/api/projects/${made.id}`, { name: 'New name' })
    expect(renamed.body).toMatchObject({ name: 'New name', counter: 2 })
    const { body: open } = await server.send<OpenProject>('GET', `/api/projects/${made.id}`)
    expect(Object.values(open.records)[0]).toMatchObject({ name: 'New name' })
  })

  test('a deleted project is out of the list, cannot be opened, and comes back whole', async () => {
    const made = await create('Short-lived')
    expect((await server.send('DELETE', `/api/projects/${made.id}`)).body).toMatchObject({ deleted: true })
    expect((await server.send('GET', `/api/projects/${made.id}`)).status).toBe(404)
    expect((await server.send('DELETE', `/api/projects/${made.id}`)).status).toBe(404)
    expect((await server.send('POST', `/api/projects/${made.id}/restore`)).body).toMatchObject({ deleted: false })
    expect((await server.send('GET', `/api/projects/${made.id}`)).status).toBe(200)
  })

  test('the demo as a project of one’s own: all its records, under the name that was asked for', async () => {
    const made = await create('My copy', 'demo')
    const { body: open } = await server.send<OpenProject>('GET', `/api/projects/${made.id}`)
    expect(open.name).toBe('My copy')
    expect(Object.keys(open.records).length).toBeGreaterThan(150)
  })

  test.each([
    [{}, 'name'],
    [{ name: '' }, 'name'],
    [{ name: 'x'.repeat(121) }, 'name'],
    [{ name: 'a\0b' }, 'name'],
    [{ name: 7 }, 'name'],
    [{ name: 'x', start: 'full' }, 'start'],
    [{ name: 'x', owner: 'me' }, 'owner'],
  ])('%j is refused at its field', async (body, path) => {
    const { status, body: problem } = await server.send<{ code: string; problems: { path: string }[] }>(
      'POST',
      '/api/projects',
      body,
    )
    expect(status).toBe(400)
    expect(problem.code).toBe('request.invalid')
    expect(problem.problems[0]?.path).toBe(path)
  })

  test('an id that is none, and a project that is not there', async () => {
    expect((await server.send('GET', '/api/projects/abc')).status).toBe(400)
    const missing = await server.send('GET', '/api/projects/00000000-0000-4000-8000-000000000000')
    expect(missing).toMatchObject({ status: 404, body: { code: 'project.unknown' } })
  })
})

describe('the list', () => {
  const list = async (query = '') => (await server.send<readonly ProjectSummary[]>('GET', `/api/projects${query}`)).body

  test('goes on page by page to the last project, each once, whatever was changed at the same moment', async () => {
    const made = await create('First')
    // many at one moment
    await server.query(
      `INSERT INTO project (id, name, counter, changed_at)
       SELECT gen_random_uuid(), 'Many ' || i, 0, timestamptz '2026-01-01' + (i / 100) * interval '1 hour'
       FROM generate_series(1, 650) AS i`,
    )
    const found: ProjectSummary[] = []
    for (let after = ''; ;) {
      const page = await list(after)
      found.push(...page)
      const last = page.at(-1)
      if (!last || page.length < limits.projects) break
      after = `?after=${last.changedAt},${last.id}`
    }
    const many = found.filter(({ name }) => name.startsWith('Many '))
    expect([many.length, new Set(found.map(({ id }) => id)).size]).toEqual([650, found.length])
    expect(found.map(({ id }) => id)).toContain(made.id)
    await server.query(`DELETE FROM project WHERE name LIKE 'Many %'`)
  })

  test('of those that were deleted, from which they come back', async () => {
    const made = await create('Thrown away')
    await server.send('DELETE', `/api/projects/${made.id}`)
    expect((await list()).map(({ id }) => id)).not.toContain(made.id)
    expect((await list('?deleted=yes')).map(({ id, deleted }) => [id, deleted])).toContainEqual([made.id, true])
    await server.send('POST', `/api/projects/${made.id}/restore`)
    expect((await list('?deleted=yes')).map(({ id }) => id)).not.toContain(made.id)
    expect((await list()).map(({ id }) => id)).toContain(made.id)
  })

  test.each(['?after=x', '?after=2026-01-01', '?deleted=no', '?page=2'])('%s is refused in words', async (query) => {
    expect(await server.send('GET', `/api/projects${query}`)).toMatchObject({
      status: 400,
      body: { message: expect.any(String) as string, path: expect.any(String) as string },
    })
  })
})

test.each(['empty', 'demo'])('%s: asked for many times under one key it is made once', async (start) => {
  const key = { 'idempotency-key': randomUUID() }
  const ask = (name: string) => server.send<ProjectSummary>('POST', '/api/projects', { name, start }, key)
  const replies = await Promise.all([ask('Once'), ask('Once'), ask('Once'), ask('Once')])
  expect(replies.map(({ status }) => status)).toEqual([201, 201, 201, 201])
  expect(new Set(replies.map(({ body }) => body.id))).toEqual(new Set([key['idempotency-key']]))
  expect((await ask('Once')).body).toMatchObject({ name: 'Once', id: key['idempotency-key'] })
  expect(await ask('Twice')).toMatchObject({ status: 422, body: { code: 'project.other-content' } })
  expect(await server.send('POST', '/api/projects', { name: 'x' }, { 'idempotency-key': 'x' })).toMatchObject({
    status: 400,
    body: { path: 'idempotency-key' },
  })
})
