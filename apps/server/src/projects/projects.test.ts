import type { OpenProject, ProjectSummary } from '@hedrion/contract'
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
