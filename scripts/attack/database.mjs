// PostgreSQL is killed, frozen and filled under a running server, while a page sends changes as it does: in order, again after silence.
import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import fs from 'node:fs'
import path from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { send, watch } from './target.mjs'

const postmaster = (dir) => Number(fs.readFileSync(path.join(dir, 'postmaster.pid'), 'utf8').split('\n')[0])

/** All processes that work in a data folder. */
const processesIn = (dir) =>
  fs.readdirSync('/proc').flatMap((name) => {
    if (!/^\d+$/.test(name)) return []
    try {
      return fs.readlinkSync(`/proc/${name}/cwd`) === fs.realpathSync(dir) ? [Number(name)] : []
    } catch {
      return []
    }
  })

const parentOf = (pid) => Number(/PPid:\s*(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1])

/** One that has ended by itself meanwhile is none to strike. */
function signal(pid, name) {
  try {
    process.kill(pid, name)
  } catch (error) {
    if (error.code !== 'ESRCH') throw error
  }
}

/** A page that changes one project without end, and remembers what was acknowledged. */
function client(port, project, level) {
  let running = true
  let [last, before] = [level, undefined]
  const acknowledged = []
  const tally = { sent: 0, unavailable: 0, silent: 0, failed: 0, refused: 0 }
  let lastGood = performance.now()
  const loop = (async () => {
    for (let i = 0; running; i++) {
      const after = { ...last, name: `${i}` }
      const change = { id: randomUUID(), seen: 0, note: `n${i}`, edits: [{ id: last.id, before: last, after }] }
      for (;;) {
        tally.sent++
        const { status } = await send(port, 'POST', `/api/projects/${project}/changes`, change)
        if (status === 201 || status === 200) break
        if (status === 503) tally.unavailable++
        else if (status === 0) tally.silent++
        else if (status >= 500) tally.failed++
        else tally.refused++
        if (!running && performance.now() - lastGood > 60_000) return
        await sleep(50)
      }
      lastGood = performance.now()
      acknowledged.push(change.id)
      before = last
      last = after
      await sleep(5)
    }
  })()
  return {
    tally,
    acknowledged,
    last: () => last,
    previous: () => before,
    /** Waits until another change has been acknowledged; the time it took, in ms, or undefined. */
    recovers: async (within) => {
      const [count, start] = [acknowledged.length, performance.now()]
      while (acknowledged.length === count)
        if (performance.now() - start > within) return undefined
        else await sleep(20)
      return performance.now() - start
    },
    stop: async () => {
      running = false
      await Promise.race([loop, sleep(65_000)])
    },
  }
}

const kinds = {
  'postmaster killed': async ({ dir }) => process.kill(postmaster(dir), 'SIGKILL'),
  'one of its processes killed': async ({ dir }) => {
    const main = postmaster(dir)
    const children = processesIn(dir).filter((pid) => pid !== main && parentOf(pid) === main)
    for (const pid of children.slice(-2)) signal(pid, 'SIGKILL')
  },
  'stopped by hand': async ({ dir }) => process.kill(postmaster(dir), 'SIGINT'),
  frozen: async ({ dir }) => {
    const all = processesIn(dir)
    for (const pid of all) signal(pid, 'SIGSTOP')
    await sleep(12_000)
    const alone = new Set(processesIn(dir).filter((pid) => !all.includes(pid))).size === 0
    for (const pid of all) signal(pid, 'SIGCONT')
    return alone ? undefined : 'a second PostgreSQL was started beside the frozen one'
  },
  'one of its processes frozen': async ({ dir }) => {
    const main = postmaster(dir)
    const children = processesIn(dir).filter((pid) => pid !== main && parentOf(pid) === main)
    for (const pid of children.slice(-3)) signal(pid, 'SIGSTOP')
    await sleep(4000)
    for (const pid of children.slice(-3)) signal(pid, 'SIGCONT')
  },
}

/** Rounds of each kind, one after the other; every acknowledged change is there once, in order, at the end. */
export async function attackDatabase({ startCluster, startServer }, folder, rounds) {
  const cluster = await startCluster({ folder })
  const server = await startServer({ url: cluster.url, port: 0, env: { LOG_LEVEL: 'silent' } })
  const { port } = server
  const problems = []
  try {
    const { project, level } = await projectOf(port)
    const page = client(port, project, level)
    const health = watch(server)
    const times = {}
    for (let round = 0; round < rounds; round++)
      for (const [kind, strike] of Object.entries(kinds)) {
        await page.recovers(30_000)
        const problem = await strike(cluster)
        if (typeof problem === 'string') problems.push(problem)
        const time = await page.recovers(60_000)
        if (time === undefined) problems.push(`no recovery after: ${kind}`)
        ;(times[kind] ??= []).push(time)
        if (time === undefined) return { problems, times, tally: page.tally, acknowledged: page.acknowledged.length }
      }
    await page.stop()
    const { longest, other } = await health.stop()
    problems.push(...(await lossesOf(port, project, page)))
    return { problems, times, tally: page.tally, acknowledged: page.acknowledged.length, health: { longest, other } }
  } finally {
    await server.stop()
    await cluster.stop()
  }
}

