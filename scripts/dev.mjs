// The web application with hot reload, and the server built and started again when one of its sources changes. The data
// is that of `npm start`; --port N (5180), --data DIR.
import { spawn } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { buildApp, ensureBuild } from './lib/build.mjs'
import { startCluster } from './lib/cluster.mjs'
import { checkNode, fail, root, say } from './lib/console.mjs'
import { ensureDataFolder } from './lib/dataFolder.mjs'
import { lockData } from './lib/dataLock.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'
import { freePort } from './lib/postgresProcess.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'
import { startServer } from './lib/server.mjs'

const watched = ['apps/server/src', 'packages/core/src', 'packages/contract/src']
const { values } = parseArgs({ options: { port: { type: 'string', default: '5180' }, data: { type: 'string' } } })
let cluster
let server
let web
let stopping = false

async function stop(code) {
  if (stopping) return
  stopping = true
  web?.kill('SIGTERM')
  try {
    await server?.stop()
  } finally {
    await cluster?.stop()
  }
  process.exit(code)
}

/** Builds the server anew and takes the old one's place; a build that fails leaves the old one running. */
async function renew(start) {
  try {
    await buildApp('apps/server')
  } catch (error) {
    say(error.message)
    return
  }
  await server.stop()
  server = await start()
  say('server started again')
}

/** One renewal at a time, and one more where something changed meanwhile. */
function whenChanged(task) {
  let timer
  let running = Promise.resolve()
  const soon = () => {
    clearTimeout(timer)
    timer = setTimeout(() => (running = running.then(task).catch(fail)), 200)
  }
  for (const dir of watched)
    fs.watch(path.join(root, dir), { recursive: true }, (_, file) => {
      if (file && !file.includes('.test.')) soon()
    })
}

async function main() {
  checkNode()
  await ensureDependencies()
  await ensurePostgresProgram()
  const folder = ensureDataFolder(values.data)
  lockData(folder)
  const [running] = await Promise.all([startCluster({ folder }).then((it) => (cluster = it)), ensureBuild()])
  const port = await freePort()
  const start = () => startServer({ url: running.url, port, env: { HEDRION_DEMO: '1', NODE_ENV: 'development' } })
  server = await start()
  web = spawn(
    process.execPath,
    [path.join(root, 'node_modules/vite/bin/vite.js'), '--host', '127.0.0.1', '--port', values.port, '--strictPort'],
    {
      cwd: path.join(root, 'apps/web'),
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, HEDRION_SERVER: `http://127.0.0.1:${port}` },
    },
  )
  web.once('exit', (code) => void stop(code ?? 0))
  whenChanged(() => renew(start))
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0))
main().catch(async (error) => {
  fail(error)
  await stop(1)
})
