// Attacks a server of its own, on a database and a port of its own, with what may break it; docs/reliability.md keeps what was found.
//   --only requests|bodies|files|jobs|database|disk|start   one kind alone
//   --scale N     N times as many (1)                 --seed N   other dice
//   --checkout D  the build in another checkout is attacked (not by jobs and files)
import { spawnSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { attackBodies } from './attack/bodies.mjs'
import { attackDatabase, attackFullDisk, attackFullStart } from './attack/database.mjs'
import { attackFiles } from './attack/files.mjs'
import { attackJobs } from './attack/jobs.mjs'
import { attackRequests } from './attack/requests.mjs'
import { launchers, send } from './attack/target.mjs'
import { cache, checkNode, fail, Refusal, root, say } from './lib/console.mjs'
import { ensureTestFolder } from './lib/dataFolder.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'

const { values } = parseArgs({
  options: {
    only: { type: 'string' },
    scale: { type: 'string', default: '1' },
    seed: { type: 'string', default: '20' },
    checkout: { type: 'string', default: root },
  },
})
const [scale, seed] = [Number(values.scale), Number(values.seed)]
let folder
let problems = 0

/** A folder that is taken away before and after. */
async function within(use) {
  const place = path.join(folder, 'attack')
  fs.rmSync(place, { recursive: true, force: true })
  fs.mkdirSync(place, { mode: 0o711 })
  try {
    return await use(place)
  } finally {
    fs.rmSync(place, { recursive: true, force: true })
  }
}

/** One server with the demo, for what is sent to it. */
async function withServer({ startCluster, startServer }, use) {
  return within(async (place) => {
    const cluster = await startCluster({ folder: place, durable: false })
    const server = await startServer({ url: cluster.url, port: 0, env: { LOG_LEVEL: 'silent' } })
    try {
      const { body: made } = await send(server.port, 'POST', '/api/projects', { name: 'Attacked', start: 'demo' })
      const { body: open } = await send(server.port, 'GET', `/api/projects/${made.id}`)
      return await use(server, { project: made.id, records: Object.values(open.records) })
    } finally {
      await server.stop()
      await cluster.stop()
    }
  })
}

function readers() {
  const vite = path.join(root, 'node_modules/vite/bin/vite.js')
  const { status } = spawnSync(process.execPath, [vite, 'build', '--logLevel', 'warn'], {
    cwd: path.join(root, 'packages/core/attack'),
    stdio: 'inherit',
  })
  if (status !== 0) throw new Error('The readers could not be built.')
  return path.join(cache, 'attack/readers.mjs')
}

const attacks = {
  requests: (start) =>
    withServer(start, (server, target) => attackRequests(server, target, Math.round(2000 * scale), seed)),
  bodies: (start) => withServer(start, attackBodies),
  files: () => attackFiles(readers(), Math.round(2000 * scale), seed),
  jobs: (start) => within((place) => attackJobs(start, place, Math.max(1, Math.round(2 * scale)))),
  database: (start) => within((place) => attackDatabase(start, place, Math.max(1, Math.round(2 * scale)))),
  disk: (start) => attackFullDisk(start, path.join(folder, 'attack-disk')),
  start: (start) => attackFullStart(start, path.join(folder, 'attack-disk')),
}

try {
  checkNode()
  if (values.only !== undefined && !(values.only in attacks))
    throw new Refusal(`--only takes one of ${Object.keys(attacks).join(', ')}, not “${values.only}”.`)
  await ensureDependencies()
  ensurePostgresProgram()
  folder = ensureTestFolder()
  const start = await launchers(path.resolve(values.checkout))
  for (const [name, attack] of Object.entries(attacks)) {
    if (values.only !== undefined && values.only !== name) continue
    say(`${name} …`)
    const found = await attack(start)
    problems += found.problems?.length ?? 0
    console.log(JSON.stringify(found, null, 1))
  }
  process.exitCode = problems > 0 ? 1 : 0
} catch (error) {
  fail(error)
}
process.exit()
