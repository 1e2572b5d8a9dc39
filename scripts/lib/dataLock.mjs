import fs from 'node:fs'
import path from 'node:path'
import { Refusal } from './console.mjs'

const running = (pid) => {
  try {
    return fs.readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('scripts/')
  } catch {
    return false
  }
}

/** One launcher per data folder: a second one would take the first one's database for an orphan. */
export function lockData(folder) {
  const file = path.join(folder, 'launcher.pid')
  const earlier = fs.existsSync(file) ? Number(fs.readFileSync(file, 'utf8')) : 0
  if (earlier && earlier !== process.pid && running(earlier))
    throw new Refusal(
      `Hedrion is running on this data already (pid ${earlier}). Stop it first, or choose another folder with --data.`,
    )
  fs.writeFileSync(file, String(process.pid), { mode: 0o600 })
  ownerOnly(folder)
  process.once('exit', () => fs.rmSync(file, { force: true }))
}

/** What earlier builds left readable for others is not any more. */
function ownerOnly(folder) {
  for (const entry of fs.readdirSync(folder, { withFileTypes: true }))
    if (entry.isFile()) fs.chmodSync(path.join(folder, entry.name), 0o600)
}
