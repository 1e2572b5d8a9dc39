// Requests that no page sends: each is answered with a sentence and a place, none with a failure.
import { randomUUID } from 'node:crypto'
import { connect } from 'node:net'
import { random, send } from './target.mjs'

const texts = [
  '',
  ' ',
  '0',
  '-1',
  '1e999',
  '2147483648',
  '9007199254740993',
  'null',
  'true',
  '__proto__',
  'constructor',
  '%00',
  '%ff',
  '..%2f..%2f',
  '\u0000',
  '\ud800',
  '\udfff',
  'a'.repeat(5000),
  "'; DROP TABLE project; --",
  '<script>',
  '{}',
  '[]',
  '😀',
  '\u202e',
  'NaN',
]
const values = [null, true, 0, -1, 1e308, 2 ** 31, 2 ** 53, 0.1, [], {}, [[[]]], { a: { b: {} } }, ...texts]

/** What a request is made of, chosen by dice. */
export function hostileRequests(seed, { project, records }) {
  const next = random(seed)
  const one = (list) => list[Math.floor(next() * list.length)]
  const id = () => one([project, project, randomUUID(), ...texts.slice(0, 12)])
  const record = () => one(records)
  const paths = [
    () => '/api/projects',
    () => '/api/projects/file',
    () => `/api/projects/${id()}`,
    () => `/api/projects/${id()}/changes`,
    () => `/api/projects/${id()}/changes?after=${encodeURIComponent(safe(one(texts)))}`,
    () => `/api/projects/${id()}/history`,
    () => `/api/projects/${id()}/file`,
    () => `/api/projects/${id()}/restore`,
    () => `/api/projects/${id()}/results-read`,
    () => `/api/projects/${id()}/jobs`,
    () => `/api/projects/${id()}/jobs/${id()}`,
    () => `/api/projects/${id()}/jobs/${id()}/result`,
    () => `/api/site-data?latitude=${safe(one(texts))}&longitude=${safe(one(texts))}`,
    () => `/api/site-data?east=${one(['0', '1e9', '-1', 'x', '5e5'])}&north=${one(['0', '1e9', '-1', 'x'])}`,
    () => `/assets/${safe(one(texts))}`,
    () => `/${safe(one(texts))}`,
    () => '/health',
    () => '/api/openapi.json',
  ]
  /** A value in which something was exchanged. */
  const mutated = (value, depth = 0) => {
    if (next() < 0.15 || depth > 6) return one(values)
    if (Array.isArray(value)) return value.map((item) => (next() < 0.4 ? mutated(item, depth + 1) : item))
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(
        Object.entries(value).map(([key, item]) => [
          next() < 0.05 ? one(texts) : key,
          next() < 0.4 ? mutated(item, depth + 1) : item,
        ]),
      )
    return next() < 0.5 ? one(values) : value
  }
  const change = () => {
    const before = record()
    return { id: randomUUID(), seen: 0, note: 'x', edits: [{ id: before.id, before, after: mutated(before) }] }
  }
  const bodies = [
    () => undefined,
    () => one(values),
    () => ({ name: one(texts), start: one([...texts, 'demo', 'empty']) }),
    change,
    () => mutated(change()),
    () => ({ kind: one([...texts, 'results', 'csv']), only: one([...texts, 'cases']) }),
    () => ({
      format: 'hedrion-project',
      version: one([1, 2, 3, ...texts]),
      records: mutated({ [record().id]: record() }),
    }),
    () => Buffer.from(one(['{', '{"a":', '[1,', '"\\ud800"', '{"a":"\\u0000"}', '\ufeff{}', 'x'])),
    () => Buffer.from([0xff, 0xfe, 0x7b, 0x00, 0x7d, 0x00]),
  ]
  const headers = () =>
    one([
      {},
      {},
      {},
      { 'content-type': one(['text/plain', 'application/json; charset=utf-16', 'application/json; charset=x', '']) },
      { 'hedrion-format': one(['', '0', '99', 'x', '2, 2']) },
      { range: one(['bytes=5-1', 'bytes=99999999-', 'x']) },
      { 'accept-encoding': one(['x', '*;q=0']) },
      { 'if-none-match': 'x', 'if-modified-since': 'x' },
    ])
  return () => ({
    method: one(['GET', 'POST', 'POST', 'POST', 'PATCH', 'DELETE', 'PUT', 'HEAD', 'OPTIONS', 'TRACE']),
    url: one(paths)(),
    body: one(bodies)(),
    headers: headers(),
  })
}

