// Tells which slips in the core the unit tests notice: each of the list is made in memory, the tests that look most likely to notice it
// run first, then all others. It takes hours where slips go unnoticed; words choose some by their ids.
import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { ensureDependencies } from './lib/dependencies.mjs'
import { checkNode, fail, Refusal, root, say } from './lib/console.mjs'
import { mutants } from './mutants/list.mjs'
import { core, misplaced } from './mutants/places.mjs'

/** Whether some test fails with the slip made; false where none does. */
function isNoticed({ file, from, to }, patterns) {
  const env = {
    ...process.env,
    HEDRION_MUTANT: JSON.stringify({ file: path.join(core, file), from, to }),
    NODE_OPTIONS: '--max-old-space-size=4096',
  }
  const args = ['--config', 'scripts/mutants/jest.config.mjs', '--bail', '--silent', '--passWithNoTests', ...patterns]
  const { status, error } = spawnSync(process.execPath, ['node_modules/jest/bin/jest.js', ...args], {
    cwd: root,
    env,
    stdio: ['ignore', 'ignore', 'ignore'],
  })
  if (error) throw error
  return status !== 0
}

try {
  checkNode()
  await ensureDependencies()
  const words = process.argv.slice(2)
  const chosen = mutants.filter(({ id }) => words.length === 0 || words.some((word) => id.includes(word)))
  const [problem] = misplaced(chosen)
  if (problem) throw new Refusal(problem)
  if (isNoticed({ file: '-', from: '-', to: '-' }, ['units/'])) throw new Refusal('Tests fail without any slip.')
  const missed = []
  for (const mutant of chosen) {
    const early = isNoticed(mutant, mutant.first)
    const noticed = early || isNoticed(mutant, [])
    if (!noticed) missed.push(mutant)
    say(`${noticed ? 'noticed' : 'MISSED '}  ${mutant.id}: ${mutant.what}${noticed && !early ? ' (late)' : ''}`)
  }
  say(`${chosen.length - missed.length} of ${chosen.length} noticed`)
  process.exitCode = missed.length > 0 ? 1 : 0
} catch (error) {
  fail(error)
}
