import { randomUUID } from 'node:crypto'
import type { ChangeAnswer, OpenProject, ProjectSummary } from '@hedrion/contract'
import type { Wire } from '../testing/brokenWire'
import { startTestServer, testWire, type TestServer } from '../testing/testServer'
import { awayProblem } from './away'

let wire: Wire
let server: TestServer
beforeAll(async () => {
  wire = await testWire()
  server = await startTestServer(undefined, { through: wire, patience: 0.1 })
})
afterEach(() => wire.mend())
afterAll(async () => {
  await server.close()
  await wire.close()
})

const project = async () => {
  const { body } = await server.send<ProjectSummary>('POST', '/api/projects', { name: 'Mill' })
  const { body: open } = await server.send<OpenProject>('GET', `/api/projects/${body.id}`)
  const [basis] = Object.values(open.records)
  if (!basis) throw new Error('a project has a basis')
  const change = (note: string) => ({
    id: randomUUID(),
    seen: open.counter,
    note,
    edits: [{ id: basis.id, before: basis, after: { ...basis, name: note } }],
  })
  return { ...body, change, at: `/api/projects/${body.id}/changes` }
}

/** Tries until the server answers otherwise than 503. */
async function recovered<T>(ask: () => Promise<{ readonly status: number; readonly body: T }>) {
  for (let i = 0; ; i++) {
    const answer = await ask()
    if (answer.status !== 503 || i === 100) return answer
  }
}

describe('a database that is away', () => {
  test('cut off: 503 with honest words for what was to be saved, and all goes on when it is back', async () => {
    const { change, at, id } = await project()
    wire.cut()
    const body = change('Kept')
    const refused = await server.send('POST', at, body)
    expect(refused).toMatchObject({ status: 503, body: { code: 'database.away', path: at } })
    expect(JSON.stringify(refused.body)).toMatch(/not known whether this was saved.*sent again/)
    expect(refused.headers.get('retry-after')).toBe('2')
    expect(await server.send('GET', `/api/projects/${id}`)).toMatchObject({
      status: 503,
      body: { message: expect.not.stringMatching(/saved/) as unknown },
    })
    expect((await server.send('GET', '/health')).status).toBe(503)
    wire.mend()
    expect(await recovered(() => server.send<ChangeAnswer>('POST', at, body))).toMatchObject({ body: { counter: 2 } })
  })

  test('frozen in the middle of a change: 503, and once it goes on the change is there once, whatever became of the first try', async () => {
    const { change, at, id } = await project()
    const body = change('Once')
    wire.hold()
    expect(await server.send('POST', at, body)).toMatchObject({ status: 503, body: { code: 'database.away' } })
    expect((await server.send('GET', '/health')).status).toBe(503)
    wire.mend()
    expect(await recovered(() => server.send<ChangeAnswer>('POST', at, body))).toMatchObject({ body: { counter: 2 } })
    const { body: history } = await server.send<readonly unknown[]>('GET', `${at}?after=0`)
    expect(history).toHaveLength(2)
    expect((await server.send<OpenProject>('GET', `/api/projects/${id}`)).body.counter).toBe(2)
  })

  test('another holds the row of the project for too long: 503 instead of waiting without end', async () => {
    const { change, at, id } = await project()
    const held = server.query(
      `BEGIN; SELECT 1 FROM project WHERE id = '${id}' FOR UPDATE; SELECT pg_sleep(2); ROLLBACK`,
    )
    const locks = `SELECT 1 FROM pg_locks WHERE relation = 'project'::regclass AND mode = 'RowShareLock' AND granted`
    while ((await server.query(locks)).length === 0);
    const body = change('Waits')
    expect(await server.send('POST', at, body)).toMatchObject({ status: 503, body: { code: 'database.away' } })
    await held
    expect(await server.send('POST', at, body)).toMatchObject({ body: { counter: 2 } })
  })
})

/** SQLSTATE: PostgreSQL documentation, appendix A; errno: POSIX. */
test.each([
  [{ code: '53100' }, 'database.full'],
  [{ code: 'XX000', message: 'could not extend file "base/1/2": File too large' }, 'database.full'],
  [{ code: '57P01' }, 'database.away'],
  [{ code: '57P03' }, 'database.away'],
  [{ code: '08006' }, 'database.away'],
  [{ code: '40P01' }, 'database.away'],
  [{ code: 'ECONNREFUSED' }, 'database.away'],
  [{ message: 'failed', cause: { code: 'ECONNRESET' } }, 'database.away'],
  [{ message: 'none', errors: [{ code: 'ETIMEDOUT' }] }, 'database.away'],
  [{ driverError: { message: 'Connection terminated unexpectedly' } }, 'database.away'],
  [{ code: '23505', message: 'duplicate key' }, undefined],
  [{ code: '22P02' }, undefined],
  [{ code: 'ENOENT' }, undefined],
  [new TypeError('x is not a function'), undefined],
  ['words alone', undefined],
])('%j is %s', (error, code) => {
  expect((awayProblem(error, false)?.getResponse() as { code?: string } | undefined)?.code).toBe(code)
})
