import { parentPort, workerData } from 'node:worker_threads'
import { gzipSync } from 'node:zlib'
import { computeJob } from './computeJob'
import type { JobInput } from './jobRunner'

const result = computeJob(workerData as JobInput, (done) => parentPort?.postMessage({ done }))
parentPort?.postMessage({ result: gzipSync(JSON.stringify(result)) })
