// Ratios and counted work of the core; docs/benchmarks.md keeps what was found.
import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { cache, checkNode, fail, root } from './lib/console.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'

try {
  checkNode()
  await ensureDependencies()
  const run = (args) => {
    const { status } = spawnSync(process.execPath, args, {
      cwd: path.join(root, 'packages/core/bench'),
      stdio: 'inherit',
    })
    if (status !== 0) throw new Error('The bench did not run.')
  }
  run([path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'])
  run([path.join(cache, 'bench/bench.mjs')])
} catch (error) {
  fail(error)
}
