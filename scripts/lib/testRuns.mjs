import { spawn, spawnSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { cache, root } from './console.mjs'

const program = (file) => path.join(root, 'node_modules', file)

/** Runs a Node program and answers whether it ended well. */
export function runNode(args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
    child.on('exit', (code) => resolve(code === 0))
    child.on('error', () => resolve(false))
  })
}

const readJson = (file) => {
  try {
    return JSON.parse(fs.readFileSync(file, 'utf8'))
  } catch {
    return undefined
  }
}

/** What a run of tests answers: counts, and the files that ran. */
const nothingRan = { passed: 0, failed: 1, files: [] }

export async function runJest(env, patterns = []) {
  const out = path.join(cache, 'jest.json')
  fs.rmSync(out, { force: true })
  const args = [program('jest/bin/jest.js'), '--json', `--outputFile=${out}`, ...patterns]
  await runNode(args, { ...env, NODE_OPTIONS: '--max-old-space-size=4096' })
  const report = readJson(out)
  if (!report) return nothingRan
  return {
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    files: report.testResults.map(({ name }) => path.relative(root, name)),
  }
}

/** So many tests of the browser may need a second try; more is a fault, and all of them count as failed. */
const mostSecondTries = 2

const specsOf = (suite) => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)]

export async function runPlaywright(env, patterns = []) {
  const out = path.join(cache, 'e2e.json')
  fs.rmSync(out, { force: true })
  const args = [program('@playwright/test/cli.js'), 'test', '-c', 'e2e/playwright.config.ts', ...patterns]
  await runNode(args, { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: out })
  const report = readJson(out)
  if (!report) return nothingRan
  const { expected, unexpected, flaky } = report.stats
  const twice = report.suites.flatMap(specsOf).filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
  for (const { file, title } of twice) console.log(`passed at the second try only: e2e/${file} › ${title}`)
  const spared = flaky <= mostSecondTries ? flaky : 0
  return {
    passed: expected + spared,
    failed: unexpected + (flaky - spared) + report.errors.length,
    files: report.suites.map(({ file }) => path.join('e2e', file)),
  }
}

/** Test files that git tracks (or would) and that are not among those that ran. */
export function missedFiles(patterns, ran) {
  const { stdout } = spawnSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', '--', ...patterns], {
    cwd: root,
    encoding: 'utf8',
  })
  const seen = new Set(ran)
  return stdout.split('\n').filter((file) => file && fs.existsSync(path.join(root, file)) && !seen.has(file))
}