async function projectOf(port) {
  const { body: made } = await send(port, 'POST', '/api/projects', { name: 'Attacked', start: 'demo' })
  const { body: open } = await send(port, 'GET', `/api/projects/${made.id}`)
  const level = Object.values(open.records).find(({ kind }) => kind === 'level')
  return { project: made.id, level }
}

async function lossesOf(port, project, page) {
  const found = []
  for (let after = 0, more = true; more;) {
    const { body } = await send(port, 'GET', `/api/projects/${project}/changes?after=${after}`)
    found.push(...body.map(({ id }) => id))
    after = body.at(-1)?.counter ?? after
    more = body.length > 0
  }
  const ours = new Set(page.acknowledged)
  const inOrder = found.filter((id) => ours.has(id))
  const problems = []
  if (new Set(found).size !== found.length) problems.push('a change stands twice')
  if (inOrder.join() !== page.acknowledged.join()) problems.push('an acknowledged change is lost or out of order')
  const { body: open } = await send(port, 'GET', `/api/projects/${project}`)
  const { name } = open.records[page.last().id]
  if (![page.last().name, `${Number(page.last().name) + 1}`].includes(name))
    problems.push(`the level is called ${name}`)
  return problems
}

/** A database on a disk of its own that is filled while a page sends; 503 until there is space, then everything goes on. */
export async function attackFullDisk({ startCluster, startServer }, mount) {
  const folder = path.join(mount, 'data')
  fs.mkdirSync(mount, { recursive: true })
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=160m,mode=0711', 'tmpfs', mount]).status !== 0)
    return { skipped: 'no tmpfs may be mounted here' }
  const ballast = path.join(mount, 'ballast')
  const problems = []
  let [cluster, server] = []
  try {
    fs.mkdirSync(folder, { mode: 0o711 })
    cluster = await startCluster({ folder })
    server = await startServer({ url: cluster.url, port: 0, env: { LOG_LEVEL: 'silent' } })
    const { project, level } = await projectOf(server.port)
    const page = client(server.port, project, level)
    await page.recovers(30_000)
    fill(ballast)
    // what is written into the log ahead fills the rest
    const grow = spawnSync('sh', ['-c', `cat /dev/zero > ${ballast}.rest`]).status
    const statuses = new Set()
    for (let i = 0; i < 40; i++) {
      const { status } = await send(server.port, 'POST', '/api/projects', { name: `Large ${i}`, start: 'demo' })
      statuses.add(status)
      if (grow) fill(`${ballast}.rest`)
    }
    for (const status of statuses) if (![201, 503].includes(status)) problems.push(`answered ${status} on a full disk`)
    if (!statuses.has(503)) problems.push('the disk did not get full')
    fs.rmSync(ballast)
    fs.rmSync(`${ballast}.rest`, { force: true })
    const time = await page.recovers(60_000)
    if (time === undefined) problems.push('no recovery after the disk had space again')
    await page.stop()
    if (time !== undefined) problems.push(...(await lossesOf(server.port, project, page)))
    return { problems, time, tally: page.tally, acknowledged: page.acknowledged.length }
  } finally {
    await server?.stop()
    await cluster?.stop()
    spawnSync('umount', [mount])
  }
}

/** Starts on disks that are too small for a database, or for PostgreSQL at all: each says so in one sentence. */
export async function attackFullStart({ startCluster }, mount) {
  const problems = []
  const said = {}
  fs.mkdirSync(mount, { recursive: true })
  for (const size of ['200k', '20m', '44m']) {
    if (spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${size},mode=0711`, 'tmpfs', mount]).status !== 0)
      return { skipped: 'no tmpfs may be mounted here' }
    try {
      const folder = path.join(mount, 'data')
      fs.mkdirSync(folder, { mode: 0o711 })
      const cluster = await startCluster({ folder })
      await cluster.stop()
      problems.push(`a database was made in ${size}`)
    } catch (error) {
      said[size] = error.message
      if (!/no space left/i.test(error.message)) problems.push(`${size}: ${said[size]}`)
      const left = fs
        .readdirSync(path.join(mount, 'data'))
        .filter((name) => name.startsWith('pg') && !name.endsWith('.log'))
      if (left.some((name) => name === 'pg' || name.endsWith('.making')))
        problems.push(`${size}: ${left.join(' ')} was left`)
    } finally {
      spawnSync('umount', [mount])
    }
  }
  return { problems, said }
}

/** Takes what space there is. */
function fill(file) {
  const handle = fs.openSync(file, 'a')
  try {
    for (let size = 1 << 20; size >= 4096;) {
      try {
        if (fs.writeSync(handle, Buffer.alloc(size)) < size) size /= 2
      } catch {
        size /= 2
      }
    }
  } finally {
    fs.closeSync(handle)
  }
}
