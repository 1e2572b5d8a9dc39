import fs from 'node:fs'
import path from 'node:path'
import { root } from '../lib/console.mjs'

export const core = path.join(root, 'packages/core/src')

/** A sentence for each slip of the list whose text does not stand exactly once in its file. */
export const misplaced = (mutants) =>
  mutants.flatMap(({ id, file, from }) => {
    const count = fs.readFileSync(path.join(core, file), 'utf8').split(from).length - 1
    return count === 1
      ? []
      : [`${id}: its text stands ${count} times in ${file}; it should once. Mend scripts/mutants/list.mjs.`]
  })
