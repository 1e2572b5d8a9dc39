import { setTimeout as sleep } from 'node:timers/promises'
import type { JobStatus, ProjectSummary } from '@hedrion/contract'
import { demoChanges, derive, emptyDocument, Memo, resultsSchema, withEdits } from '@hedrion/core'
import Ajv2020 from 'ajv/dist/2020'
import type { DocumentsService } from '../changes/documents.service'
import { startTestServer, type TestServer } from '../testing/testServer'
import { JobRunner, type JobRun } from './jobRunner'
import { JobsService } from './jobs.service'

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

describe('the line of jobs', () => {
  /** A runner whose jobs end when the test says so. */
  class HeldRunner extends JobRunner {
    readonly ends: ((result: unknown) => void)[] = []
    readonly cancelled: number[] = []

    run(): JobRun {
      const index = this.ends.length
      const result = new Promise<unknown>((resolve) => this.ends.push(resolve))
      return { result, cancel: () => this.cancelled.push(index) }
    }
  }
  const current = () => Promise.resolve({ project: { counter: 1 }, document: emptyDocument })
  const documents = { current } as unknown as DocumentsService
  const settle = () => sleep(0)

  test('two run at a time, a cancelled one gives its place away and keeps no result', async () => {
    const runner = new HeldRunner()
    const jobs = new JobsService(documents, runner)
    const [a, b, c] = [
      await jobs.start('p', { kind: 'results' }),
      await jobs.start('p', { kind: 'results' }),
      await jobs.start('p', { kind: 'results' }),
    ]
    await settle()
    expect([a, b, c].map(({ id }) => jobs.status('p', id).state)).toEqual(['running', 'running', 'waiting'])
    expect(jobs.cancel('p', a.id).state).toBe('cancelled')
    expect(runner.cancelled).toEqual([0])
    await settle()
    expect(jobs.status('p', c.id).state).toBe('running')
    runner.ends.forEach((end) => end('answer'))
    await settle()
    expect([a, b, c].map(({ id }) => jobs.status('p', id).state)).toEqual(['cancelled', 'done', 'done'])
    expect(jobs.result('p', b.id)).toBe('answer')
    expect(() => jobs.result('p', a.id)).toThrow('not done')
  })
})
