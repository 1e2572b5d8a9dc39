// Bodies that are large, deep or long, while /health is asked all the time.
import { setTimeout as sleep } from 'node:timers/promises'
import { memoryOf, send, watch } from './target.mjs'

const megabytes = 1024 * 1024

/** A text of a size, of one piece again and again between a head and a tail. */
function filled(size, head, piece, tail) {
  const count = Math.floor((size - head.length - tail.length) / piece.length)
  return Buffer.concat([Buffer.from(head), Buffer.alloc(count * piece.length, piece), Buffer.from(tail)])
}

const bodies = {
  'a flat list, 63 MB': () => filled(63 * megabytes, '{"records":[1', ',1', ']}'),
  'nested lists, 60 MB': () => filled(60 * megabytes, '[', '[', ''),
  'nested objects, 60 MB': () => filled(60 * megabytes, '', '{"a":', ''),
  'one text, 63 MB': () => filled(63 * megabytes, '{"a":"', 'x', '"}'),
  'one key, 63 MB': () => filled(63 * megabytes, '{"', 'x', '":1}'),
  'many small objects, 60 MB': () => filled(60 * megabytes, '{"records":{"a":{}', ',"a":{"b":1,"c":[1,2]}', '}}'),
  'as many values as are read, 31 MB': () => filled(31 * megabytes, '{"records":[1', ', 12', ']}'),
  'records, 60 MB': () =>
    filled(
      60 * megabytes,
      '{"format":"hedrion-project","version":2,"records":{"a":{}',
      ',"level:aaaaaaaaaaaaaaaa":{"id":"level:aaaaaaaaaaaaaaaa","kind":"level","name":"1","elevation":3}',
      '}}',
    ),
  'not JSON, 63 MB': () => filled(63 * megabytes, 'x', 'x', ''),
  'too large, 200 MB': () => filled(200 * megabytes, '[1', ',1', ']'),
}

export async function attackBodies({ port, pid }, { project }) {
  const before = memoryOf(pid)
  const found = {}
  const problems = []
  for (const [name, make] of Object.entries(bodies))
    for (const url of ['/api/projects/file', `/api/projects/${project}/changes`]) {
      const body = make()
      const watching = watch({ port, pid })
      const { status, milliseconds } = await send(port, 'POST', url, body)
      const { longest, peak } = await watching.stop()
      const answered = status === 0 ? 'broken off' : status
      found[`${name} to ${url.endsWith('file') ? 'a file' : 'a change'}`] = {
        answered,
        seconds: (milliseconds / 1000).toFixed(1),
        longest,
        peak,
      }
      if (status >= 500 && status !== 503) problems.push(`${name}: ${status}`)
    }
  // several at once: what is not taken is refused
  const watching = watch({ port, pid })
  const many = await Promise.all(
    Array.from({ length: 8 }, () => send(port, 'POST', '/api/projects/file', bodies['a flat list, 63 MB']())),
  )
  const { longest, peak } = await watching.stop()
  found['eight flat lists at once'] = { answered: many.map(({ status }) => status).join(' '), longest, peak }
  await sleep(15_000)
  return { before: Math.round(before), settled: Math.round(memoryOf(pid)), found, problems }
}
