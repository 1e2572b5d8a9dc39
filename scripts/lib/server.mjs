import { spawn } from 'node:child_process'
import path from 'node:path'
import { Refusal, root } from './console.mjs'

/** Starts the built server; it tells its port over the channel between the two processes. */
export function startServer({ url, port, env = {} }) {
  const main = path.join(root, 'apps/server/dist/main.js')
  const child = spawn(process.execPath, ['--enable-source-maps', main], {
    cwd: root,
    // its own group: Ctrl-C reaches the launcher first, which stops the server before the database
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: url,
      PORT: String(port),
      // glibc gives large pieces back to the system as they are freed, instead of keeping them for later
      MALLOC_MMAP_THRESHOLD_: '65536',
      MALLOC_TRIM_THRESHOLD_: '131072',
      WEB_DIST: path.join(root, 'apps/web/dist'),
      ...env,
    },
  })
  const gone = new Promise((resolve) => child.once('exit', resolve))
  const stop = async () => {
    child.kill('SIGTERM')
    const timer = setTimeout(() => child.kill('SIGKILL'), 8000)
    await gone
    clearTimeout(timer)
  }
  return new Promise((resolve, reject) => {
    let refused
    child.once('exit', (code) =>
      reject(new Refusal(refused ?? `The server ended at its start (${code}); what it said stands above.`)),
    )
    child.once('message', (message) => {
      refused = message.refused
      if (!refused) resolve({ port: message.port, pid: child.pid, gone, stop })
    })
  })
}
