// Writes everything that Hedrion keeps into one file: all projects with their history, deleted ones too. It may run meanwhile.
//   npm run backup -- [FILE] [--data DIR]
import fs from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { runningCluster, startCluster } from './lib/cluster.mjs'
import { checkNode, Refusal, runToEnd, say } from './lib/console.mjs'
import { counted, projectsIn, runOn } from './lib/databaseTools.mjs'
import { ensureDataFolder } from './lib/dataFolder.mjs'
import { lockData } from './lib/dataLock.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'

async function write({ bin, url }, file) {
  const part = `${file}.part`
  const handle = fs.openSync(part, 'w', 0o600)
  try {
    // the queue of jobs, and what jobs computed, are made anew
    const without = ['--exclude-schema=pgboss', '--exclude-table-data=job']
    await runOn(bin, 'pg_dump', url, ['--format=custom', '--no-owner', ...without], { to: handle })
    fs.fsyncSync(handle)
  } catch (error) {
    fs.rmSync(part, { force: true })
    throw error
  } finally {
    fs.closeSync(handle)
  }
  fs.renameSync(part, file)
  say(`${counted(await projectsIn(bin, url))} in ${file}`)
}

async function main() {
  checkNode()
  const { values, positionals } = parseArgs({ options: { data: { type: 'string' } }, allowPositionals: true })
  const stamp = new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')
  const file = path.resolve(positionals[0] ?? `hedrion-${stamp}.backup`)
  if (fs.existsSync(file)) throw new Refusal(`${file} is there already. Choose another name.`)
  ensurePostgresProgram()
  const folder = ensureDataFolder(values.data)
  const running = runningCluster(folder)
  if (running) return write(running, file)
  if (!fs.existsSync(path.join(folder, 'pg'))) throw new Refusal(`There is nothing in ${folder} yet.`)
  lockData(folder)
  const cluster = await startCluster({ folder })
  try {
    await write(cluster, file)
  } finally {
    await cluster.stop()
  }
}

void runToEnd(main)
