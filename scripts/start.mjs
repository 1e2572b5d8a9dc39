// Starts Hedrion with all that it needs; on a fresh machine it installs that first. See the README.
import net from 'node:net'
import { parseArgs } from 'node:util'
import { ensureBuild } from './lib/build.mjs'
import { setAside, startCluster } from './lib/cluster.mjs'
import { checkNode, fail, Refusal, say, timed } from './lib/console.mjs'
import { ensureDataFolder } from './lib/dataFolder.mjs'
import { lockData } from './lib/dataLock.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'
import { freePort } from './lib/postgresProcess.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'
import { startServer } from './lib/server.mjs'

const usualPort = 4180
const started = performance.now()
let cluster
let server
let stopping = false

async function stop(code) {
  if (stopping) return
  stopping = true
  say('stopping …')
  try {
    await server?.stop()
  } finally {
    await cluster?.stop()
  }
  process.exit(code)
}

function readOptions() {
  try {
    const { values } = parseArgs({
      options: { port: { type: 'string' }, data: { type: 'string' }, fresh: { type: 'boolean', default: false } },
    })
    const port = values.port ?? process.env.PORT
    if (port !== undefined && !(Number.isInteger(Number(port)) && Number(port) >= 0 && Number(port) < 65_536))
      throw new Refusal(`--port takes a number from 0 to 65535, not “${port}”.`)
    return { ...values, port: port === undefined ? undefined : Number(port) }
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw new Refusal(`${error.message} Options: --port N, --data DIR, --fresh.`)
  }
}

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = net.createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })

async function choosePort(wanted) {
  if (wanted !== undefined) {
    if (wanted !== 0 && !(await isFree(wanted)))
      throw new Refusal(`Port ${wanted} is in use. Choose another with --port.`)
    return wanted
  }
  return (await isFree(usualPort)) ? usualPort : freePort()
}

async function main() {
  checkNode()
  const options = readOptions()
  await timed('packages', ensureDependencies)
  await timed('PostgreSQL', ensurePostgresProgram)
  const folder = ensureDataFolder(options.data)
  lockData(folder)
  if (options.fresh) {
    const kept = await setAside(folder)
    if (kept) say(`the database so far is kept in ${kept}`)
  }
  const [running] = await Promise.all([
    timed('database', () => startCluster({ folder })).then((it) => (cluster = it)),
    timed('build', ensureBuild),
  ])
  const port = await choosePort(options.port)
  server = await timed('server', () => startServer({ url: running.url, port, env: { HEDRION_DEMO: '1' } }))
  say(`ready after ${((performance.now() - started) / 1000).toFixed(1)} s. Ctrl-C stops it.`)
  say(`http://127.0.0.1:${server.port}/`)
  void server.gone.then((code) => {
    if (!stopping) say(`the server ended (${code})`)
    return stop(1)
  })
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0))
main().catch(async (error) => {
  fail(error)
  await stop(1)
})
