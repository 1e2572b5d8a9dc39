import { parentPort, workerData } from 'node:worker_threads'
import { computeJob } from './computeJob'
import type { JobInput } from './jobRunner'

parentPort?.postMessage(computeJob(workerData as JobInput))
