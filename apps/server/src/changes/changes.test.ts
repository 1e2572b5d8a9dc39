import { randomUUID } from 'node:crypto'
import type { AcceptedChange, ApiProblem, ChangeAnswer, OpenProject, ProjectSummary } from '@hedrion/contract'
import { newId, type ChangeSet, type Level, type Rec } from '@hedrion/core'
import { startTestServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

const level = (name: string, elevation: number): Level => ({
  kind: 'level',
  id: newId('level', Math.random),
  name,
  elevation,
})
const project = async () => (await server.send<ProjectSummary>('POST', '/api/projects', { name: 'Changes' })).body.id
const open = async (id: string) => (await server.send<OpenProject>('GET', `/api/projects/${id}`)).body
const put = (seen: number, note: string, ...edits: readonly (readonly [Rec | null, Rec | null])[]): ChangeSet => ({
  id: randomUUID(),
  seen,
  note,
  edits: edits.map(([before, after]) => ({ id: (after ?? before)?.id ?? '', before, after })),
})
const post = <T = ChangeAnswer>(id: string, change: unknown) =>
  server.send<T>('POST', `/api/projects/${id}/changes`, change)

describe('change sets', () => {
  test('are written, counted and listed in order', async () => {
    const id = await project()
    const ground = level('Ground', 0)
    expect((await post(id, put(1, 'Add the ground', [null, ground]))).body).toEqual({ counter: 2, others: [] })
    expect((await post(id, put(2, 'Rename it', [ground, { ...ground, name: 'G' }]))).body.counter).toBe(3)
    expect((await open(id)).records[ground.id]).toEqual({ ...ground, name: 'G' })
    const { body } = await server.send<readonly AcceptedChange[]>('GET', `/api/projects/${id}/changes?after=1`)
    expect(body.map(({ counter, note }) => [counter, note])).toEqual([
      [2, 'Add the ground'],
      [3, 'Rename it'],
    ])
    const { body: latest } = await server.send<readonly AcceptedChange[]>('GET', `/api/projects/${id}/changes/latest`)
    expect(latest[0]?.note).toBe('Rename it')
  })

  test('a retry with the same id answers as the first time and changes nothing twice', async () => {
    const id = await project()
    const change = put(1, 'Once', [null, level('1', 3)])
    const first = await post(id, change)
    await post(id, put(2, 'In between', [null, level('2', 6)]))
    expect((await post(id, change)).body).toEqual(first.body)
    expect((await open(id)).counter).toBe(3)
  })

  test('another change under a uuid that is taken is refused, not answered as the first', async () => {
    const id = await project()
    const change = put(1, 'Once', [null, level('1', 3)])
    const first = await post(id, change)
    const others: readonly ChangeSet[] = [
      { ...put(1, 'Once', [null, level('2', 6)]), id: change.id },
      { ...change, note: 'Twice' },
      { ...change, edits: [...change.edits, ...put(1, '', [null, level('2', 6)]).edits] },
    ]
    for (const other of others)
      expect(await post<ApiProblem>(id, other)).toMatchObject({
        status: 422,
        body: { code: 'change.other-content', message: expect.stringMatching(/^id: /) as string },
      })
    // a page that has seen more since sends the same change
    expect((await post(id, { ...change, seen: 2 })).body).toEqual(first.body)
    expect((await open(id)).counter).toBe(2)
  })

  test('a store that a doubled edit left behind opens, with the record that points at nothing set aside and named', async () => {
    const id = await project()
    const [ground, top] = [level('Ground', 0), level('Top', 3)]
    const layout = {
      kind: 'layout',
      id: 'layout:aaaaaaaaaaaa',
      name: 'Floor',
      defaultKey: null,
      floors: 'drawn',
    } as const
    const range = {
      kind: 'levelRange',
      id: 'levelRange:aaaaaaaaaaaa',
      layout: layout.id,
      from: top.id,
      to: top.id,
    } as const
    const made = await post(
      id,
      put(1, 'A floor', [null, ground], [null, top], [null, layout as Rec], [null, range as Rec]),
    )
    expect(made.status).toBe(200)
    await server.query('DELETE FROM record WHERE project_id = $1 AND id = $2', [id, top.id])
    // another server process than the one that keeps the document in memory
    const other = await startTestServer(server)
    try {
      const opened = (await other.send<OpenProject>('GET', `/api/projects/${id}`)).body
      expect(opened.aside.map(({ id: aside }) => aside)).toEqual([range.id])
      const change = put(opened.counter, 'Raise the ground', [ground, { ...ground, elevation: 0.5 }])
      expect((await other.send('POST', `/api/projects/${id}/changes`, change)).status).toBe(200)
    } finally {
      await other.close()
    }
  })

  test('ten retries at the same moment are one change', async () => {
    const id = await project()
    const change = put(1, 'Once', [null, level('1', 3)])
    const replies = await Promise.all(Array.from({ length: 10 }, () => post(id, change)))
    expect(new Set(replies.map(({ status, body }) => `${status} ${JSON.stringify(body)}`)).size).toBe(1)
    expect((await open(id)).counter).toBe(2)
  })

  test('a stale change that touches other records is rebased and says what came between', async () => {
    const id = await project()
    const [a, b] = [level('1', 3), level('2', 6)]
    await post(id, put(1, 'First', [null, a]))
    const { body } = await post(id, put(1, 'Stale but apart', [null, b]))
    expect(body.counter).toBe(3)
    expect(body.others.map(({ note }) => note)).toEqual(['First'])
  })

  test('a stale change of the same record is refused with both values, and nothing is written', async () => {
    const id = await project()
    const a = level('1', 3)
    await post(id, put(1, 'Add', [null, a]))
    await post(id, put(2, 'Mine', [a, { ...a, elevation: 3.5 }]))
    const { status, body } = await post<ApiProblem>(id, put(2, 'Yours', [a, { ...a, elevation: 4 }]))
    expect(status).toBe(409)
    expect(body.conflicts).toEqual([{ id: a.id, expected: a, current: { ...a, elevation: 3.5 } }])
    expect((await open(id)).counter).toBe(3)
  })

  test('many writers at once: every change is there once, in one order', async () => {
    const id = await project()
    const changes = Array.from({ length: 25 }, (_, i) => put(1, `Level ${i}`, [null, level(String(i), i * 3)]))
    const counters = (await Promise.all(changes.map((change) => post(id, change)))).map(({ body }) => body.counter)
    expect([...counters].sort((p, q) => p - q)).toEqual(changes.map((_, i) => i + 2))
    expect(Object.values((await open(id)).records).filter(({ kind }) => kind === 'level')).toHaveLength(25)
  })

  const broken: readonly (readonly [string, (ground: Level) => unknown, number, string])[] = [
    [
      'an unknown kind of record',
      (l) => put(1, 'x', [null, { ...l, kind: 'tower' } as unknown as Rec]),
      422,
      'change.unreadable',
    ],
    [
      'a number that is text',
      (l) => put(1, 'x', [null, { ...l, elevation: '3' } as unknown as Rec]),
      422,
      'change.unreadable',
    ],
    ['an unknown field', (l) => put(1, 'x', [null, { ...l, colour: 1 } as unknown as Rec]), 422, 'change.unreadable'],
    [
      'a reference to nothing',
      () =>
        put(1, 'x', [
          null,
          { kind: 'layout', id: 'layout:aaaaaaaaaaaa', name: 'L', defaultKey: 'loadKey:bbbbbbbbbbbb', floors: 'drawn' },
        ]),
      422,
      'change.refused',
    ],
    ['no edits', () => ({ id: randomUUID(), seen: 0, note: '', edits: [] }), 400, 'request.invalid'],
    ['an id that is no uuid', (l) => ({ ...put(1, 'x', [null, l]), id: '1' }), 400, 'request.invalid'],
    ['a negative counter', (l) => ({ ...put(1, 'x', [null, l]), seen: -1 }), 400, 'request.invalid'],
    [
      'an edit under another id',
      (l) => ({ ...put(1, 'x', [null, l]), edits: [{ id: 'level:cccccccccccc', before: null, after: l }] }),
      422,
      'change.refused',
    ],
    [
      'a record that is edited twice',
      (l) => put(1, 'x', [null, l], [l, { ...l, elevation: 4 }]),
      422,
      'change.refused',
    ],
    ['a record that is made and deleted', (l) => put(1, 'x', [null, l], [l, null]), 422, 'change.refused'],
    ['an edit that is a number', () => ({ id: randomUUID(), seen: 0, note: '', edits: [7] }), 400, 'request.invalid'],
  ]
  test.each(broken)('%s is refused, and nothing is half-written', async (_, make, status, code) => {
    const id = await project()
    const reply = await post<ApiProblem>(id, make(level('1', 3)))
    expect(reply).toMatchObject({ status, body: { code } })
    expect(reply.body.message.length).toBeGreaterThan(10)
    expect((await open(id)).counter).toBe(1)
  })

  test('a change set of two edits of which the second is impossible writes neither', async () => {
    const id = await project()
    const [a, b] = [level('1', 3), level('2', 3.001)]
    expect((await post(id, put(1, 'Two', [null, a], [null, b]))).status).toBe(422)
    expect(Object.values((await open(id)).records)).toHaveLength(1)
  })
})
