import { spawnSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { aptInstall } from './apt.mjs'
import { Refusal } from './console.mjs'

const debian = '/usr/lib/postgresql'
const isRoot = process.getuid?.() === 0

function findPrograms() {
  if (process.env.HEDRION_PG_BIN) return process.env.HEDRION_PG_BIN
  const versions = fs.existsSync(debian) ? fs.readdirSync(debian) : []
  const newest = versions
    .filter((version) => fs.existsSync(`${debian}/${version}/bin/postgres`))
    .sort((a, b) => Number(b) - Number(a))[0]
  if (newest) return `${debian}/${newest}/bin`
  const onPath = (process.env.PATH ?? '').split(':').filter(Boolean)
  return onPath.find((dir) => ['postgres', 'initdb', 'createdb'].every((name) => fs.existsSync(path.join(dir, name))))
}

/** The folder with `postgres`, `initdb` and `createdb`; Debian's package is installed where there is none. */
export function ensurePostgresProgram() {
  const found = findPrograms()
  if (found) return found
  aptInstall(['postgresql'], 'PostgreSQL', {
    before: () => {
      // keep Debian from making and starting a cluster of its own on port 5432
      fs.mkdirSync('/etc/postgresql-common/createcluster.d', { recursive: true })
      fs.writeFileSync('/etc/postgresql-common/createcluster.d/hedrion.conf', 'create_main_cluster = false\n')
    },
  })
  const installed = findPrograms()
  if (!installed) throw new Refusal(`PostgreSQL was installed but ${debian}/*/bin/postgres is missing.`)
  return installed
}

/** PostgreSQL refuses to run as root: it then runs as Debian's user `postgres`. Empty for an ordinary user. */
export function databaseUser() {
  if (!isRoot) return {}
  const line = fs
    .readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((entry) => entry.startsWith('postgres:'))
  if (!line) throw new Refusal('Running as root needs the system user “postgres” (Debian package postgresql-common).')
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

/** Whether the database's user may enter a folder; PostgreSQL runs with its working directory there. */
export const canEnter = (dir, user) =>
  spawnSync('test', ['-x', dir], { ...user, cwd: '/', env: plainEnvironment() }).status === 0

/** No setting of the caller's PostgreSQL leaks into ours. */
export const plainEnvironment = (more = {}) => ({
  PATH: process.env.PATH,
  HOME: '/tmp',
  LC_ALL: 'C.UTF-8',
  TZ: 'UTC',
  ...more,
})
