import 'reflect-metadata'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { createApp } from './createApp'
import { awayProblem } from './database/away'

// the build puts the workers beside this file
const beside = (file: string): string => fileURLToPath(new URL(file, import.meta.url))
process.env['HEDRION_JOB_WORKER'] ??= beside('./jobWorker.js')
process.env['HEDRION_BODY_WORKER'] ??= beside('./bodyWorker.js')

const app = await createApp().catch(refuse)
// loopback only, until people can sign in
await app.listen(Number(process.env['PORT'] ?? 0), '127.0.0.1').catch(refuse)
const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
// a launcher that was killed cannot stop us: do not stay behind on the port
process.on('disconnect', () => void app.close().finally(() => process.exit(0)))
process.send?.({ port })

/** A start that the database makes impossible is said in one sentence; the launcher shows it. */
function refuse(error: unknown): never {
  const problem = awayProblem(error, true)
  if (!problem) throw error
  process.send?.({ refused: problem.message })
  process.exit(1)
}