/** A path may hold what a client library would not send, but no line end. */
const safe = (text) =>
  text.replace(/[\u0000-\u0020\u007f-\uffff<>"'; {}]/g, (sign) =>
    encodeURIComponent(sign.isWellFormed() ? sign : '\ufffd'),
  )

export async function attackRequests({ port }, target, count, seed) {
  const make = hostileRequests(seed, target)
  const statuses = {}
  const problems = []
  for (let i = 0; i < count; i += 10)
    await Promise.all(
      Array.from({ length: 10 }, async () => {
        const request = make()
        // one of the demo's own is not deleted
        if (request.method === 'DELETE' && request.url === `/api/projects/${target.project}`) return
        const { status, body } = await send(port, request.method, safePath(request.url), request.body, request.headers)
        statuses[status] = (statuses[status] ?? 0) + 1
        const said = `${request.method} ${request.url.slice(0, 80)} ${JSON.stringify(request.body ?? null).slice(0, 200)}`
        if (status >= 500 && status !== 503) problems.push(`${status} for ${said}`)
        if (status >= 400 && request.method !== 'HEAD' && !(body?.message && body?.path !== undefined))
          problems.push(`${status} without sentence and path for ${said}`)
      }),
    )
  for (const bytes of rawRequests) {
    const answer = await raw(port, bytes)
    const status = Number(/^HTTP\/1\.1 (\d+)/.exec(answer)?.[1] ?? 0)
    statuses[status] = (statuses[status] ?? 0) + 1
    if (status >= 500 && status !== 503) problems.push(`${status} for ${bytes.slice(0, 80)}`)
  }
  const { status } = await send(port, 'GET', '/health')
  if (status !== 200) problems.push(`/health says ${status} afterwards`)
  return { count, statuses, problems: [...new Set(problems)].slice(0, 30) }
}

const safePath = (url) =>
  url.replace(/[^\u0021-\u007e]/g, (sign) => (sign.isWellFormed() ? encodeURIComponent(sign) : '%ed%a0%80'))

const rawRequests = [
  'GET / HTTP/1.1\r\n\r\n',
  'GET /health HTTP/1.1\r\nHost: a\r\nHost: b\r\n\r\n',
  'GET /health HTTP/1.1\r\nHost: evil.example\r\n\r\n',
  'GET http://evil.example/ HTTP/1.1\r\nHost: evil.example\r\n\r\n',
  'POST /api/projects HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 5\r\nTransfer-Encoding: chunked\r\n\r\n0\r\n\r\n',
  'POST /api/projects HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: -1\r\n\r\n',
  'POST /api/projects HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n',
  `GET /${'a'.repeat(70_000)} HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n`,
  `GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX: ${'a'.repeat(70_000)}\r\n\r\n`,
  'GET / HTTP/9.9\r\nHost: 127.0.0.1\r\n\r\n',
  '\u0000\u0001\u0002\r\n\r\n',
]

const raw = (port, bytes) =>
  new Promise((resolve) => {
    let answer = ''
    const socket = connect(port, '127.0.0.1', () => socket.end(bytes))
    socket.setEncoding('utf8')
    socket.setTimeout(5000, () => socket.destroy())
    socket.on('data', (text) => (answer += text))
    socket.on('close', () => resolve(answer))
    socket.on('error', () => resolve(answer))
  })
