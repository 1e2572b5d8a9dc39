// Runs every check of the project; on a fresh machine it installs what they need first. See the README.
//   --only check|unit|e2e   a part of them; further words are patterns for the test runner
import fs from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { ensureBuild } from './lib/build.mjs'
import { ensureChromium } from './lib/chromium.mjs'
import { startCluster } from './lib/cluster.mjs'
import { cache, checkNode, fail, Refusal, root, say, timed } from './lib/console.mjs'
import { ensureTestFolder } from './lib/dataFolder.mjs'
import { lockData } from './lib/dataLock.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'
import { startServer } from './lib/server.mjs'
import { missedFiles, runJest, runNode, runPlaywright, saySlowest } from './lib/testRuns.mjs'

const parts = ['check', 'unit', 'e2e']
const { values, positionals } = parseArgs({ options: { only: { type: 'string' } }, allowPositionals: true })
const tally = { passed: 0, failed: 0 }

/** A check of the whole tree counts as one test. */
async function check(name, args) {
  const good = await timed(name, () => runNode(args))
  tally[good ? 'passed' : 'failed']++
  if (!good) say(`${name} failed`)
}

/** Two at a time: most of them use one processor. */
async function runChecks() {
  const at = (file) => path.join(root, file)
  await Promise.all([
    (async () => {
      await check('lockfile', [at('scripts/check-lock.mjs')])
      await check('documents', [at('scripts/check-docs.mjs')])
      await check('words', [at('scripts/check-words.mjs')])
      await check('mutants', [at('scripts/check-mutants.mjs')])
      await check('format', [at('node_modules/prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'])
    })(),
    (async () => {
      await check('types', [at('scripts/typecheck.mjs')])
      await check('lint', [at('node_modules/oxlint/bin/oxlint')])
      const ours = [at('node_modules/eslint/bin/eslint.js'), '.', '--cache', '--cache-location', '.cache/eslint']
      await check('lint, own rules', ours)
    })(),
  ])
}

function add({ passed, failed, files, times }, patterns, whole) {
  tally.passed += passed
  tally.failed += failed
  saySlowest(times)
  if (!whole) return
  for (const file of missedFiles(patterns, files)) {
    say(`${file} did not run`)
    tally.failed++
  }
}

/** A database of its own for a run; dropped again at its end. */
const freshDatabase = (cluster, name) => {
  const database = `${name}_${process.pid}`
  cluster.dropDatabase(database)
  cluster.createDatabase(database)
  return cluster.urlOf(database)
}

async function runUnit(cluster) {
  const report = await timed('unit', () => runJest({ HEDRION_TEST_DATABASE: cluster.url }, positionals))
  add(
    report,
    ['packages/**/*.test.ts', 'packages/**/*.test.tsx', 'apps/**/*.test.ts', 'apps/**/*.test.tsx'],
    positionals.length === 0,
  )
}

async function runE2e(cluster, chromium) {
  await timed('build', ensureBuild)
  const url = freshDatabase(cluster, 'e2e')
  const server = await startServer({ url, port: 0, env: { HEDRION_DEMO: '1', LOG_LEVEL: 'error' } })
  try {
    const env = {
      BASE_URL: `http://127.0.0.1:${server.port}`,
      HEDRION_CHROMIUM: chromium,
      // a second server, which the crash test starts and kills itself, on a database of its own
      HEDRION_CRASH_DATABASE: freshDatabase(cluster, 'crash'),
    }
    add(await timed('e2e', () => runPlaywright(env, positionals)), ['e2e/*.spec.ts'], positionals.length === 0)
  } finally {
    await server.stop()
  }
}

async function main() {
  checkNode()
  if (values.only !== undefined && !parts.includes(values.only))
    throw new Refusal(`--only takes one of ${parts.join(', ')}, not “${values.only}”.`)
  const wanted = (part) => values.only === undefined || values.only === part
  await timed('packages', ensureDependencies)
  fs.mkdirSync(cache, { recursive: true })
  const chromium = wanted('e2e') ? ensureChromium() : undefined
  if (wanted('check')) await runChecks()
  if (!wanted('unit') && !wanted('e2e') && values.only !== 'check') return
  ensurePostgresProgram()
  const folder = ensureTestFolder()
  lockData(folder)
  const cluster = await timed('database', () => startCluster({ folder, durable: false }))
  const stop = () => void cluster.stop().finally(() => process.exit(1))
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
  try {
    if (wanted('unit') || values.only === 'check') await runUnit(cluster)
    if (wanted('e2e')) await runE2e(cluster, chromium)
  } finally {
    await cluster.stop()
  }
}

try {
  await main()
} catch (error) {
  tally.failed++
  fail(error)
}
console.log(`${tally.passed} passed, ${tally.failed} failed`)
process.exit(tally.failed > 0 ? 1 : 0)
