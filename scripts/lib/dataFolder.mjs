import { createHash } from 'node:crypto'
import fs from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { Refusal, root } from './console.mjs'
import { canEnter, databaseUser } from './postgresProgram.mjs'

const isRoot = process.getuid?.() === 0

/** Where the data of this checkout lies by default: outside the checkout, so that cleaning it deletes nothing. */
function defaultFolder(purpose) {
  const id = createHash('sha256').update(fs.realpathSync(root)).digest('hex').slice(0, 12) + purpose
  if (isRoot) return path.join('/var/lib/hedrion', id)
  return path.join(process.env.XDG_DATA_HOME ?? path.join(os.homedir(), '.local/share'), 'hedrion', id)
}

/** Makes the data folder where it is missing; refused where the database's user could not reach it. */
export function ensureDataFolder(chosen) {
  return usable(path.resolve(chosen ?? process.env.HEDRION_DATA ?? defaultFolder('')))
}

/** Apart from it, a folder for the databases of the tests. */
export const ensureTestFolder = () => usable(defaultFolder('-test'))

function usable(dir) {
  fs.mkdirSync(dir, { recursive: true, mode: 0o711 })
  const user = databaseUser()
  if (!canEnter(dir, user))
    throw new Refusal(
      `The user “postgres” may not enter ${dir}. Choose another folder with --data, outside private folders.`,
    )
  return dir
}
