import { spawn } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { cache, Refusal, root, say } from './console.mjs'
import { digestOf, stampIs, writeStamp } from './stamps.mjs'

const commandLine = (pid) => {
  try {
    return fs.readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
  } catch {
    return ''
  }
}

const lockFile = path.join(cache, 'setup.lock')

/** One set-up at a time. The lock holds the pids of the launcher and of its npm, so that an orphaned npm can be ended. */
async function lockSetup() {
  fs.mkdirSync(cache, { recursive: true })
  for (let said = false; ;) {
    try {
      fs.writeFileSync(lockFile, `${process.pid} 0`, { flag: 'wx' })
      return
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
    }
    const [launcher, npm] = fs.readFileSync(lockFile, 'utf8').split(' ').map(Number)
    if (launcher && commandLine(launcher).includes('scripts/')) {
      if (!said) say(`waiting for another set-up (pid ${launcher}) …`)
      said = true
      await sleep(500)
      continue
    }
    await endOrphan(npm)
    fs.rmSync(lockFile, { force: true })
  }
}

/** Two npm at once break node_modules, so one that lost its launcher is ended first. */
async function endOrphan(pid) {
  if (!pid || !/npm.*\bci\b/.test(commandLine(pid))) return
  say(`ending the npm ci (pid ${pid}) that an earlier run left behind`)
  process.kill(pid, 'SIGTERM')
  for (let i = 0; i < 40 && commandLine(pid); i++) await sleep(250)
  if (commandLine(pid)) process.kill(pid, 'SIGKILL')
  await sleep(200)
}

function manifests() {
  const folders = ['packages', 'apps'].flatMap((dir) =>
    fs.readdirSync(path.join(root, dir)).map((name) => `${dir}/${name}`),
  )
  return ['.', 'e2e', ...folders]
    .map((dir) => path.join(root, dir, 'package.json'))
    .filter((file) => fs.existsSync(file))
}

/** Installs npm packages where the lockfile, a manifest or Node has changed since. */
export async function ensureDependencies() {
  const stamp = path.join(root, 'node_modules/.hedrion-stamp')
  const wanted = digestOf([path.join(root, 'package-lock.json'), ...manifests()]) + process.version + process.arch
  if (stampIs(stamp, wanted)) return
  await lockSetup()
  try {
    if (stampIs(stamp, wanted)) return
    say('installing npm packages (npm ci) …')
    fs.rmSync(stamp, { force: true })
    await install()
    writeStamp(stamp, wanted)
  } finally {
    fs.rmSync(lockFile, { force: true })
  }
}

async function install() {
  const args = ['ci', '--prefer-offline', '--no-audit', '--no-fund', '--loglevel=error']
  const env = { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1', NODE_ENV: '' }
  const npm = spawn('npm', args, { cwd: root, stdio: 'inherit', env })
  fs.writeFileSync(lockFile, `${process.pid} ${npm.pid}`)
  const end = () => npm.kill('SIGTERM')
  process.once('exit', end)
  const code = await new Promise((resolve) => {
    npm.on('exit', (status) => resolve(status ?? 1))
    npm.on('error', () => resolve(1))
  })
  process.off('exit', end)
  if (code !== 0) throw new Refusal('npm ci failed; what it said stands above.')
}
