import { request } from 'node:http'
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

describe('the door', () => {
  test('health asks the database', async () => {
    expect(await server.send('GET', '/health')).toMatchObject({ status: 200, body: { status: 'ok' } })
  })

  test('a name that someone points at loopback is refused (DNS rebinding)', async () => {
    expect(await statusWithHost('hedrion.example')).toBe(403)
    expect(await statusWithHost(new URL(server.url).host)).toBe(200)
  })

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

  test('the content policy lets in no script and no frame of others', async () => {
    const { headers } = await server.send('GET', '/health')
    const policy = headers.get('content-security-policy') ?? ''
    expect(policy).toContain("script-src 'self';")
    expect(policy).toContain("frame-ancestors 'none'")
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
