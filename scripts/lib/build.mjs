import { spawn } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { cache, root, say } from './console.mjs'
import { digestOf, sourcesBelow, stampIs, writeStamp } from './stamps.mjs'

const vite = path.join(root, 'node_modules/vite/bin/vite.js')
const apps = [
  { dir: 'apps/web', made: 'dist/index.html' },
  { dir: 'apps/server', made: 'dist/main.js' },
  { dir: 'apps/cli', made: 'dist/hedrion.js' },
]

/** Builds one application; the error says what its build said. */
export function buildApp(dir) {
  return new Promise((resolve, reject) => {
    let output = ''
    const child = spawn(process.execPath, [vite, 'build', '--logLevel', 'warn'], {
      cwd: path.join(root, dir),
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NODE_ENV: 'production' },
    })
    child.stdout.on('data', (data) => (output += data))
    child.stderr.on('data', (data) => (output += data))
    child.on('exit', (code) => (code ? reject(new Error(`The build of ${dir} failed.\n${output}`)) : resolve()))
  })
}

/** Builds web, server and command line where any source has changed since. */
export async function ensureBuild() {
  const sources = ['packages', 'apps'].flatMap((dir) => sourcesBelow(path.join(root, dir)))
  const settings = ['package-lock.json', 'tsconfig.base.json'].map((file) => path.join(root, file))
  const wanted = digestOf([...sources, ...settings])
  const stamp = path.join(cache, 'build.stamp')
  if (stampIs(stamp, wanted) && apps.every(({ dir, made }) => fs.existsSync(path.join(root, dir, made)))) return
  say('building …')
  await Promise.all(apps.map(({ dir }) => buildApp(dir)))
  writeStamp(stamp, wanted)
}
