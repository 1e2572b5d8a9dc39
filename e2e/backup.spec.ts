import { execFileSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { expect, request as requests, test, type APIRequestContext } from '@playwright/test'
import { newProject } from './support'

interface Cluster {
  readonly url: string
  stop(): Promise<void>
}
interface Server {
  readonly port: number
  stop(): Promise<void>
}

const root = path.join(import.meta.dirname, '..')

/** A database in a data folder with a server on it, until `use` is done. */
async function serving<T>(folder: string, use: (api: APIRequestContext) => Promise<T>): Promise<T> {
  const { startCluster } = (await import('../scripts/lib/cluster.mjs')) as unknown as {
    startCluster: (options: { folder: string }) => Promise<Cluster>
  }
  const { startServer } = (await import('../scripts/lib/server.mjs')) as unknown as {
    startServer: (options: { url: string; port: number; env: Record<string, string> }) => Promise<Server>
  }
  const cluster = await startCluster({ folder })
  try {
    const server = await startServer({ url: cluster.url, port: 0, env: { LOG_LEVEL: 'silent' } })
    const api = await requests.newContext({ baseURL: `http://127.0.0.1:${server.port}` })
    try {
      return await use(api)
    } finally {
      await api.dispose()
      await server.stop()
    }
  } finally {
    await cluster.stop()
  }
}

/** Everything that a server keeps, as it answers it. */
async function everything(api: APIRequestContext): Promise<unknown> {
  const found = []
  for (const query of ['', '?deleted=yes'])
    for (const { id, name } of (await (await api.get(`/api/projects${query}`)).json()) as {
      id: string
      name: string
    }[])
      found.push([id, name, query, await (await api.get(`/api/projects/${id}/file?history=yes`)).json()])
  return found
}

test('a backup brings all projects with their history into a fresh data folder, deleted ones too; nothing is readable by others', async () => {
  const { ensureTestFolder } = (await import('../scripts/lib/dataFolder.mjs')) as unknown as {
    ensureTestFolder: () => string
  }
  const place = path.join(ensureTestFolder(), 'backup')
  fs.rmSync(place, { recursive: true, force: true })
  const [first, second] = ['first', 'second'].map((name) => path.join(place, name)) as [string, string]
  for (const folder of [place, first]) fs.mkdirSync(folder, { mode: 0o711 })
  const run = (script: string, ...args: readonly string[]) =>
    execFileSync(process.execPath, [path.join(root, 'scripts', script), ...args], { cwd: root, encoding: 'utf8' })
  const file = path.join(place, 'all.backup')
  try {
    const before = await serving(first, async (api) => {
      const kept = await newProject(api, 'Kept', 'demo')
      await api.patch(`/api/projects/${kept}`, { data: { name: 'Kept and renamed' } })
      await api.delete(`/api/projects/${await newProject(api, 'Deleted')}`)
      return everything(api)
    })
    expect(run('backup.mjs', file, '--data', first)).toContain('2 projects in')
    expect(run('restore.mjs', file, '--data', second)).toContain('2 projects put back')
    expect(await serving(second, everything)).toEqual(before)
    // a second time it would be beside what is there
    expect(() => run('restore.mjs', file, '--data', second)).toThrow(/has projects already/)
    for (const folder of [first, second])
      for (const entry of fs.readdirSync(folder, { withFileTypes: true }))
        expect(fs.statSync(path.join(folder, entry.name)).mode & 0o077, entry.name).toBe(0)
    expect(fs.statSync(file).mode & 0o077).toBe(0)
  } finally {
    fs.rmSync(place, { recursive: true, force: true })
  }
})
