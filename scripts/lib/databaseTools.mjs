import { spawn } from 'node:child_process'
import path from 'node:path'
import { isFull, noSpace } from './fullDisk.mjs'
import { Refusal } from './console.mjs'
import { databaseUser, plainEnvironment } from './postgresProgram.mjs'

/**
 * Runs one of PostgreSQL's programs on a database; what it reads or writes is a file of ours, which it need not be able to reach.
 * @param from, to - handles of files
 * @returns what it wrote, where that goes to no file
 */
export function runOn(bin, program, url, args, { from = 'ignore', to = 'pipe' } = {}) {
  const { username, password, hostname, port, pathname } = new URL(url)
  const options = { ...databaseUser(), cwd: '/', env: plainEnvironment({ PGPASSWORD: password }) }
  const place = ['-h', hostname, '-p', port, '-U', username, '-d', pathname.slice(1)]
  const child = spawn(path.join(bin, program), [...place, ...args], { ...options, stdio: [from, to, 'pipe'] })
  let [said, wrote] = ['', '']
  child.stderr.on('data', (text) => (said += text))
  child.stdout?.on('data', (text) => (wrote += text))
  return new Promise((resolve, reject) => {
    child.once('error', reject)
    child.once('close', (code) => {
      if (code === 0) resolve(wrote)
      else if (isFull(said)) reject(new Refusal(noSpace('the file')))
      else reject(new Error(`${program} failed (${code}):\n${said}`))
    })
  })
}

/** How many projects a database has, deleted ones too. */
export const projectsIn = async (bin, url) =>
  Number(await runOn(bin, 'psql', url, ['-AtX', '-c', 'SELECT count(*) FROM project']))

export const counted = (projects) => `${projects} project${projects === 1 ? '' : 's'}`
