// A server with a database of its own, which may be attacked: loopback only, in a folder that is thrown away.
import fs from 'node:fs'
import http from 'node:http'
import path from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { pathToFileURL } from 'node:url'
import { root } from '../lib/console.mjs'

/** The parts of a checkout that start a database and a server: an earlier build is attacked by its own. */
export async function launchers(checkout) {
  const load = (name) => import(pathToFileURL(path.join(checkout, 'scripts/lib', name)))
  const [{ startCluster }, { startServer }, { ensureBuild }] = await Promise.all(
    ['cluster.mjs', 'server.mjs', 'build.mjs'].map(load),
  )
  await ensureBuild()
  return { startCluster, startServer }
}

/** The version of the format that the server speaks: a change of another one would be refused before it is looked at. */
const source = fs.readFileSync(path.join(root, 'packages/core/src/document/document.ts'), 'utf8')
const [, format = ''] = /formatVersion = (\d+)/.exec(source) ?? []

/** @returns status and JSON of an answer; status 0 where there was none. */
export function send(port, method, url, body, headers = {}) {
  const bytes = body === undefined ? undefined : Buffer.isBuffer(body) ? body : Buffer.from(JSON.stringify(body))
  return new Promise((resolve) => {
    const started = performance.now()
    const done = (status, answer) => resolve({ status, body: answer, milliseconds: performance.now() - started })
    const request = http.request(
      {
        host: '127.0.0.1',
        port,
        method,
        path: url,
        // a connection for each request: one that was broken off spoils no other
        agent: false,
        headers: {
          'hedrion-format': format,
          ...(bytes ? { 'content-type': 'application/json', 'content-length': bytes.length } : {}),
          ...headers,
        },
      },
      (response) => {
        const chunks = []
        response.on('data', (chunk) => chunks.push(chunk))
        response.on('error', () => done(0))
        response.on('end', () => done(response.statusCode, parsed(Buffer.concat(chunks))))
      },
    )
    request.on('error', () => done(0))
    request.setTimeout(120_000, () => request.destroy())
    request.end(bytes)
  })
}

function parsed(bytes) {
  try {
    return JSON.parse(bytes.toString())
  } catch {
    return undefined
  }
}

/** Asks for /health and looks at memory all the time; `stop` tells the longest answer, in ms, and the peak, in MB. */
export function watch({ port, pid }) {
  let running = true
  let [longest, peak, asked, other] = [0, 0, 0, 0]
  const loop = (async () => {
    while (running) {
      const { status, milliseconds } = await send(port, 'GET', '/health')
      asked++
      longest = Math.max(longest, milliseconds)
      if (status !== 200) other++
      peak = Math.max(peak, memoryOf(pid))
      await sleep(20)
    }
  })()
  return {
    stop: async () => {
      running = false
      await loop
      return { longest: Math.round(longest), peak: Math.round(peak), asked, other }
    },
  }
}

/** Resident memory of a process, in MB; 0 of one that has ended. */
export function memoryOf(pid) {
  try {
    const [, kilobytes = '0'] = /VmRSS:\s*(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8')) ?? []
    return Number(kilobytes) / 1024
  } catch {
    return 0
  }
}

/** Numbers that come again with the same seed (mulberry32). */
export function random(seed) {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
