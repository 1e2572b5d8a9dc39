// The process of a PostgreSQL: started on a port of loopback, started again when it ends by itself, stopped cleanly.
import { spawn } from 'node:child_process'
import fs from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { Refusal, say } from './console.mjs'
import { isFull, noSpace } from './fullDisk.mjs'

export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = net.createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })

const readPidFile = (dir) => {
  try {
    const lines = fs.readFileSync(path.join(dir, 'postmaster.pid'), 'utf8').split('\n')
    return { pid: Number(lines[0]), port: Number(lines[3]), status: (lines[7] ?? '').trim() }
  } catch {
    return undefined
  }
}

/** A pid that was given to another program after a crash or a reboot does not work in our data folder. */
const isOurs = (pid, dir) => {
  try {
    return fs.readlinkSync(`/proc/${pid}/cwd`) === fs.realpathSync(dir)
  } catch {
    return false
  }
}

const alive = (pid) => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}

async function waitGone(pid, milliseconds) {
  const start = Date.now()
  while (alive(pid)) {
    if (Date.now() - start > milliseconds) return false
    await sleep(20)
  }
  return true
}

/** The port of the PostgreSQL that works in a data folder. */
export function runningPort(dir) {
  const file = readPidFile(dir)
  return file && file.status === 'ready' && isOurs(file.pid, dir) ? file.port : undefined
}

/** Stops a server that an earlier run left behind; a stale pid file is taken away. */
export async function settleEarlierRun(dir) {
  const earlier = readPidFile(dir)
  if (!earlier) return
  if (!isOurs(earlier.pid, dir)) {
    fs.rmSync(path.join(dir, 'postmaster.pid'), { force: true })
    return
  }
  say(`stopping the PostgreSQL (pid ${earlier.pid}) that an earlier run left behind`)
  process.kill(earlier.pid, 'SIGINT')
  if (!(await waitGone(earlier.pid, 20_000)))
    throw new Refusal(`PostgreSQL (pid ${earlier.pid}) does not stop; end it by hand.`)
}

const careless = { fsync: 'off', synchronous_commit: 'off', full_page_writes: 'off', max_wal_size: '1GB' }

async function startOnce({ bin, dir, logFile, durable, options }, port) {
  const settings = {
    listen_addresses: '127.0.0.1',
    // no socket: its path may be too long, and nobody needs it
    unix_socket_directories: '',
    max_connections: 40,
    shared_buffers: '128MB',
    timezone: 'UTC',
    ...(durable ? {} : careless),
  }
  const log = fs.openSync(logFile, 'a', 0o600)
  const { size } = fs.fstatSync(log)
  const args = ['-D', dir, '-p', String(port), ...Object.entries(settings).flatMap(([k, v]) => ['-c', `${k}=${v}`])]
  // detached: a terminal's Ctrl-C must not reach the database before the server has let go of it
  const child = spawn(`${bin}/postgres`, args, { ...options, cwd: '/', detached: true, stdio: ['ignore', log, log] })
  fs.closeSync(log)
  const state = { exited: undefined }
  child.once('exit', (code, signal) => (state.exited = code ?? signal))
  const start = Date.now()
  while (state.exited === undefined && Date.now() - start < 60_000) {
    const file = readPidFile(dir)
    if (file?.pid === child.pid && file.status === 'ready') break
    await sleep(15)
  }
  child.unref()
  return { child, port, state, said: () => lastLines(logFile, size) }
}

/** The end of what a log has gained since it had a size. */
const lastLines = (file, from) => fs.readFileSync(file).subarray(from).toString().split('\n').slice(-12).join('\n')

async function startFirst(cluster) {
  for (let attempt = 1; ; attempt++) {
    const started = await startOnce(cluster, await freePort())
    if (started.state.exited === undefined) return started
    if (attempt === 3) throw notStarted(cluster, started)
  }
}

/** Why it did not start: one sentence where a person can mend it. */
function notStarted({ logFile, dir }, { state, said }) {
  const last = said()
  return isFull(last)
    ? new Refusal(noSpace(dir))
    : new Error(`PostgreSQL did not start (${state.exited}); see ${logFile}:\n${last}`)
}

/** Waits before each next try to start a PostgreSQL that has ended, in ms. */
const pauses = [200, 500, 1000, 2000, 5000]

/** @returns its port, its present process id, and what stops it for good. */
export async function startPostgres(cluster) {
  const first = await startFirst(cluster)
  return { port: first.port, ...keepRunning(cluster, first) }
}

/**
 * Starts PostgreSQL again on its port whenever it has ended by itself; one that is frozen has not ended, and is left alone.
 * It goes on until `stop` has been called: a full disk may have space again.
 */
function keepRunning(cluster, first) {
  let { child, state } = first
  let stopping = false
  let restarting = Promise.resolve()
  const watch = () => child.once('exit', (code, signal) => (restarting = again(code ?? signal)))
  async function again(exited) {
    if (stopping) return
    say(`PostgreSQL ended (${exited}); it is started again`)
    let said
    for (let attempt = 0; !stopping; attempt++) {
      await sleep(pauses[Math.min(attempt, pauses.length - 1)])
      if (stopping) return
      const next = await startOnce(cluster, first.port)
      if (next.state.exited === undefined) {
        ;({ child, state } = next)
        watch()
        say('PostgreSQL answers again')
        return
      }
      const why = isFull(next.said()) ? noSpace(cluster.dir) : `it does not start; see ${cluster.logFile}`
      if (why !== said) say(why)
      said = why
    }
  }
  watch()
  return {
    pid: () => child.pid,
    stop: async () => {
      stopping = true
      await restarting
      await stopServer(child, state)
    },
  }
}

async function stopServer(child, state) {
  if (state.exited !== undefined) return
  // one that is frozen could not end
  process.kill(child.pid, 'SIGCONT')
  process.kill(child.pid, 'SIGINT')
  if (!(await waitGone(child.pid, 15_000))) process.kill(child.pid, 'SIGQUIT')
}
