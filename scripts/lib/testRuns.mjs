import { spawn, spawnSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { cache, root, say } from './console.mjs'

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

/** What a run of tests answers: counts, the files that ran, and how long each part took, s. */
const nothingRan = { passed: 0, failed: 1, files: [], times: [] }

/** A number that changes with the commit: it chooses the random runs of laws that rotate. */
function turnOfCommit() {
  const { stdout, status } = spawnSync('git', ['rev-parse', 'HEAD'], { cwd: root, encoding: 'utf8' })
  return status === 0 ? String(parseInt(stdout.slice(0, 8), 16)) : '0'
}

export async function runJest(env, patterns = []) {
  const out = path.join(cache, 'jest.json')
  fs.rmSync(out, { force: true })
  const args = [program('jest/bin/jest.js'), '--json', `--outputFile=${out}`, ...patterns]
  await runNode(args, { HEDRION_TURN: turnOfCommit(), ...env, NODE_OPTIONS: '--max-old-space-size=4096' })
  const report = readJson(out)
  if (!report) return nothingRan
  return {
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    files: report.testResults.map(({ name }) => path.relative(root, name)),
    times: report.testResults.map(({ name, startTime, endTime }) => ({
      what: path.relative(root, name),
      seconds: (endTime - startTime) / 1000,
    })),
  }
}

const specsOf = (suite) => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)]

/** Those that measure the processor run after all others, by themselves. */
const browserRuns = [
  ['--grep-invert', '@alone'],
  ['--grep', '@alone', '--workers', '1'],
]

export async function runPlaywright(env, patterns = []) {
  const reports = []
  for (const args of browserRuns) reports.push(await playwrightRun(env, [...args, ...patterns]))
  const all = (pick) => reports.flatMap(pick)
  return {
    passed: reports.reduce((sum, { passed }) => sum + passed, 0),
    failed: reports.reduce((sum, { failed }) => sum + failed, 0),
    files: [...new Set(all(({ files }) => files))],
    times: all(({ times }) => times),
  }
}

async function playwrightRun(env, args) {
  const out = path.join(cache, 'e2e.json')
  fs.rmSync(out, { force: true })
  // a word may choose tests of one of both runs alone
  const all = [
    program('@playwright/test/cli.js'),
    'test',
    '-c',
    'e2e/playwright.config.ts',
    '--pass-with-no-tests',
    ...args,
  ]
  await runNode(all, { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: out })
  const report = readJson(out)
  if (!report) return nothingRan
  const { expected, unexpected, flaky } = report.stats
  const seconds = ({ tests }) =>
    tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0) / 1000
  return {
    passed: expected,
    failed: unexpected + flaky + report.errors.length,
    files: report.suites.map(({ file }) => path.join('e2e', file)),
    times: report.suites
      .flatMap(specsOf)
      .map((spec) => ({ what: `e2e/${spec.file} › ${spec.title}`, seconds: seconds(spec) })),
  }
}

/** With HEDRION_TIMES set: the ten that took longest. */
export function saySlowest(times) {
  if (!process.env.HEDRION_TIMES) return
  const slowest = [...times].sort((a, b) => b.seconds - a.seconds).slice(0, 10)
  for (const { what, seconds } of slowest) say(`${seconds.toFixed(1).padStart(6)} s  ${what}`)
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
