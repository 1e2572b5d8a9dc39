import { request } from 'node:http'
import { randomUUID } from 'node:crypto'
import { connect } from 'node:net'
import type { ProjectSummary } from '@hedrion/contract'
import { startTestServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

/** fetch does not let a caller choose Host. */
const statusWithHost = (host: string): Promise<number> =>
  new Promise((resolve, reject) => {
    request(`${server.url}/api/projects`, { headers: { host } }, (response) => {
      response.resume()
      resolve(response.statusCode ?? 0)
    })
      .on('error', reject)
      .end()
  })

/** What the server answers to bytes that no client library would send. */
const raw = (bytes: string | Buffer): Promise<string> =>
  new Promise((resolve, reject) => {
    const socket = connect(Number(new URL(server.url).port), '127.0.0.1', () => socket.write(bytes))
    let answer = ''
    socket.setEncoding('utf8')
    socket.on('data', (text: string) => (answer += text))
    socket.on('end', () => resolve(answer))
    socket.on('error', reject)
  })

const posted = async (path: string, body: string | Buffer, type = 'application/json') => {
  const bytes = Buffer.from(body)
  const { host } = new URL(server.url)
  const head = `POST ${path} HTTP/1.1\r\nHost: ${host}\r\ncontent-type: ${type}\r\ncontent-length: ${bytes.length}\r\nConnection: close\r\n\r\n`
  return raw(Buffer.concat([Buffer.from(head), bytes]))
}

describe('the door', () => {
  test('health asks the database', async () => {
    expect(await server.send('GET', '/health')).toMatchObject({ status: 200, body: { status: 'ok' } })
  })

  test('a name that someone points at loopback is refused (DNS rebinding)', async () => {
    expect(await statusWithHost('hedrion.example')).toBe(403)
    expect(await statusWithHost(new URL(server.url).host)).toBe(200)
  })

  test('a Host that is not ours is refused everywhere, and two of them are', async () => {
    for (const path of ['/api/projects', '/health', '/', '/assets/x.js'])
      expect(await raw(`GET ${path} HTTP/1.1\r\nHost: hedrion.example\r\nConnection: close\r\n\r\n`)).toMatch(/ 403 /)
    const { host } = new URL(server.url)
    expect(await raw(`GET /health HTTP/1.1\r\nHost: ${host}\r\nHost: ${host}\r\nConnection: close\r\n\r\n`)).toMatch(
      / 400 [\s\S]*"path":"host"/,
    )
  })

  test.each(['/assets/%ff', '/assets/..%2f..%2fetc', '/%c0%ae', '/api/projects/%ff', '/assets/%00'])(
    'the address %s is refused with a sentence, not as a failure',
    async (path) => {
      const { host } = new URL(server.url)
      const answer = await raw(`GET ${path} HTTP/1.1\r\nHost: ${host}\r\nConnection: close\r\n\r\n`)
      expect(answer).toMatch(/^HTTP\/1\.1 4\d\d /)
      expect(answer).toMatch(/"message":"[^"]{10,}","path":"[^"]+"/)
    },
  )

  test('a page of another origin is refused, our own is not', async () => {
    const foreign = await server.send('GET', '/api/projects', undefined, { origin: 'http://elsewhere.example' })
    expect(foreign).toMatchObject({ status: 403, body: { code: 'request.origin' } })
    expect((await server.send('GET', '/api/projects', undefined, { origin: server.url })).status).toBe(200)
  })

  test('a body that is not JSON, broken JSON, and one beyond the limit of its route', async () => {
    const text = await server.send('POST', '/api/projects', 'name=x', { 'content-type': 'text/plain' })
    expect(text).toMatchObject({ status: 415, body: { code: 'request.not-json' } })
    expect(await server.send('POST', '/api/projects', '{"name":')).toMatchObject({
      status: 400,
      body: { code: 'request.broken-json' },
    })
    const large = await server.send('POST', '/api/projects', { name: 'x'.repeat(70_000) })
    expect(large).toMatchObject({ status: 413, body: { code: 'request.too-large' } })
  })

  test('what cannot be parsed is refused before it is, at its place', async () => {
    const nests = await posted('/api/projects', `${'{"a":'.repeat(60)}1${'}'.repeat(60)}`)
    expect(nests).toMatch(/ 413 [\s\S]*The data is nested deeper than 8 levels\.","path":"a\.a/)
    const flat = await posted('/api/projects', `{"name":[${'1,'.repeat(3000)}1]}`)
    expect(flat).toMatch(/ 413 [\s\S]*The data has more than 2000 values\.","path":"name\[\d+\]"/)
    expect(await posted('/api/projects', '{"__proto__":{"name":"x"}}')).toMatch(/ 400 [\s\S]*"path":"__proto__"/)
    const broken = Buffer.concat([Buffer.from('{"name":"'), Buffer.from([0xff, 0xfe]), Buffer.from('"}')])
    expect(await posted('/api/projects', broken)).toMatch(/ 400 [\s\S]*UTF-8/)
    expect(await posted('/api/projects', '{}', 'application/json; charset=utf-16')).toMatch(/ 415 /)
    expect(await posted('/api/projects', '7')).toMatch(/ 400 [\s\S]*object/)
    expect(await posted('/api/projects', '')).toMatch(/ 400 /)
  })

  test('half of a character is refused in every text, and a counter beyond four bytes', async () => {
    expect(await posted('/api/projects', String.raw`{"name":"\ud800"}`)).toMatch(
      / 400 [\s\S]*surrogate[\s\S]*"path":"name"/,
    )
    const whole = await posted('/api/projects', String.raw`{"name":"\ud83c\udfdb"}`)
    expect(whole).toMatch(/ 201 /)
    const { body } = await server.send<ProjectSummary>('POST', '/api/projects', { name: 'Counters' })
    const at = `/api/projects/${body.id}/changes`
    expect(await server.send('GET', `${at}?after=2147483648`)).toMatchObject({ status: 400, body: { path: 'after' } })
    expect(await server.send('GET', `${at}?after=-1`)).toMatchObject({ status: 400 })
    const edit = { id: 'level:aaaaaaaaaaaa', before: null, after: null }
    const change = { id: randomUUID(), seen: 2 ** 31, note: '', edits: [edit] }
    expect(await server.send('POST', at, change)).toMatchObject({ status: 400, body: { path: 'seen' } })
  })

  test('the content policy lets in no script and no frame of others', async () => {
    const { headers } = await server.send('GET', '/health')
    const policy = headers.get('content-security-policy') ?? ''
    expect(policy).toContain("script-src 'self';")
    expect(policy).toContain("frame-ancestors 'none'")
    expect(policy).toContain("font-src 'self'")
    expect(headers.get('x-powered-by')).toBeNull()
  })

  test('the interface is described', async () => {
    const { body } = await server.send<{ paths: Record<string, unknown> }>('GET', '/api/openapi.json')
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining([
        '/health',
        '/api/projects',
        '/api/projects/{project}/changes',
        '/api/projects/file',
        '/api/projects/{project}/jobs',
      ]),
    )
  })
})
