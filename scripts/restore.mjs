// Puts back what a backup holds, all of it or nothing, into a data folder that has nothing yet; --fresh sets aside what is there.
//   npm run restore -- FILE [--data DIR] [--fresh]
import fs from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { setAside, startCluster } from './lib/cluster.mjs'
import { checkNode, Refusal, runToEnd, say } from './lib/console.mjs'
import { counted, projectsIn, runOn } from './lib/databaseTools.mjs'
import { ensureDataFolder } from './lib/dataFolder.mjs'
import { lockData } from './lib/dataLock.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'

async function read(cluster, file) {
  const handle = fs.openSync(file, 'r')
  try {
    await runOn(cluster.bin, 'pg_restore', cluster.url, ['--single-transaction', '--exit-on-error', '--no-owner'], {
      from: handle,
    })
  } catch (error) {
    throw new Refusal(`${file} is no backup of Hedrion, or it is damaged: nothing was put back. ${firstLine(error)}`)
  } finally {
    fs.closeSync(handle)
  }
}

const firstLine = ({ message }) => message.split('\n').slice(1).find(Boolean) ?? message

async function main() {
  checkNode()
  const { values, positionals } = parseArgs({
    options: { data: { type: 'string' }, fresh: { type: 'boolean', default: false } },
    allowPositionals: true,
  })
  const [file] = positionals
  if (!file) throw new Refusal('Say which file: npm run restore -- FILE.')
  if (!fs.existsSync(file)) throw new Refusal(`${file} is not there.`)
  ensurePostgresProgram()
  const folder = ensureDataFolder(values.data)
  lockData(folder)
  if (fs.existsSync(path.join(folder, 'pg'))) {
    if (!values.fresh)
      throw new Refusal(
        `${folder} has projects already. Choose another folder with --data, or set them aside with --fresh.`,
      )
    say(`what was there is kept in ${await setAside(folder)}`)
  }
  const cluster = await startCluster({ folder })
  try {
    await read(cluster, path.resolve(file))
    say(`${counted(await projectsIn(cluster.bin, cluster.url))} put back into ${folder}`)
  } catch (error) {
    await cluster.stop()
    // nothing was ever stored in it
    fs.rmSync(cluster.dir, { recursive: true, force: true })
    throw error
  }
  await cluster.stop()
}

void runToEnd(main)
