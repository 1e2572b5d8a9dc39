import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import type { JobStatus, ProjectSummary } from '@hedrion/contract'
import {
  demoChanges,
  derive,
  emptyDocument,
  Memo,
  present,
  resultsSchema,
  resultStages,
  withEdits,
} from '@hedrion/core'
import Ajv2020 from 'ajv/dist/2020'
import { startTestServer, type TestServer } from '../testing/testServer'
import { jobLimits } from './jobWork.service'
import { mostWaiting } from './jobs.service'

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

const demoProject = async () =>
  (
    await server.send<ProjectSummary>('POST', '/api/projects', {
      name: 'Marrowfield Library & Workshop',
      start: 'demo',
    })
  ).body

async function finish(project: string, job: JobStatus): Promise<JobStatus> {
  for (let i = 0; i < 100; i++) {
    const { body } = await server.send<JobStatus>('GET', `/api/projects/${project}/jobs/${job.id}`)
    if (body.state !== 'waiting' && body.state !== 'running') return body
    await sleep(50)
  }
  throw new Error('the job did not end')
}

describe('jobs', () => {
  test('compute what the core computes, by the schema', async () => {
    const project = await demoProject()
    const { body: job } = await server.send<JobStatus>('POST', `/api/projects/${project.id}/jobs`, { kind: 'results' })
    expect(await finish(project.id, job)).toMatchObject({ state: 'done', counter: project.counter })
    const { body } = await server.send('GET', `/api/projects/${project.id}/jobs/${job.id}/result`)
    const document = demoChanges.reduce((before, { edits }) => withEdits(before, edits), emptyDocument)
    expect(body).toEqual(JSON.parse(JSON.stringify(derive(new Memo(), document, { kind: 'results', only: null }))))
    expect(new Ajv2020({ strict: false }).validate(resultsSchema, body)).toBe(true)
  })

  test('a job of another project is not there', async () => {
    const [project, other] = [await demoProject(), await demoProject()]
    const { body: job } = await server.send<JobStatus>('POST', `/api/projects/${project.id}/jobs`, {
      kind: 'csv',
      only: 'cases',
    })
    expect((await server.send('GET', `/api/projects/${project.id}/jobs/${job.id}`)).status).toBe(200)
    expect((await server.send('GET', `/api/projects/${other.id}/jobs/${job.id}`)).status).toBe(404)
  })

  test('an unknown kind or stage is refused', async () => {
    const project = await demoProject()
    const at = `/api/projects/${project.id}/jobs`
    expect((await server.send('POST', at, { kind: 'poem' })).status).toBe(400)
    expect((await server.send('POST', at, { kind: 'results', only: 'poem' })).status).toBe(400)
  })
})

