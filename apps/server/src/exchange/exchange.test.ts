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
    ['a later version', { ...demo, version: 3 }, 422, /version 3/],
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
