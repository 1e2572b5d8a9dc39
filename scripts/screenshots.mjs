// One current picture of each main view into docs/screenshots/, of the demo on a database of its own. Words choose views.
import fs from 'node:fs'
import path from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { chromiumFlags, ensureChromium } from './lib/chromium.mjs'
import { startCluster } from './lib/cluster.mjs'
import { checkNode, fail, root, say } from './lib/console.mjs'
import { ensureTestFolder } from './lib/dataFolder.mjs'
import { lockData } from './lib/dataLock.mjs'
import { ensureDependencies } from './lib/dependencies.mjs'
import { ensurePostgresProgram } from './lib/postgresProgram.mjs'
import { startServer } from './lib/server.mjs'
import { views } from './lib/views.mjs'

const wanted = process.argv.slice(2)
const folder = path.join(root, 'docs/screenshots')

async function takeAll(chromium, base) {
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    chromiumSandbox: false,
    args: chromiumFlags,
  })
  try {
    for (const view of views) {
      if (wanted.length > 0 && !wanted.includes(view.name)) continue
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base })
      const page = await context.newPage()
      await page.goto(view.address)
      await page.getByText(view.shows).first().waitFor()
      await view.then?.(page)
      await page.evaluate(() => document.fonts.ready)
      // charts and drawings settle
      await page.waitForTimeout(700)
      await page.screenshot({ path: path.join(folder, `${view.name}.png`), animations: 'disabled', caret: 'initial' })
      await context.close()
      say(`docs/screenshots/${view.name}.png`)
    }
  } finally {
    await browser.close()
  }
}

async function main() {
  checkNode()
  await ensureDependencies()
  await ensurePostgresProgram()
  await ensureBuild()
  const { chromium } = await import('playwright-core')
  fs.mkdirSync(folder, { recursive: true })
  const data = ensureTestFolder()
  lockData(data)
  const cluster = await startCluster({ folder: data, durable: false })
  const database = `screenshots_${process.pid}`
  let server
  try {
    cluster.createDatabase(database)
    const env = { HEDRION_DEMO: '1', LOG_LEVEL: 'error' }
    server = await startServer({ url: cluster.urlOf(database), port: 0, env })
    await takeAll(chromium, `http://127.0.0.1:${server.port}`)
  } finally {
    await server?.stop()
    cluster.dropDatabase(database)
    await cluster.stop()
  }
}

await main().catch(fail)
process.exit(process.exitCode ?? 0)
