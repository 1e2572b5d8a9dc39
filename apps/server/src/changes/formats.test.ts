import { randomUUID } from 'node:crypto'
import fs from 'node:fs'
import path from 'node:path'
import {
  formatHeader,
  type AcceptedChange,
  type ApiProblem,
  type ChangeAnswer,
  type OpenProject,
  type ProjectSummary,
} from '@hedrion/contract'
import { formatVersion, newId, resultsEdition, type ChangeSet } from '@hedrion/core'
import { startTestServer, type TestServer } from '../testing/testServer'

const history = (
  JSON.parse(
    fs.readFileSync(path.join(__dirname, '../../../../packages/core/test/fixtures/history-1.json'), 'utf8'),
  ) as { readonly changes: readonly ChangeSet[] }
).changes

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

const open = async (id: string) => (await server.send<OpenProject>('GET', `/api/projects/${id}`)).body

/** A project as the first build left it in its tables: no versions, every change set as it was sent. */
async function projectOfVersion1(): Promise<string> {
  const id = randomUUID()
  await server.query('INSERT INTO project (id, name, counter, changed_at) VALUES ($1, $2, $3, now())', [
    id,
    'Old',
    history.length,
  ])
  const records = new Map<string, object | null>()
  for (const { edits } of history) for (const edit of edits) records.set(edit.id, edit.after)
  await server.query(
    `INSERT INTO change_set (project_id, counter, id, seen, note, edits)
     SELECT $1, c.counter, c.id, c.seen, c.note, c.edits
     FROM jsonb_to_recordset($2) AS c(counter integer, id uuid, seen integer, note text, edits jsonb)`,
    [id, JSON.stringify(history.map((change, i) => ({ ...change, counter: i + 1 })))],
  )
  await server.query(
    `INSERT INTO record (project_id, id, kind, body, counter)
     SELECT $1, r->>'id', r->>'kind', r, 1 FROM jsonb_array_elements($2) AS r`,
    [id, JSON.stringify([...records.values()].filter((body) => body !== null))],
  )
  return id
}

const levelChange = (seen: number): ChangeSet => {
  const level = { kind: 'level' as const, id: newId('level', Math.random), name: 'new', elevation: 99 }
  return { id: randomUUID(), seen, note: 'Level', edits: [{ id: level.id, before: null, after: level }] }
}

test('a project of version 1 opens in the present one, and its history is answered in it', async () => {
  const id = await projectOfVersion1()
  const project = await open(id)
  expect(project).toMatchObject({ counter: history.length, format: formatVersion, results: 0, aside: [] })
  const lineLoads = Object.values(project.records).filter(({ kind }) => kind === 'lineLoad')
  expect(lineLoads.map((record) => 'endValue' in record && record.endValue)).toEqual([null, null, null])
  const { body } = await server.send<readonly AcceptedChange[]>('GET', `/api/projects/${id}/changes?after=0`)
  expect(body).toHaveLength(history.length)
  expect(JSON.stringify(body)).toContain('"endValue":null')
  // reading changes nothing in the tables
  expect(await server.query('SELECT format FROM project WHERE id = $1', [id])).toEqual([{ format: 1 }])
})

test('the first change writes all of its records in the present format, once', async () => {
  const id = await projectOfVersion1()
  const before = await open(id)
  const change = levelChange(before.counter)
  expect((await server.send<ChangeAnswer>('POST', `/api/projects/${id}/changes`, change)).status).toBe(200)
  expect(await server.query('SELECT format FROM project WHERE id = $1', [id])).toEqual([{ format: formatVersion }])
  const after = await open(id)
  const { [change.edits[0]?.id ?? '']: made, ...rest } = after.records
  expect(made).toBeDefined()
  expect(rest).toEqual(before.records)
  const rows = await server.query("SELECT body FROM record WHERE project_id = $1 AND kind = 'lineLoad'", [id])
  expect(rows.every(({ body }) => 'endValue' in (body as object))).toBe(true)
  expect(await server.query('SELECT DISTINCT format FROM change_set WHERE project_id = $1 ORDER BY 1', [id])).toEqual([
    { format: 1 },
    { format: formatVersion },
  ])
})

test('a change that the first build made and the present page sends again is one change', async () => {
  const id = await projectOfVersion1()
  const known = history.at(-1)
  const reply = await server.send<ChangeAnswer>('POST', `/api/projects/${id}/changes`, known)
  expect(reply).toMatchObject({ status: 200, body: { counter: history.length } })
  expect((await open(id)).counter).toBe(history.length)
})

test('a page that says no version, or an older one, is told to reload by a status on which it keeps its changes', async () => {
  const id = await projectOfVersion1()
  for (const said of ['', '1', 'x']) {
    const headers = { [formatHeader]: said }
    const sent = await server.send<ApiProblem>('POST', `/api/projects/${id}/changes`, levelChange(19), headers)
    expect(sent).toMatchObject({ status: 503, body: { code: 'page.outdated' } })
    const read = await server.send<ApiProblem>('GET', `/api/projects/${id}/changes?after=0`, undefined, headers)
    expect(read).toMatchObject({ status: 503, body: { code: 'page.outdated' } })
  }
  const newer = { [formatHeader]: String(formatVersion + 1) }
  const sent = await server.send<ApiProblem>('POST', `/api/projects/${id}/changes`, levelChange(19), newer)
  expect(sent).toMatchObject({ status: 503, body: { code: 'server.outdated' } })
  expect((await open(id)).counter).toBe(history.length)
})

test('a stored record that does not read is set aside and named, and the rest can be changed', async () => {
  const id = await projectOfVersion1()
  const [{ id: run } = {}] = await server.query(
    'UPDATE record SET body = body || \'{"closed": "yes"}\' WHERE project_id = $1 AND kind = \'wallRun\' RETURNING id',
    [id],
  )
  const project = await open(id)
  expect(project.aside.find((one) => one.id === run)).toMatchObject({
    kind: 'wallRun',
    problem: { path: `records.${String(run)}.closed` },
  })
  const sent = await server.send<ChangeAnswer>('POST', `/api/projects/${id}/changes`, levelChange(project.counter))
  expect(sent.status).toBe(200)
  expect((await open(id)).aside).toEqual(project.aside)
  // as it was, for a build that reads it
  const rows = await server.query('SELECT body FROM record WHERE project_id = $1 AND id = $2', [id, run])
  expect(rows).toMatchObject([{ body: { closed: 'yes' } }])
})

test('a project that a newer build wrote is refused for now, not damaged', async () => {
  const id = await projectOfVersion1()
  await server.query('UPDATE project SET format = $2 WHERE id = $1', [id, formatVersion + 1])
  expect(await server.send<ApiProblem>('GET', `/api/projects/${id}`)).toMatchObject({
    status: 503,
    body: { code: 'project.newer' },
  })
})

test('what its readers know of moved results is kept, and comes with a file', async () => {
  const id = await projectOfVersion1()
  expect((await open(id)).results).toBe(0)
  await server.send('POST', `/api/projects/${id}/results-read`)
  expect((await open(id)).results).toBe(resultsEdition)
  const { body: fresh } = await server.send<ProjectSummary>('POST', '/api/projects', { name: 'New' })
  expect((await open(fresh.id)).results).toBe(resultsEdition)
  const file = fs.readFileSync(path.join(__dirname, '../../../../packages/core/test/fixtures/project-1.json'), 'utf8')
  const { body: old } = await server.send<ProjectSummary>('POST', '/api/projects/file', file)
  expect((await open(old.id)).results).toBe(0)
})
