// One type check per package: the core must do without DOM and Node, so each has its own settings.
import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { root } from './lib/console.mjs'

const compiler = path.join(root, 'node_modules/typescript-native/bin/tsc')
const projects = [
  'packages/core/tsconfig.src.json',
  'packages/core/tsconfig.json',
  'packages/contract/tsconfig.json',
  'apps/server/tsconfig.json',
  'apps/web/tsconfig.json',
  'apps/cli/tsconfig.json',
  'e2e/tsconfig.json',
]
let failed = 0
for (const project of projects) {
  const { status } = spawnSync(process.execPath, [compiler, '--noEmit', '-p', project], { cwd: root, stdio: 'inherit' })
  if (status !== 0) {
    console.error(`type check failed: ${project}`)
    failed++
  }
}
process.exitCode = failed > 0 ? 1 : 0
