import { randomUUID } from 'node:crypto'
import type { ApiProblem, ProjectSummary } from '@hedrion/contract'
import { demoChanges, emptyDocument, projectJson, withEdits } from '@hedrion/core'
import { startTestServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

const demo = projectJson(demoChanges.reduce((document, { edits }) => withEdits(document, edits), emptyDocument))
const upload = <T>(body: unknown) => server.send<T>('POST', '/api/projects/file', body)

describe('project files', () => {
  test('up and down again give the same file', async () => {
    const made = await upload<ProjectSummary>(demo)
    expect(made.body.name).toBe('Marrowfield Library & Workshop')
    const down = await server.send('GET', `/api/projects/${made.body.id}/file`)
    expect(down.body).toEqual(JSON.parse(JSON.stringify(demo)))
    expect(down.headers.get('content-disposition')).toBe(
      'attachment; filename="marrowfield-library-workshop.hedrion.json"',
    )
  })

  test.each([
    ['another format', { ...demo, format: 'other' }, 422, /format/],
    ['a later version', { ...demo, version: 4 }, 422, /version 4/],
    ['no records', { format: 'hedrion-project', version: 1 }, 422, /records/],
    [
      'a record with a broken field',
      {
        ...demo,
        records: { 'level:aaaaaaaaaaaa': { kind: 'level', id: 'level:aaaaaaaaaaaa', name: 'x', elevation: 'high' } },
      },
      422,
      /elevation/,
    ],
    ['a truncated file', JSON.stringify(demo).slice(0, 5000), 400, /cannot be read/],
    ['a hostile key', '{"format":"hedrion-project","version":1,"records":{"__proto__":{}}}', 400, /__proto__/],
    ['a list', [], 422, /project/],
  ])('%s is refused with a sentence, and no project is made', async (_, body, status, sentence) => {
    const before = (await server.send<readonly ProjectSummary[]>('GET', '/api/projects')).body.length
    const reply = await upload<ApiProblem>(body)
    expect(reply.status).toBe(status)
    expect(reply.body.message).toMatch(sentence)
    expect((await server.send<readonly ProjectSummary[]>('GET', '/api/projects')).body).toHaveLength(before)
  })
})

describe('a file with its history', () => {
  const withHistory = async (id: string) =>
    (
      await server.send<Record<string, unknown> & { history: { note: string; edits: unknown[] }[] }>(
        'GET',
        `/api/projects/${id}/file?history=yes`,
      )
    ).body

  test('comes up with all its changes, which lead to its records', async () => {
    const made = (await upload<ProjectSummary>(demo)).body
    await server.send('PATCH', `/api/projects/${made.id}`, { name: 'Renamed' })
    const file = await withHistory(made.id)
    expect(file.history.map(({ note }) => note)).toEqual(['Opened from a project file', 'Renamed “Renamed”'])
    const again = await upload<ProjectSummary>(file)
    expect(again).toMatchObject({ status: 201, body: { name: 'Renamed', counter: 2 } })
    const other = await withHistory(again.body.id)
    const plain = ({ history, ...rest }: typeof file) => ({
      ...rest,
      history: history.map(({ note, edits }) => ({ note, edits })),
    })
    expect(plain(other)).toEqual(plain(file))
  })

  test('is refused where the changes lead elsewhere, or are none', async () => {
    const made = (await upload<ProjectSummary>(demo)).body
    const file = await withHistory(made.id)
    for (const [history, sentence] of [
      [[], /history: The changes do not lead/],
      [[...file.history, ...file.history], /history\[1\]: This change does not follow/],
      [[{ note: 'x' }], /history\[0\]: A change has a note/],
      ['x', /history: A list/],
    ] as const) {
      const reply = await upload<ApiProblem>({ ...file, history })
      expect(reply.status).toBe(422)
      expect(reply.body.message).toMatch(sentence)
    }
  })
})

test('a file that is sent twice under one key makes one project; another file under it is refused', async () => {
  const key = { 'idempotency-key': randomUUID() }
  const replies = await Promise.all(
    [1, 2, 3].map(() => server.send<ProjectSummary>('POST', '/api/projects/file', demo, key)),
  )
  expect(new Set(replies.map(({ body }) => body.id))).toEqual(new Set([key['idempotency-key']]))
  const other = {
    ...demo,
    records: Object.fromEntries(Object.entries(demo.records).filter(([, { kind }]) => kind === 'basis')),
  }
  expect(await server.send('POST', '/api/projects/file', other, key)).toMatchObject({
    status: 422,
    body: { code: 'project.other-content', path: 'idempotency-key' },
  })
})