describe('jobs on two servers', () => {
  let servers: readonly TestServer[]
  beforeAll(async () => {
    process.env['HEDRION_JOB_WORKER'] = fileURLToPath(new URL('../testing/jobThread.cjs', import.meta.url))
    const one = await startTestServer()
    servers = [one, await startTestServer(one)]
    delete process.env['HEDRION_JOB_WORKER']
  })
  afterAll(async () => {
    for (const one of servers.toReversed()) await one.close()
  })
  afterEach(() => (jobLimits.time = 600))

  const at = (i: number): TestServer => present(servers[i % 2], 'two servers')
  const projectFor = async (name: string) =>
    (await at(0).send<ProjectSummary>('POST', '/api/projects', { name })).body.id
  const put = (project: string, i = 0) =>
    at(i).send<JobStatus>('POST', `/api/projects/${project}/jobs`, { kind: 'results' })
  const look = async (project: string, { id }: JobStatus) =>
    (await at(1).send<JobStatus>('GET', `/api/projects/${project}/jobs/${id}`)).body
  async function until(project: string, job: JobStatus, ...states: readonly JobStatus['state'][]): Promise<JobStatus> {
    for (let i = 0; i < 400; i++) {
      const found = await look(project, job)
      if (states.includes(found.state)) return found
      await sleep(25)
    }
    throw new Error(`not ${states.join(' or ')}: ${JSON.stringify(await look(project, job))}`)
  }
  const row = async ({ id }: JobStatus) =>
    present((await at(0).query('SELECT * FROM job WHERE id = $1', [id]))[0], 'the job')

  test('they share the line: each job is begun once, more run at a time than one server takes', async () => {
    const project = await projectFor('sleep 600')
    const jobs = await Promise.all([0, 1, 2, 3, 4, 5, 6].map(async (i) => (await put(project, i)).body))
    let most = 0
    for (const job of jobs) {
      await until(project, job, 'running', 'done')
      const running = await at(0).query(`SELECT 1 FROM job WHERE state = 'running'`)
      most = Math.max(most, running.length)
    }
    for (const job of jobs) {
      expect(await until(project, job, 'done')).toMatchObject({ counter: 1, of: resultStages.length })
      expect(await row(job)).toMatchObject({ tries: 1, run: null })
      // from the server that did not take it up as well
      for (const server of servers)
        expect((await server.send('GET', `/api/projects/${project}/jobs/${job.id}/result`)).body).toBe('results')
    }
    expect(most).toBeGreaterThan(2)
    expect(most).toBeLessThanOrEqual(4)
  })

  test('a server that is taken for dead has no say any more: the job is begun again and ends once', async () => {
    const project = await projectFor('sleep 5000')
    const { body: job } = await put(project)
    expect(await until(project, job, 'running')).toBeDefined()
    const { run } = await row(job)
    // the server lives and says so each second: what it said is taken back until somebody believes it dead
    while ((await row(job))['run'] === run) {
      await at(0).query(`UPDATE job SET beat_at = now() - interval '1 hour' WHERE run = $1`, [run])
      await sleep(10)
    }
    await until(project, job, 'done')
    expect(await row(job)).toMatchObject({ tries: 2 })
  })

  test('one whose servers ended twice has failed, in words', async () => {
    const project = await projectFor('sleep 60000')
    const { body: job } = await put(project)
    await until(project, job, 'running')
    await at(0).query(`UPDATE job SET tries = 2, run = $2, beat_at = now() - interval '1 hour' WHERE id = $1`, [
      job.id,
      randomUUID(),
    ])
    expect(await until(project, job, 'failed')).toMatchObject({
      problem: expect.stringMatching(/servers.*stopped/) as string,
    })
  })

  test('one that is cancelled ends, waiting or running, and gives its place away', async () => {
    const project = await projectFor('sleep 60000')
    const jobs = await Promise.all([0, 1, 2, 3, 4].map(async (i) => (await put(project, i)).body))
    await sleep(1500)
    for (const job of jobs)
      expect((await at(1).send<JobStatus>('DELETE', `/api/projects/${project}/jobs/${job.id}`)).body.state).toBe(
        'cancelled',
      )
    const quick = await projectFor('sleep 10')
    const after = await Promise.all([0, 1, 2, 3].map(async (i) => (await put(quick, i)).body))
    for (const job of after) await until(quick, job, 'done')
    for (const job of jobs) {
      expect((await look(project, job)).state).toBe('cancelled')
      expect((await at(0).send('GET', `/api/projects/${project}/jobs/${job.id}/result`)).status).toBe(409)
    }
  })

  test('one that takes too long, too much memory, or breaks has failed, in words; the servers go on', async () => {
    jobLimits.time = 1
    for (const [name, problem] of [
      ['sleep 60000', /Stopped after 1 s/],
      ['hungry', /more memory/],
      ['broken', /The computation failed/],
    ] as const) {
      const project = await projectFor(name)
      const { body: job } = await put(project)
      expect(await until(project, job, 'failed')).toMatchObject({ problem: expect.stringMatching(problem) as string })
    }
    expect((await at(0).send('GET', '/health')).status).toBe(200)
  })

  test('no more than twenty wait', async () => {
    const project = await projectFor('sleep 60000')
    const answers = await Promise.all(Array.from({ length: 40 }, (_, i) => put(project, i)))
    const refused = answers.filter(({ status }) => status === 429)
    // four places may have begun one each meanwhile
    expect(refused.length).toBeGreaterThanOrEqual(40 - mostWaiting - 4)
    expect(refused[0]?.body).toMatchObject({ code: 'jobs.full' })
    for (const { status, body } of answers)
      if (status === 201) await at(0).send('DELETE', `/api/projects/${project}/jobs/${body.id}`)
  })
})
