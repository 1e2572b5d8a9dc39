// Builds what changed: web, server and command line.
import { ensureBuild } from './lib/build.mjs'
import { checkNode, fail } from './lib/console.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'

try {
  checkNode()
  await ensureDependencies()
  await ensureBuild()
} catch (error) {
  fail(error)
}
