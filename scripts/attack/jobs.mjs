// Two server processes on one database: one is killed in the middle of its jobs, and each job ends once.
import { setTimeout as sleep } from 'node:timers/promises'
import { memoryOf, send, watch } from './target.mjs'

export async function attackJobs({ startCluster, startServer }, folder, rounds) {
  const cluster = await startCluster({ folder, durable: false })
  const start = () => startServer({ url: cluster.url, port: 0, env: { LOG_LEVEL: 'silent' } })
  const problems = []
  const times = []
  let servers = [await start(), await start()]
  const before = memoryOf(servers[0].pid)
  const watching = watch(servers[0])
  try {
    for (let round = 0; round < rounds; round++) {
      const [kept, killed] = servers
      const project = (await send(kept.port, 'POST', '/api/projects', { name: `Jobs ${round}`, start: 'demo' })).body.id
      const at = `/api/projects/${project}/jobs`
      const jobs = await Promise.all(
        Array.from({ length: 8 }, (_, i) => send(servers[i % 2].port, 'POST', at, { kind: i % 2 ? 'csv' : 'results' })),
      )
      const ids = jobs.map(({ body }) => body.id)
      const look = () => Promise.all(ids.map(async (id) => (await send(kept.port, 'GET', `${at}/${id}`)).body))
      while (!(await look()).some(({ state }) => state === 'running')) await sleep(5)
      const struck = performance.now()
      process.kill(killed.pid, 'SIGKILL')
      await killed.gone
      for (let states = await look(); states.some(({ state }) => state === 'waiting' || state === 'running');) {
        if (performance.now() - struck > 90_000) {
          problems.push(`round ${round}: ${states.map(({ state }) => state).join(' ')}`)
          break
        }
        await sleep(100)
        states = await look()
      }
      times.push(Math.round(performance.now() - struck))
      const ended = await look()
      if (ended.some(({ state }) => state !== 'done')) problems.push(`round ${round}: not all are done`)
      const results = await Promise.all(ids.map((id) => send(kept.port, 'GET', `${at}/${id}/result`)))
      const texts = results.map(({ body }) => JSON.stringify(body))
      if (new Set(texts.filter((_, i) => i % 2 === 0)).size !== 1) problems.push(`round ${round}: results differ`)
      servers = [kept, await start()]
    }
    const { peak, longest } = await watching.stop()
    await sleep(10_000)
    const memory = { before: Math.round(before), peak, settled: Math.round(memoryOf(servers[0].pid)) }
    return { rounds, times, memory, longest, problems }
  } finally {
    for (const server of servers) await server.stop()
    await cluster.stop()
  }
}
