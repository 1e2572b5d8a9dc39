import { randomUUID } from 'node:crypto'
import type { AddressInfo } from 'node:net'
import { formatHeader } from '@hedrion/contract'
import { formatVersion } from '@hedrion/core'
import { Client } from 'pg'
import { wireTo, type Wire } from './brokenWire'

/** A reply of the server with its JSON read. */
export interface Reply<T = unknown> {
  readonly status: number
  readonly body: T
  readonly headers: Headers
}

export interface TestServer {
  readonly url: string
  readonly database: string
  /** A statement in its database, behind its back. */
  query(statement: string, values?: readonly unknown[]): Promise<readonly Record<string, unknown>[]>
  send<T = unknown>(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Reply<T>>
  close(): Promise<void>
}

const adminUrl = (): string => {
  const url = process.env['HEDRION_TEST_DATABASE']
  if (!url) throw new Error('These tests need a database: run them by npm run unit.')
  return url
}

async function withAdmin(statement: string): Promise<void> {
  const client = new Client({ connectionString: adminUrl() })
  await client.connect()
  try {
    await client.query(statement)
  } finally {
    await client.end()
  }
}

export interface StartOptions {
  /** What stands between it and the database. */
  readonly through?: Wire
  /** A factor for all waits on the database. */
  readonly patience?: number
}

/** The wire of a test to the database of the tests. */
export const testWire = (): Promise<Wire> => {
  const { hostname, port } = new URL(adminUrl())
  return wireTo(hostname, Number(port))
}

/** The real application on a database of its own, made empty and migrated, or on that of another server beside it. */
export async function startTestServer(beside?: TestServer, options: StartOptions = {}): Promise<TestServer> {
  const database = beside?.database ?? `unit_${randomUUID().replace(/-/g, '')}`
  if (!beside) await withAdmin(`CREATE DATABASE ${database}`)
  const url = new URL(adminUrl())
  url.pathname = `/${database}`
  const wired = new URL(url)
  if (options.through) wired.port = String(options.through.port)
  process.env['DATABASE_URL'] = wired.toString()
  process.env['HEDRION_PATIENCE'] = String(options.patience ?? 1)
  process.env['LOG_LEVEL'] = 'silent'
  // reads the log's level at import
  const { createApp } = await import('../createApp')
  const app = await createApp()
  await app.listen(0, '127.0.0.1')
  const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
  const base = `http://127.0.0.1:${port}`
  return {
    url: base,
    database,
    query: async (statement, values = []) => {
      const client = new Client({ connectionString: url.toString() })
      await client.connect()
      try {
        return (await client.query<Record<string, unknown>>(statement, [...values])).rows
      } finally {
        await client.end()
      }
    },
    send: (method, path, body, headers = {}) => send(`${base}${path}`, method, body, headers),
    close: async () => {
      await app.close()
      if (!beside) await withAdmin(`DROP DATABASE ${database} WITH (FORCE)`)
    },
  }
}

async function send<T>(url: string, method: string, body: unknown, headers: Record<string, string>): Promise<Reply<T>> {
  const response = await fetch(url, {
    method,
    headers: {
      [formatHeader]: String(formatVersion),
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...headers,
    },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
  const text = await response.text()
  const json = /json/.test(response.headers.get('content-type') ?? '')
  return { status: response.status, body: (json ? JSON.parse(text) : text) as T, headers: response.headers }
}
